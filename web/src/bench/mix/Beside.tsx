import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { setCover } from '../../plan/edit';
import { newId } from '../../ui/tidy';
import { GroupMark } from '../../ui/GroupMark';
import { useAlternatives } from './asked';

type Cover = Schemas['CoverEntry'];
type Mix = Schemas['MixEntry'];

/** So many mixes stand beside the cover's own. */
export const MOST_BESIDE = 3;

/** The plan's cover with a mix more beside its own. */
export function withBeside(cover: Cover, name: string, mix: Mix): Partial<Cover> {
  const others = cover.alternatives ?? [];
  return others.length >= MOST_BESIDE
    ? {}
    : { alternatives: [...others, { id: newId('m-'), name, mix }] };
}

/** Mixes side by side: what differs stands in bold; any of them becomes the cover's own. */
export function Beside({ cover }: { cover: Cover }) {
  const { session, state } = useOpenPlan();
  const others = cover.alternatives ?? [];
  const asked = useAlternatives(state.plan, cover.id, others.length > 0);
  const columns = asked.data;
  const own = columns?.[0];
  const rows = own?.figures.map((f) => f.id) ?? columns?.[1]?.figures.map((f) => f.id) ?? [];
  const of = (c: Schemas['MixColumn'], id: string) => c.figures.find((f) => f.id === id);
  const differs = (id: string) => new Set(columns?.map((c) => of(c, id)?.text)).size > 1;
  const swap = (id: string) =>
    session.change((p) => {
      const now = p.covers.find((c) => c.id === cover.id);
      const chosen = now?.alternatives?.find((a) => a.id === id);
      if (!now || !chosen) return p;
      const rest = (now.alternatives ?? []).map((a) =>
        a.id === id ? { ...a, name: 'own mix before', mix: now.mix ?? a.mix } : a,
      );
      return setCover(p, cover.id, { mix: chosen.mix, alternatives: rest });
    });
  const drop = (id: string) =>
    session.change((p) =>
      setCover(p, cover.id, {
        alternatives: (cover.alternatives ?? []).filter((a) => a.id !== id),
      }),
    );
  return (
    <section aria-label="Mixes side by side" className="mt-4">
      <div className="flex flex-wrap items-baseline gap-3">
        <h3 className="text-[15px] font-bold">Side by side</h3>
        <button
          type="button"
          className="link text-[13px]"
          disabled={others.length >= MOST_BESIDE || !cover.mix}
          onClick={() =>
            session.change((p) => {
              const now = p.covers.find((c) => c.id === cover.id);
              return now?.mix
                ? setCover(p, cover.id, withBeside(now, `mix ${others.length + 2}`, now.mix))
                : p;
            })
          }
        >
          save to compare
        </button>
        {others.length >= MOST_BESIDE && <i className="text-[13px] text-ink2">four at most</i>}
      </div>
      {columns && others.length > 0 && (
        <div className="overflow-x-auto" role="region" aria-label="Comparison" tabIndex={0}>
          <table className="text-[13.5px]">
            <thead>
              <tr className="border-b border-ink align-bottom">
                <th className="w-[220px] text-left" />
                {columns.map((c) => (
                  <th key={c.id ?? ''} className="min-w-[150px] px-3 text-right">
                    <b>{c.name}</b>
                    {c.id && (
                      <span className="block text-[12.5px] font-medium">
                        <button type="button" className="link" onClick={() => swap(c.id ?? '')}>
                          make it the own
                        </button>{' '}
                        <button
                          type="button"
                          className="link"
                          aria-label={`Remove ${c.name}`}
                          onClick={() => drop(c.id ?? '')}
                        >
                          away
                        </button>
                      </span>
                    )}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((id) => {
                const label = columns.map((c) => of(c, id)).find(Boolean);
                return (
                  <tr key={id} className="border-b border-rule2">
                    <th scope="row" className="text-left font-medium">
                      {label?.label}
                    </th>
                    {columns.map((c) => (
                      <td
                        key={c.id ?? ''}
                        className={`fig px-3 text-right ${differs(id) ? 'font-bold' : 'text-ink2'}`}
                      >
                        {of(c, id)?.text ?? '–'}{' '}
                        <span className="text-[11.5px] font-normal text-ink2">
                          {of(c, id)?.unit}
                        </span>
                      </td>
                    ))}
                  </tr>
                );
              })}
              <tr className="border-b border-rule2">
                <th scope="row" className="text-left font-medium">
                  notes on the mix
                </th>
                {columns.map((c) => (
                  <td key={c.id ?? ''} className="fig px-3 text-right">
                    {c.stops} stop, {c.thinks} think
                  </td>
                ))}
              </tr>
              <tr>
                <th scope="row" className="text-left align-top font-medium">
                  species, % of the stand
                </th>
                {columns.map((c) => (
                  <td key={c.id ?? ''} className="px-3 text-right align-top">
                    {c.parts.map((p) => (
                      <span key={p.species} className="flex items-center justify-end gap-1.5">
                        <GroupMark group={p.group} /> {p.name}{' '}
                        <span className="fig w-9">{(p.stand ?? p.seeds).text}</span>
                      </span>
                    ))}
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

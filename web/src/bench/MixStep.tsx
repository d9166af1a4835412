import { useState } from 'react';

import type { Plan, Schemas } from '../api/client';
import { setCover, tidy } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { GroupMark } from '../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { useCover } from './pick';
import { ShareBars } from './ShareBars';
import type { StepProps } from './steps';

type Mix = Schemas['MixEntry'];
type Component = Schemas['ComponentEntry'];

export function MixStep({ lots }: StepProps) {
  const { session, state, knowledge, us } = useOpenPlan();
  const { cover, chooser } = useCover();
  const [next, setNext] = useState('');
  const at = cover ? state.plan.covers.indexOf(cover) : -1;
  const mix: Mix = cover?.mix ?? { method: 'share', components: [] };
  const seen = state.evaluation?.covers.find((c) => c.id === cover?.id);
  const change = (edit: (m: Mix) => Mix) => {
    if (!cover) return;
    session.change((p: Plan) => {
      const now = p.covers.find((c) => c.id === cover.id)?.mix ?? mix;
      return setCover(p, cover.id, { mix: edit(now) });
    });
  };
  const set = (species: string, c: Partial<Component>) =>
    change((m) => ({
      ...m,
      components: m.components.map((x) => (x.species === species ? tidy({ ...x, ...c }) : x)),
    }));
  const byDensity = mix.method === 'density';
  const fig = (species: string, what: string) => `mix/${cover?.id}/${species}/${what}`;
  return (
    <>
      <h2>Mix</h2>
      {chooser}
      {cover && (
        <>
          <div className="flex flex-wrap items-end gap-4">
            <SelectField
              label="Blend by"
              value={mix.method}
              onChange={(v) => change((m) => ({ ...m, method: v as Mix['method'] }))}
              options={[
                { id: 'share', name: 'share of the full rate' },
                { id: 'density', name: 'live seeds per area' },
              ]}
            />
            <NumberField
              label="Waste"
              value={mix.wastePercent}
              placeholder="3"
              max={100}
              suffix="%"
              onChange={(v) => change((m) => tidy({ ...m, wastePercent: v }))}
            />
            <SelectField
              label="Species"
              value={next}
              empty="choose"
              onChange={setNext}
              options={knowledge.species.filter(
                (s) => !mix.components.some((c) => c.species === s.id),
              )}
            />
            <button
              type="button"
              className="btn"
              disabled={!next}
              onClick={() => {
                change((m) => ({ ...m, components: [...m.components, { species: next }] }));
                setNext('');
              }}
            >
              Add species
            </button>
          </div>
          <div className="overflow-x-auto">
            <table className="mt-2 w-full text-[13.5px]">
              <thead>
                <tr className="border-b border-ink text-right text-[12.5px]">
                  <th className="py-1 text-left">species</th>
                  <th className="text-left">{byDensity ? 'live seeds wanted' : 'share of full'}</th>
                  <th className="text-left">seed lot</th>
                  <th className="px-1">PLS</th>
                  <th className="px-1">pure live</th>
                  <th className="px-1">in the box</th>
                  <th className="px-1">live seeds</th>
                  <th className="px-1">this season</th>
                  <th className="px-1">bags</th>
                  <th className="px-1">cost</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {mix.components.map((c, i) => {
                  const s = knowledge.species.find((x) => x.id === c.species);
                  const name = s?.name ?? c.species;
                  const pointer = `/covers/${at}/mix/components/${i}`;
                  return (
                    <tr key={c.species} className="border-b border-rule2 text-right">
                      <td className="py-1 text-left font-bold">
                        <span className="flex items-center gap-1.5">
                          {s && <GroupMark group={s.group} />} {name}
                        </span>
                      </td>
                      <td className="text-left">
                        {byDensity ? (
                          <QuantityField
                            hideLabel
                            label={`${name} live seeds`}
                            value={c.seeds}
                            units={us ? ['/ft2', '/m2'] : ['/m2', '/ft2']}
                            onChange={(q) => set(c.species, { seeds: q })}
                            problem={problemAt(state.problems, `${pointer}/seeds`)}
                          />
                        ) : (
                          <NumberField
                            hideLabel
                            label={`${name} share`}
                            width="w-14"
                            value={c.sharePercent}
                            max={300}
                            suffix="%"
                            onChange={(v) => set(c.species, { sharePercent: v })}
                            problem={problemAt(state.problems, `${pointer}/sharePercent`)}
                          />
                        )}
                      </td>
                      <td className="text-left">
                        <SelectField
                          hideLabel
                          width="w-28"
                          label={`${name} lot`}
                          value={c.lotId ?? ''}
                          empty="no lot"
                          options={lots
                            .filter((l) => l.species === c.species)
                            .map((l) => ({ id: l.id, name: l.label }))}
                          onChange={(v) => set(c.species, { lotId: v || undefined })}
                        />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'pls')} />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'plsRate')} unit={false} />
                      </td>
                      <td className="px-1 font-bold">
                        <FigureText id={fig(c.species, 'bulk')} />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'seeds')} />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'seedsNow')} unit={false} />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'bags')} unit={false} />
                      </td>
                      <td className="px-1">
                        <FigureText id={fig(c.species, 'cost')} />
                      </td>
                      <td>
                        <button
                          type="button"
                          className="link text-[13px]"
                          aria-label={`Take ${name} out`}
                          onClick={() =>
                            change((m) => ({
                              ...m,
                              components: m.components.filter((x) => x.species !== c.species),
                            }))
                          }
                        >
                          out
                        </button>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
              {(seen?.rates.length ?? 0) > 0 && (
                <tfoot>
                  <tr className="border-t border-ink text-right font-bold">
                    <td className="py-1 text-left">Sum</td>
                    <td colSpan={4} className="text-left font-normal text-ink2 italic">
                      to have, with waste: <FigureText id={`mix/${cover.id}/seed`} />
                    </td>
                    <td className="px-1">
                      <FigureText id={`mix/${cover.id}/bulk`} />
                    </td>
                    <td className="px-1">
                      <FigureText id={`mix/${cover.id}/seeds`} />
                    </td>
                    <td colSpan={2} />
                    <td className="px-1">
                      <FigureText id={`mix/${cover.id}/cost`} />
                    </td>
                    <td />
                  </tr>
                </tfoot>
              )}
            </table>
          </div>
          {seen && seen.rates.length > 0 && <ShareBars coverId={cover.id} rates={seen.rates} />}
          {mix.components.length === 0 && (
            <p className="mt-2 text-ink2 italic">
              No species yet. The lots offered come from the seed store.
            </p>
          )}
        </>
      )}
    </>
  );
}

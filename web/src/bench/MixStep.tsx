import { useState } from 'react';

import type { Evaluation, Plan, Schemas } from '../api/client';
import { setCover } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { GROUPS } from '../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { Stack } from '../ui/Stack';
import { BenchHead } from './BenchHead';
import { mixOf, useCandidates } from './mix/asked';
import { Beside, MOST_BESIDE, withBeside } from './mix/Beside';
import { CandidateTable } from './mix/CandidateTable';
import { CopyMix } from './mix/CopyMix';
import { Delivers } from './mix/Delivers';
import { Failures } from './mix/Failures';
import { Proposals } from './mix/Proposals';
import { MixRow } from './MixRow';
import { useCover } from './pick';
import { ShareBars } from './ShareBars';
import type { StepProps } from '../plan/steps';

type Mix = Schemas['MixEntry'];
type Seen = Evaluation['covers'][number];

const COLUMNS = [
  { what: 'plsRate', name: 'pure live' },
  { what: 'bulk', name: 'in the box' },
  { what: 'seeds', name: 'live seeds' },
  { what: 'comesUp', name: 'plants up' },
  { what: 'weightShare', name: 'of weight' },
  { what: 'seedShare', name: 'of seeds' },
  { what: 'standShare', name: 'of stand' },
  { what: 'cost', name: 'cost' },
];

/** The species of a mix by the box they go into; those without a rate yet come last. */
function byBox(mix: Mix, seen: Seen | undefined) {
  const boxes = seen?.boxes ?? [];
  const found = boxes.map((b) => ({
    id: b.id,
    name: b.name,
    components: mix.components.filter((c) => b.species.includes(c.species)),
  }));
  const none = mix.components.filter((c) => !boxes.some((b) => b.species.includes(c.species)));
  return [...found, { id: 'none', name: 'No rate yet', components: none }].filter(
    (b) => b.components.length > 0,
  );
}

export function MixStep({ lots }: StepProps) {
  const { session, state, knowledge, us } = useOpenPlan();
  const { cover, chooser } = useCover();
  const [next, setNext] = useState('');
  const mix: Mix = cover?.mix ?? { method: 'share', components: [] };
  const seen = state.evaluation?.covers.find((c) => c.id === cover?.id);
  const judged = useCandidates(state.plan, cover?.id ?? '', seen?.judged ?? false);
  const change = (edit: (m: Mix) => Mix, held = false) => {
    if (!cover) return;
    session.change((p: Plan) => {
      const now = p.covers.find((c) => c.id === cover.id)?.mix ?? mix;
      return setCover(p, cover.id, { mix: edit(now) });
    }, held);
  };
  const first = seen?.rates[0]?.species;
  const unit = (what: string) =>
    state.evaluation?.figures[`mix/${cover?.id}/${first}/${what}`]?.unit ?? '';
  return (
    <>
      <BenchHead
        title="Mix"
        aside="full rate × share × factors ÷ pure live seed = what goes in the box"
        about="cover"
      >
        {chooser}
      </BenchHead>
      {cover && (
        <>
          <div className="flex flex-wrap items-end gap-4">
            <SelectField
              label="Blend by"
              value={mix.method}
              onChange={(v) => change((m) => ({ ...m, method: v }))}
              options={[
                { id: 'share', name: 'share of the full rate' },
                { id: 'density', name: 'live seeds per area' },
                { id: 'recipe', name: 'a local recipe' },
              ]}
            />
            <label className="flex min-h-[28px] items-center gap-2 text-[13.5px]">
              <input
                type="checkbox"
                className="size-4 min-h-0"
                checked={mix.zones !== undefined}
                onChange={(e) =>
                  change((m) =>
                    tidy({
                      ...m,
                      zones: e.target.checked
                        ? us
                          ? {
                              rowWidth: { value: 30, unit: 'in' },
                              bandWidth: { value: 10, unit: 'in' },
                            }
                          : {
                              rowWidth: { value: 75, unit: 'cm' },
                              bandWidth: { value: 25, unit: 'cm' },
                            }
                        : undefined,
                    }),
                  )
                }
              />
              row zones
            </label>
            {mix.zones && (
              <>
                <QuantityField
                  label="Row width"
                  value={mix.zones.rowWidth}
                  units={us ? ['in', 'cm'] : ['cm', 'in']}
                  onChange={(q) =>
                    q && change((m) => (m.zones ? { ...m, zones: { ...m.zones, rowWidth: q } } : m))
                  }
                />
                <QuantityField
                  label="Row zone"
                  value={mix.zones.bandWidth}
                  units={us ? ['in', 'cm'] : ['cm', 'in']}
                  onChange={(q) =>
                    q &&
                    change((m) => (m.zones ? { ...m, zones: { ...m.zones, bandWidth: q } } : m))
                  }
                  problem={problemAt(
                    state.problems,
                    `/covers/${state.plan.covers.indexOf(cover)}/mix/zones`,
                  )}
                />
              </>
            )}
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
              options={GROUPS.flatMap((g) =>
                knowledge.species
                  .filter((s) => s.group === g.id)
                  .filter((s) => !mix.components.some((c) => c.species === s.id))
                  .map((s) => ({ id: s.id, name: s.name, under: g.name })),
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
            <CopyMix own={cover.mix} onTake={(m) => change(() => m)} />
          </div>
          {mix.components.length > 0 && (
            <Stack className="mt-2" label="Blend and rates">
              <table className="w-full text-[13.5px]">
                <thead>
                  <tr className="border-b border-ink text-right text-[12.5px] leading-tight">
                    <th className="py-1 text-left">species</th>
                    <th className="text-left">
                      {mix.method === 'density'
                        ? 'live seeds wanted'
                        : mix.method === 'recipe'
                          ? 'pure live seed'
                          : 'share of full'}
                    </th>
                    <th className="text-left">seed lot</th>
                    {COLUMNS.map((c) => (
                      <th key={c.what} className="px-1">
                        {c.name}
                        <span className="fig block text-[11.5px]">
                          {unit(c.what) !== c.name && unit(c.what)}
                        </span>
                      </th>
                    ))}
                    <th>
                      <span className="sr-only">remove</span>
                    </th>
                  </tr>
                </thead>
                {byBox(mix, seen).map((box) => (
                  <tbody key={box.id}>
                    <tr className="border-b border-rule">
                      <th scope="rowgroup" colSpan={12} className="pt-1.5 text-left">
                        <b className="text-ink">{box.name}</b>{' '}
                        {box.id !== 'none' && (
                          <FigureText id={`mix/${cover.id}/box/${box.id}/rate`} />
                        )}
                      </th>
                    </tr>
                    {box.components.map((c) => (
                      <MixRow
                        key={c.species}
                        coverId={cover.id}
                        component={c}
                        method={mix.method}
                        pointer={`/covers/${state.plan.covers.indexOf(cover)}/mix/components/${mix.components.indexOf(c)}`}
                        lots={lots}
                        columns={COLUMNS.map((x) => x.what)}
                        zoned={mix.zones !== undefined}
                        onChange={(to, held) =>
                          change(
                            (m) => ({
                              ...m,
                              components: m.components.map((x) =>
                                x.species === c.species ? tidy({ ...x, ...to }) : x,
                              ),
                            }),
                            held,
                          )
                        }
                        onRemove={() =>
                          change((m) => ({
                            ...m,
                            components: m.components.filter((x) => x.species !== c.species),
                          }))
                        }
                      />
                    ))}
                  </tbody>
                ))}
                {first && (
                  <tfoot>
                    <tr className="border-t border-ink text-right font-bold">
                      <td className="py-1 text-left">Sum</td>
                      <td colSpan={3} className="text-left font-normal text-ink2 italic">
                        seed to have, with waste: <FigureText id={`mix/${cover.id}/seed`} />
                      </td>
                      <td className="px-1">
                        <FigureText id={`mix/${cover.id}/bulk`} unit={false} />
                      </td>
                      <td className="px-1">
                        <FigureText id={`mix/${cover.id}/seeds`} unit={false} />
                      </td>
                      <td colSpan={4} className="font-normal text-ink2 italic">
                        <FigureText id={`mix/${cover.id}/costPerHa`} />
                      </td>
                      <td className="px-1">
                        <FigureText id={`mix/${cover.id}/cost`} unit={false} />
                      </td>
                      <td />
                    </tr>
                  </tfoot>
                )}
              </table>
            </Stack>
          )}
          {seen && seen.rates.length > 0 && <ShareBars coverId={cover.id} rates={seen.rates} />}
          <Delivers coverId={cover.id} aims={cover.aims ?? []} />
          <Beside cover={cover} />
          <CandidateTable
            coverId={cover.id}
            taken={mix.components.map((c) => c.species)}
            onTake={(species) =>
              change((m) => ({
                ...m,
                components: [
                  ...m.components,
                  m.method === 'share' ? { species, sharePercent: 10 } : { species },
                ],
              }))
            }
          />
          <Proposals
            key={cover.id}
            coverId={cover.id}
            aims={judged.data?.aims ?? []}
            onTake={(m) => change((old) => mixOf(m.shares, old))}
            onBeside={
              (cover.alternatives?.length ?? 0) < MOST_BESIDE
                ? (m) =>
                    session.change((p) => {
                      const now = p.covers.find((c) => c.id === cover.id);
                      return now
                        ? setCover(
                            p,
                            cover.id,
                            withBeside(now, `proposed, ${m.costText}`, mixOf(m.shares, now.mix)),
                          )
                        : p;
                    })
                : undefined
            }
          />
          {mix.components.length > 1 && <Failures coverId={cover.id} />}
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

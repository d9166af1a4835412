import { useState } from 'react';

import type { Evaluation, Plan, Schemas } from '../api/client';
import { setCover, tidy } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { GROUPS } from '../ui/GroupMark';
import { NumberField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { MixRow } from './MixRow';
import { useCover } from './pick';
import { ShareBars } from './ShareBars';
import type { StepProps } from './steps';

type Mix = Schemas['MixEntry'];
type Component = Schemas['ComponentEntry'];
type Seen = Evaluation['covers'][number];

const COLUMNS = [
  { what: 'pls', name: 'PLS' },
  { what: 'plsRate', name: 'pure live' },
  { what: 'bulk', name: 'in the box' },
  { what: 'seeds', name: 'live seeds' },
  { what: 'seedsNow', name: 'come up' },
  { what: 'weightShare', name: 'of weight' },
  { what: 'seedShare', name: 'of seeds' },
  { what: 'bags', name: 'bags' },
  { what: 'cost', name: 'cost' },
];

/** The species of a mix by the box they go into; those without a rate yet come last. */
function byBox(mix: Mix, seen: Seen | undefined) {
  const box = (c: Component) => {
    const rate = seen?.rates.find((r) => r.species === c.species);
    return rate ? (rate.smallBox ? 'small' : 'large') : 'none';
  };
  return (['large', 'small', 'none'] as const)
    .map((id) => ({ id, components: mix.components.filter((c) => box(c) === id) }))
    .filter((b) => b.components.length > 0);
}

const BOX_NAMES = { large: 'Large box', small: 'Small box', none: 'No rate yet' };

export function MixStep({ lots }: StepProps) {
  const { session, state, knowledge } = useOpenPlan();
  const { cover, chooser } = useCover();
  const [next, setNext] = useState('');
  const mix: Mix = cover?.mix ?? { method: 'share', components: [] };
  const seen = state.evaluation?.covers.find((c) => c.id === cover?.id);
  const change = (edit: (m: Mix) => Mix) => {
    if (!cover) return;
    session.change((p: Plan) => {
      const now = p.covers.find((c) => c.id === cover.id)?.mix ?? mix;
      return setCover(p, cover.id, { mix: edit(now) });
    });
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
          </div>
          {mix.components.length > 0 && (
            <div
              className="mt-2 overflow-x-auto"
              role="region"
              aria-label="Blend and rates"
              tabIndex={0}
            >
              <table className="w-full text-[13.5px]">
                <thead>
                  <tr className="border-b border-ink text-right text-[12.5px] leading-tight">
                    <th className="py-1 text-left">species</th>
                    <th className="text-left">
                      {mix.method === 'density' ? 'live seeds wanted' : 'share of full'}
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
                      <span className="sr-only">take out</span>
                    </th>
                  </tr>
                </thead>
                {byBox(mix, seen).map((box) => (
                  <tbody key={box.id}>
                    <tr className="border-b border-rule">
                      <th scope="rowgroup" colSpan={13} className="pt-1.5 text-left">
                        <b className="text-ink">{BOX_NAMES[box.id]}</b>{' '}
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
                        onChange={(to) =>
                          change((m) => ({
                            ...m,
                            components: m.components.map((x) =>
                              x.species === c.species ? tidy({ ...x, ...to }) : x,
                            ),
                          }))
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
                      <td colSpan={4} className="text-left font-normal text-ink2 italic">
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
            </div>
          )}
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

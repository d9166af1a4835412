import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { operationOf, pointerOf, setSpray } from '../../plan/edit';
import { FigureText } from '../../plan/FigureText';
import { KeptText, NumberField, problemAt, QuantityField } from '../../ui/inputs';

type SprayEntry = Schemas['SprayEntry'];

/** Tank arithmetic of the passes that spray, from what is typed from the label. No number is Etlo’s. */
export function Spray({ coverId }: { coverId: string }) {
  const { session, state, knowledge, us } = useOpenPlan();
  const passes = operationOf(state.plan, 'end', coverId)?.passes ?? [];
  const tanks = state.evaluation?.end[coverId]?.tanks ?? [];
  const sprays = passes.flatMap((p, i) =>
    knowledge.terminationMethods.find((m) => m.id === p.method)?.sprays ? [{ p, i }] : [],
  );
  if (sprays.length === 0) return null;
  return (
    <section aria-label="Spray and tank" className="mt-4">
      <h3 className="font-bold">
        Spray and tank{' '}
        <i className="text-[13px] font-medium text-ink2">
          as typed from the label in force; rates are on the ground that is treated
        </i>
      </h3>
      {sprays.map(({ p, i }) => {
        const spray: SprayEntry = p.spray ?? {};
        const at = `${pointerOf(state.plan, 'end', coverId)}/passes/${i}/spray`;
        const set = (change: Partial<SprayEntry>) =>
          session.change((plan) => setSpray(plan, coverId, i, { ...spray, ...change }));
        const tank = tanks.find((t) => t.passId === p.id);
        const lines: [string, Schemas['FigureView'] | undefined][] = [
          ['Ground that is sprayed', tank?.treated],
          ['Product for the field', tank?.product],
          ['Active ingredient or acid equivalent', tank?.active],
          ['Spray to mix', tank?.mix],
          ['Full tanks', tank?.fullTanks],
          ['Product in a full tank', tank?.inFull],
          ['Last part tank', tank?.lastTank],
          ['Product in the last part tank', tank?.inLast],
        ];
        return (
          <div key={p.id}>
            <div className="mt-1 flex flex-wrap items-end gap-x-5 gap-y-2">
              <KeptText
                label="Product"
                value={spray.product}
                onChange={(product) => set({ product })}
              />
              <QuantityField
                label="Strength"
                value={spray.strength}
                units={us ? ['lb/gal', 'kg/L'] : ['kg/L', 'lb/gal']}
                onChange={(strength) => set({ strength })}
                problem={problemAt(state.problems, `${at}/strength`)}
              />
              <QuantityField
                label="Rate, from the label"
                value={spray.rate}
                units={
                  us
                    ? ['fl oz/ac', 'gal/ac', 'lb/ac', 'L/ha', 'kg/ha']
                    : ['L/ha', 'kg/ha', 'fl oz/ac', 'lb/ac']
                }
                onChange={(rate) => set({ rate })}
                problem={problemAt(state.problems, `${at}/rate`)}
              />
              <QuantityField
                label="Spray volume"
                value={spray.volume}
                units={us ? ['gal/ac', 'L/ha'] : ['L/ha', 'gal/ac']}
                onChange={(volume) => set({ volume })}
                problem={problemAt(state.problems, `${at}/volume`)}
              />
              <QuantityField
                label="Tank holds"
                value={spray.tank}
                units={us ? ['gal', 'L'] : ['L', 'gal']}
                onChange={(tankHolds) => set({ tank: tankHolds })}
                problem={problemAt(state.problems, `${at}/tank`)}
              />
              <NumberField
                label="Of the field"
                value={spray.treatedPercent}
                placeholder="100"
                max={100}
                suffix="%"
                onChange={(treatedPercent) => set({ treatedPercent })}
                problem={problemAt(state.problems, `${at}/treatedPercent`)}
              />
            </div>
            {tank && (
              <table className="mt-1 text-[13.5px]">
                <tbody>
                  {lines
                    .filter(([, f]) => f)
                    .map(([name, f]) => (
                      <tr key={name} className="border-b border-rule2">
                        <th scope="row" className="pr-6 text-left font-normal">
                          {name}
                        </th>
                        <td className="text-right">
                          <FigureText of={f} />
                        </td>
                      </tr>
                    ))}
                </tbody>
              </table>
            )}
          </div>
        );
      })}
      <p className="mt-1 text-[12.5px] text-ink2">
        Etlo proposes no rate. The label decides on rate, yearly cap, stage, weather, drift, buffers
        and intervals; type its intervals in step Field, The farm. Applicator licence, gloves,
        goggles and what the label asks for. Daily weather cannot see an inversion.
      </p>
    </section>
  );
}

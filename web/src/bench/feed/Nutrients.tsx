import { useOpenPlan } from '../../plan/context';
import { Stack } from '../../ui/Stack';
import { useCropName } from '../pick';
import { FigureText } from '../../plan/FigureText';
import { spokenDate } from '../../ui/days';

/** P, K and S by balance, with the last soil test beside them. */
export function Nutrients({ cropId }: { cropId: string }) {
  const { state, field } = useOpenPlan();
  const name = useCropName();
  const feed = state.evaluation?.feed;
  const rows = feed?.[cropId]?.nutrients ?? [];
  if (rows.length === 0) {
    return (
      <p className="mt-3 text-[13px] text-ink2 italic">
        P, K and S by balance: with a yield goal in step Rotation.
      </p>
    );
  }
  const until = state.plan.crops.slice(
    0,
    state.plan.crops.findIndex((c) => c.id === cropId),
  );
  const missing = until.filter((c) => (feed?.[c.id]?.nutrients ?? []).length === 0).map(name);
  const test = [...(field.soilTests ?? [])]
    .filter((t) => t.phosphorusMgKg !== undefined || t.potassiumMgKg !== undefined)
    .sort((a, b) => b.date.localeCompare(a.date))[0];
  return (
    <section aria-label="P, K and S by balance">
      <h3 className="mt-4 font-bold">P, K and S by balance</h3>
      <Stack label="Nutrient balance">
        <table className="mt-1 border-collapse text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              {['', 'taken off', 'fed', 'this crop', 'plan until here'].map((h) => (
                <th key={h} scope="col" className="py-1 pr-4">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.symbol} className="border-b border-rule2">
                <th scope="row" className="py-0.5 pr-4 text-left">
                  {r.symbol}
                </th>
                {[r.removed, r.fed, r.balance, r.running].map((f) => (
                  <td key={f.id} className="pr-4">
                    <FigureText of={f} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Stack>
      <p className="mt-1 text-[13px] text-ink2">
        {test
          ? `Soil test of ${spokenDate(test.date)}: P ${test.phosphorusMgKg ?? '–'}, K ${test.potassiumMgKg ?? '–'} mg/kg. `
          : 'No soil test with P or K is entered. '}
        {missing.length > 0 &&
          `Without a yield goal, so not in the balance: ${missing.join(', ')}. `}
        A tissue or sap test in range does not cancel a balance below zero: the soil gives it, for
        years.
      </p>
    </section>
  );
}

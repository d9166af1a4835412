import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';

/** What each layer of the soil holds, by sand, clay and organic matter; every figure opens its working. */
export function SoilTable() {
  const { state } = useOpenPlan();
  const soil = state.evaluation?.field;
  if (!soil) return null;
  return (
    <div className="mt-2">
      <table>
        <thead>
          <tr className="border-b border-ink text-right text-[12px]">
            <th className="text-left">layer</th>
            <th className="pl-4">wilting point</th>
            <th className="pl-4">field capacity</th>
            <th className="pl-4">saturation</th>
          </tr>
        </thead>
        <tbody>
          {soil.layers.map((l) => (
            <tr key={l.where} className="h-[28px] border-b border-rule2 text-right">
              <td className="fig text-left">{l.where}</td>
              <td className="pl-4">
                <FigureText of={l.wiltingPoint} />
              </td>
              <td className="pl-4">
                <FigureText of={l.fieldCapacity} />
              </td>
              <td className="pl-4">
                <FigureText of={l.saturation} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="py-1 text-[13px]">
        water it can hold for plants <FigureText of={soil.water} /> in the rooted depth
      </p>
    </div>
  );
}

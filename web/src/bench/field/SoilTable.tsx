import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';

/** What each layer of the soil holds, by sand, clay and organic matter; every figure opens its working. */
export function SoilTable() {
  const { state } = useOpenPlan();
  const figures = state.evaluation?.figures ?? {};
  const layers = Object.keys(figures).filter((id) => /^field\/soil\/\d+\/wiltingPoint$/.test(id));
  if (layers.length === 0) return null;
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
          {layers.map((id) => {
            const at = id.replace(/\/wiltingPoint$/, '');
            return (
              <tr key={id} className="h-[28px] border-b border-rule2 text-right">
                <td className="fig text-left">{figures[id]?.label.split(', ')[1]}</td>
                <td className="pl-4">
                  <FigureText id={`${at}/wiltingPoint`} />
                </td>
                <td className="pl-4">
                  <FigureText id={`${at}/fieldCapacity`} />
                </td>
                <td className="pl-4">
                  <FigureText id={`${at}/saturation`} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="py-1 text-[13px]">
        water it can hold for plants <FigureText id="field/water" /> in the rooted depth
      </p>
    </div>
  );
}

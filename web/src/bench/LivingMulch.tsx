import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';

/** A cover that lives on under the crop: what it takes until the weed-free period is over, and when it is to be held down. */
export function LivingMulch({ subject }: { subject: string }) {
  const { state } = useOpenPlan();
  const mulch = state.evaluation?.grow.steps[subject]?.livingMulch;
  if (!mulch) return null;
  return (
    <section aria-label="Living mulch">
      <h3 className="mt-4 font-bold">It lives on under the crop</h3>
      <p className="text-[13.5px]">
        Three weeks after planting it lives in {mulch.aliveYears} of {mulch.years} years.{' '}
        {mulch.suppressBy
          ? `It presses the crop from about ${spokenDate(mulch.suppressBy)}: mow between the rows before, or spray where label and certification allow it; again when it stands half as tall as the crop.`
          : 'It does not press the crop before the weed-free period is over.'}{' '}
        {mulch.water && `By planting it took ${mulch.water} of water from the crop.`}
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Living mulch by week">
        <table className="mt-1 min-w-[520px] border-collapse text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              {['by', 'mulch', 'crop', 'of the light', 'dry tops', 'nitrogen in it', 'done'].map(
                (h) => (
                  <th key={h} scope="col" className="py-1 pr-4">
                    {h}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {mulch.days.map((d) => (
              <tr key={d.on} className="border-b border-rule2">
                <th scope="row" className="py-0.5 pr-4 text-left">
                  {spokenDate(d.on)}
                </th>
                <td className="fig pr-4">{d.mulchHeight}</td>
                <td className="fig pr-4">{d.cropHeight}</td>
                <td className="fig pr-4">
                  {d.light} % ({d.lightLow} to {d.lightHigh})
                </td>
                <td className="fig pr-4">{d.mulch}</td>
                <td className="fig pr-4">{d.nitrogen}</td>
                <td>{d.passes.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        Suppress, not kill: the weed-free period ends about {spokenDate(mulch.weedFreeUntil)}. A
        suppression is a pass of the end, dated after planting.
      </p>
    </section>
  );
}

import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';

/** The ways to use a cover on the day it ends, side by side, with what each leaves. */
export function Uses({ subject }: { subject: string }) {
  const { state } = useOpenPlan();
  const step = state.evaluation?.grow.steps[subject];
  if (!step || step.uses.length === 0) return null;
  return (
    <section aria-label="Ways to use it">
      <h3 className="mt-4 font-bold">Mulch, grazing, silage or hay on the day it ends</h3>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Table of uses">
        <table className="mt-1 min-w-[560px] border-collapse text-[13.5px]">
          <thead>
            <tr className="border-b border-rule text-left text-ink2">
              <th scope="col" className="py-1 pr-4 font-medium">
                Use
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                Fed, dry
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                Left on the ground
              </th>
              <th scope="col" className="py-1 pr-4 font-medium">
                Nitrogen carried off
              </th>
              <th scope="col" className="py-1 font-medium">
                Dry days in time
              </th>
            </tr>
          </thead>
          <tbody>
            {step.uses.map((u) => (
              <tr key={u.id} className="border-b border-rule2 align-top">
                <th scope="row" className="py-1 pr-4 text-left align-top font-medium">
                  {u.name}
                </th>
                <td className="py-1 pr-4">
                  <FigureText of={u.fed} />
                </td>
                <td className="py-1 pr-4">
                  <FigureText of={u.left} />
                  <span className="block text-[12.5px] text-ink2">
                    {u.mulch ? 'holds weeds as a mulch' : 'no mulch against weeds'}
                  </span>
                </td>
                <td className="py-1 pr-4">
                  <FigureText of={u.nitrogenGone} />
                </td>
                <td className="py-1">
                  {u.dryDays === 0 ? '–' : `${u.dryDays} on end in ${u.dryYearsOfTen} of 10 years`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-[13px] text-ink2">
        {step.protein && (
          <>
            Crude protein of all that stands then: <FigureText of={step.protein} />.{' '}
          </>
        )}
        {step.quality.join(' ')} What is cut or sold takes its phosphorus and potassium along.
      </p>
    </section>
  );
}

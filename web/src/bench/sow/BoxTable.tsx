import { Link } from 'react-router';

import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import type { Of } from '../../plan/edit';
import { spokenDate } from '../../ui/days';
import { calibrateLink, useLastCatch } from './calibrate';

/** What goes into each box, how long it lasts, and what the catch test must weigh. */
export function BoxTable({
  seen,
  coverId,
  sow,
}: {
  seen: Schemas['MixChapterView'] | undefined;
  coverId: string;
  sow: Of<'sow'> | undefined;
}) {
  const { knowledge, state, field } = useOpenPlan();
  const last = useLastCatch(state.plan.id, coverId);
  const name = (id: string) => knowledge.species.find((s) => s.id === id)?.name ?? id;
  return (
    <table className="mt-2 w-full max-w-[860px]">
      <thead>
        <tr className="border-b border-ink text-left text-[12.5px]">
          <th className="py-1">box</th>
          <th>seed, in the order it goes in</th>
          <th className="text-right">rate</th>
          <th className="text-right">density</th>
          <th className="text-right">fills</th>
          <th className="text-right">catch must weigh</th>
        </tr>
      </thead>
      <tbody>
        {seen?.boxes.map((b) => (
          <tr key={b.id} className="border-b border-rule2 align-baseline">
            <td className="py-1 font-bold">{b.name}</td>
            <td className="pr-3">{b.species.map(name).join(', ')}</td>
            <td className="pl-2 text-right">
              <FigureText of={b.rate} />
            </td>
            <td className="pl-2 text-right">
              <FigureText of={b.density} />
            </td>
            <td className="pl-2 text-right">
              {b.fills ? (
                <FigureText of={b.fills} />
              ) : (
                <i className="text-[13px] text-ink2">type its size</i>
              )}
            </td>
            <td className="pl-2 text-right font-bold">
              <FigureText of={b.catchTest} />
              <span className="mt-1 block text-[12.5px] font-normal">
                <Link
                  className="link inline-flex min-h-[28px] items-center"
                  aria-label={`Calibrate the ${b.name.toLowerCase()}`}
                  to={calibrateLink({
                    planId: state.plan.id,
                    coverId,
                    box: b.id,
                    rate: b.rate,
                    material: b.species.map(name).join(', '),
                    machine: field.equipment?.find((m) => m.kind === 'drill')?.name,
                    width: sow?.catchWidth,
                    distance: sow?.catchDistance,
                  })}
                >
                  calibrate
                </Link>
                {last(b.id) && (
                  <span className="block text-ink2">
                    caught {last(b.id)!.delivered} {last(b.id)!.unit}
                    {last(b.id)!.test.setting != null && ` at ${last(b.id)!.test.setting}`},{' '}
                    {spokenDate(last(b.id)!.at.slice(0, 10))}
                  </span>
                )}
              </span>
            </td>
          </tr>
        ))}
        {(seen?.boxes.length ?? 0) === 0 && (
          <tr>
            <td colSpan={6} className="py-1 text-ink2 italic">
              the boxes follow from the mix
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

import { useState } from 'react';

import { useOpenPlan } from '../../plan/context';
import { useFailures } from './asked';

/** What is left of the mix when one of its species does not come up. */
export function Failures({ coverId }: { coverId: string }) {
  const { state, knowledge } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const asked = useFailures(state.plan, coverId, open);
  const aims = state.plan.covers.find((c) => c.id === coverId)?.aims ?? [];
  return (
    <details className="mt-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-[15px] font-bold">
        What if one does not emerge{' '}
        <i className="text-[13px] font-medium text-ink2">the others take its room</i>
      </summary>
      {asked.isPending && open && <p className="italic">working it out</p>}
      {asked.isError && <p role="alert">{asked.error.message}</p>}
      {asked.data && (
        <table className="w-full max-w-[860px] text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-right text-[12px]">
              <th className="text-left">without</th>
              <th>dry tops left</th>
              {aims.map((a) => (
                <th key={a} className="px-2">
                  {knowledge.aims.find((x) => x.id === a)?.name ?? a}
                </th>
              ))}
              <th>of the aims lost</th>
            </tr>
          </thead>
          <tbody>
            {asked.data.map((f) => (
              <tr key={f.species} className="border-b border-rule2 text-right">
                <th scope="row" className="py-0.5 text-left font-bold">
                  {f.name}
                </th>
                <td className="fig">{f.mass ? `${f.mass.text} ${f.mass.unit}` : 'nothing'}</td>
                {f.aims.map((a) => (
                  <td key={a.id} className="fig px-2">
                    {a.text} {a.unit}
                  </td>
                ))}
                {f.aims.length === 0 && aims.map((a) => <td key={a} />)}
                <td className="fig font-bold">{f.lost} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </details>
  );
}

import { useQuery } from '@tanstack/react-query';

import { api, taken, today } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { Panel } from '../ui/Panel';

/** The latest useful sowing of every species in one window. */
export function LatestSowings({
  windowId,
  onClose,
}: {
  windowId: string | undefined;
  onClose: () => void;
}) {
  const { state } = useOpenPlan();
  const plan = state.plan;
  const asked = useQuery({
    queryKey: ['latest', windowId, plan],
    enabled: windowId !== undefined,
    gcTime: 0,
    retry: false,
    queryFn: async () =>
      taken(
        await api.POST('/api/windows/species', {
          body: { plan, asOf: today(), windowId: windowId ?? '' },
        }),
      ),
  });
  const day = (d: string | undefined) => (d ? spokenDate(d) : '–');
  return (
    <Panel
      wide
      title="Latest useful sowing, by species"
      open={windowId !== undefined}
      onOpenChange={(o) => !o && onClose()}
    >
      {asked.isPending && <p className="italic">working it out</p>}
      {asked.isError && <p role="alert">{asked.error.message}</p>}
      {asked.data && (
        <table className="w-full">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              <th className="py-1">species</th>
              <th className="text-right">5 years in 10</th>
              <th className="text-right">8 in 10</th>
              <th className="text-right">9 in 10</th>
              <th className="text-right">years that reach it</th>
            </tr>
          </thead>
          <tbody>
            {asked.data.map((s) => (
              <tr
                key={s.species}
                className={`border-b border-rule2 ${s.mostYears ? '' : 'text-ink3'}`}
              >
                <td className="py-0.5">{s.name}</td>
                <td className="fig text-right">{day(s.half)}</td>
                <td className="fig text-right font-bold">{day(s.mostYears)}</td>
                <td className="fig text-right">{day(s.nearlyAll)}</td>
                <td className="fig text-right">
                  {s.years} of {state.evaluation?.weather?.years}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  );
}

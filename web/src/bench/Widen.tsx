import { useQuery } from '@tanstack/react-query';

import { api, taken, today } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { Panel } from '../ui/Panel';

/** What would widen a window, best first; one click puts it into the plan, undo takes it out again. */
export function Widen({
  windowId,
  onClose,
}: {
  windowId: string | undefined;
  onClose: () => void;
}) {
  const { session, state } = useOpenPlan();
  const plan = state.plan;
  const asked = useQuery({
    queryKey: ['widen', windowId, plan],
    enabled: windowId !== undefined,
    gcTime: 0,
    queryFn: async () =>
      taken(
        await api.POST('/api/windows/proposals', {
          body: { plan, asOf: today(), windowId: windowId ?? '' },
        }),
      ),
  });
  const p = asked.data;
  return (
    <Panel
      wide
      title="What would widen this window"
      open={windowId !== undefined}
      onOpenChange={(o) => !o && onClose()}
    >
      {asked.isPending && <p className="italic">working it out</p>}
      {asked.isError && <p role="alert">It could not be worked out: {asked.error.message}</p>}
      {p && (
        <>
          <p>
            As the plan stands the cover is sown on <b className="fig">{spokenDate(p.sownNow)}</b>.
            {p.neededBy && (
              <>
                {' '}
                Needed by <b className="fig">{spokenDate(p.neededBy)}</b> for {p.neededFor}.
              </>
            )}
          </p>
          {p.proposals.length === 0 && (
            <p className="py-3 text-ink2 italic">Nothing of the usual would open it earlier.</p>
          )}
          <table className="mt-2 w-full">
            {p.proposals.length > 0 && (
              <thead>
                <tr className="border-b border-ink text-left text-[12.5px]">
                  <th className="py-1">what</th>
                  <th className="text-right">days</th>
                  <th className="pl-4">degree days gained</th>
                  <th className="pl-4">sown</th>
                  <th className="pl-4">what it costs</th>
                  <th />
                </tr>
              </thead>
            )}
            <tbody>
              {p.proposals.map((x) => (
                <tr key={x.id} className="border-b border-rule2 align-baseline">
                  <td className="max-w-56 py-1.5">
                    <b>{x.what}</b>
                    {x.reaches !== undefined && (
                      <span className="block text-[12.5px] text-ink2 italic">
                        {x.reaches ? 'reaches the date needed' : 'still too late'}
                      </span>
                    )}
                  </td>
                  <td className="fig text-right text-[17px] font-bold">{x.days}</td>
                  <td className="fig pl-4 text-[13px] whitespace-nowrap">{x.degreeDays ?? '–'}</td>
                  <td className="fig pl-4 whitespace-nowrap">{spokenDate(x.sowFrom)}</td>
                  <td className="max-w-64 pl-4 text-[13px]">{x.cost}</td>
                  <td className="pl-3 text-right">
                    <button
                      type="button"
                      className="btn whitespace-nowrap"
                      aria-label={`Do it: ${x.what}`}
                      onClick={() => {
                        session.change(() => x.plan);
                        onClose();
                      }}
                    >
                      Do it
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-[12.5px] text-ink2">
            Undo takes it back. Days and degree days are from the sowing it allows to the sowing of
            now; middle of the years, 1 in 10 each way.
          </p>
        </>
      )}
    </Panel>
  );
}

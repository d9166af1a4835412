import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, type Schemas } from '../api/client';
import { Panel } from '../ui/Panel';
import { spokenTime } from '../ui/dates';
import { useOpenPlan } from './context';

type Entry = Schemas['Entry'];

const PAGE = 40;

const KINDS: Record<string, (e: Entry) => string> = {
  create: () => 'made',
  edit: () => 'changed',
  import: () => 'taken from a file',
  merge: () => 'put together with another’s changes',
  undo: (e) => `took back ${e.target}`,
  redo: (e) => `did ${e.target} again`,
  restore: (e) => `brought back ${e.target}`,
};

/** Who changed what and when, and the way back to any of it. */
export function History() {
  const { session, state } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const planId = state.plan.id;
  const pages = useInfiniteQuery({
    queryKey: ['revisions', planId, state.revision],
    enabled: open,
    gcTime: 0,
    initialPageParam: undefined as number | undefined,
    queryFn: async ({ pageParam }) =>
      taken(
        await api.GET('/api/plans/{planId}/revisions', {
          params: { path: { planId }, query: pageParam ? { before: pageParam } : {} },
        }),
      ),
    getNextPageParam: (last) => (last.length === PAGE ? last.at(-1)?.number : undefined),
  });
  const restore = (number: number) => {
    setOpen(false);
    void session.restore(number);
  };
  return (
    <Panel
      side
      wide
      title="History of the plan"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="link">
          History
        </button>
      }
    >
      {pages.isPending && <p className="italic">reading the history</p>}
      {pages.isError && <p role="alert">The history could not be read: {pages.error.message}</p>}
      <ol aria-label="Revisions" className="text-[14px]">
        {pages.data?.pages.flat().map((e) => (
          <li key={e.number} className="flex gap-3 border-t border-rule2 py-2 first:border-t-0">
            <span className="fig w-8 shrink-0 text-right text-ink2">{e.number}</span>
            <div className="min-w-0 flex-1">
              <p className="text-[13px] text-ink2">
                <span className="fig">{spokenTime(e.savedAt)}</span>, {e.author}{' '}
                {(KINDS[e.kind] ?? (() => e.kind))(e)}
              </p>
              <ul>
                {e.changes.map((c) => (
                  <li key={c}>{c}</li>
                ))}
              </ul>
            </div>
            {e.number === state.revision ? (
              <span className="text-[13px] text-ink2 italic">as it is</span>
            ) : (
              <button
                type="button"
                className="link self-start text-[13px]"
                aria-label={`Bring back revision ${e.number}`}
                onClick={() => restore(e.number)}
              >
                bring back
              </button>
            )}
          </li>
        ))}
      </ol>
      {pages.hasNextPage && (
        <button
          type="button"
          className="btn mt-2"
          disabled={pages.isFetchingNextPage}
          onClick={() => void pages.fetchNextPage()}
        >
          Older
        </button>
      )}
    </Panel>
  );
}

import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken } from '../api/client';
import { Panel } from './Panel';
import { spokenTime } from './dates';

/** Who changed what of a farm, a field or a lot, and the way back. */
export function SharedHistory(props: {
  kind: 'farm' | 'field' | 'lot';
  id: string;
  title: string;
  label: string;
  onRestored: () => void;
}) {
  const [open, setOpen] = useState(false);
  const path = { kind: props.kind, documentId: props.id };
  const saves = useQuery({
    queryKey: ['history', props.kind, props.id],
    enabled: open,
    gcTime: 0,
    staleTime: 0,
    queryFn: async () =>
      taken(await api.GET('/api/history/{kind}/{documentId}', { params: { path } })),
  });
  const restore = useMutation({
    mutationFn: async (saveId: number) =>
      taken(
        await api.POST('/api/history/{kind}/{documentId}/{saveId}/restore', {
          params: { path: { ...path, saveId } },
        }),
      ),
    onSuccess: () => {
      setOpen(false);
      props.onRestored();
    },
  });
  return (
    <Panel
      side
      wide
      title={props.title}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="link text-[13px]" aria-label={props.label}>
          {props.kind === 'farm' ? 'history of the farm' : 'history'}
        </button>
      }
    >
      {saves.isPending && <p className="italic">reading the history</p>}
      {(saves.error ?? restore.error) && (
        <p role="alert">It did not work: {(saves.error ?? restore.error)?.message}</p>
      )}
      <ol className="text-[14px]">
        {saves.data?.map((e, i) => (
          <li key={e.id} className="flex gap-3 border-t border-rule2 py-2 first:border-t-0">
            <div className="min-w-0 flex-1">
              <p className="text-[13px] text-ink2">
                <span className="fig">{spokenTime(e.savedAt)}</span>, {e.author}{' '}
                {e.removed ? 'took it out' : e.changes.length > 0 ? 'changed' : 'saved'}
              </p>
              <ul>
                {e.changes.map((c) => (
                  <li key={c}>{c}</li>
                ))}
              </ul>
            </div>
            {i === 0 ? (
              <span className="text-[13px] text-ink2 italic">as it is</span>
            ) : (
              !e.removed && (
                <button
                  type="button"
                  className="link self-start text-[13px]"
                  aria-label={`Bring back what it was on ${spokenTime(e.savedAt)}`}
                  onClick={() => restore.mutate(e.id)}
                >
                  bring back
                </button>
              )
            )}
          </li>
        ))}
      </ol>
    </Panel>
  );
}

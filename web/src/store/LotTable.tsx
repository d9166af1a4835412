import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';

import { api, Refusal, taken, token, type Schemas } from '../api/client';
import { Panel } from '../ui/Panel';

type Read = Schemas['Read'];

/** Lots from a table: looked at first, with the lines that cannot be; kept only when somebody says so. */
export function LotTable() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const look = useMutation({
    mutationFn: async (file: File) => {
      const response = await fetch('/api/lots/tables', {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
        body: file,
      });
      const body = (await response.json()) as Read & { detail?: string };
      return taken<Read>({ data: body, error: body, response });
    },
  });
  const keep = useMutation({
    mutationFn: async (lots: Read['lots']) => {
      const met: string[] = [];
      for (const mine of lots) {
        try {
          taken(
            await api.PUT('/api/lots/{lotId}', {
              params: { path: { lotId: mine.id } },
              body: { mine },
            }),
          );
        } catch (e) {
          if (!(e instanceof Refusal) || e.status !== 409) throw e;
          met.push(mine.label);
        }
      }
      return met;
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['lots'] }),
    onSuccess: (met) => {
      if (met.length === 0) look.reset();
    },
  });
  const read = look.data;
  const close = () => {
    look.reset();
    keep.reset();
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        Lots from a table
      </button>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,text/csv"
        aria-label="Table of lots"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) look.mutate(file);
          e.target.value = '';
        }}
      />
      {look.error && (
        <p role="alert" className="basis-full text-hand">
          Nothing was taken: {look.error.message}
        </p>
      )}
      <Panel
        title="Lots in the table"
        open={read !== undefined}
        onOpenChange={(o) => !o && close()}
      >
        {read && (
          <>
            <p>
              <span className="fig">{read.lots.length}</span> can be kept
              {read.problems.length > 0 && (
                <>
                  , <span className="fig">{read.problems.length}</span> cannot
                </>
              )}
              .
            </p>
            <ul className="my-2 max-h-72 overflow-y-auto text-[14px]">
              {read.problems.map((p) => (
                <li key={p.line} className="text-hand">
                  line <span className="fig">{p.line}</span>: {p.message}
                </li>
              ))}
              {read.lots.map((l) => (
                <li key={l.id}>
                  {l.label},{' '}
                  <span className="fig">
                    {l.purityPercent} % pure, {l.germinationPercent} % germination
                  </span>
                </li>
              ))}
            </ul>
            {(keep.data?.length ?? 0) > 0 && (
              <p role="alert" className="text-hand">
                Here already, and otherwise than in the table; left as they are:{' '}
                {keep.data?.join(', ')}
              </p>
            )}
            {keep.error && (
              <p role="alert" className="text-hand">
                {keep.error.message}
              </p>
            )}
            {!keep.data && (
              <button
                type="button"
                className="btn btn-main"
                disabled={keep.isPending || read.lots.length === 0}
                onClick={() => keep.mutate(read.lots)}
              >
                Keep them
              </button>
            )}
          </>
        )}
      </Panel>
    </>
  );
}

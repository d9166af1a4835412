import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';

import { api, Refusal, taken, token, type Schemas } from '../api/client';
import { AskDecimalSign } from '../ui/AskDecimalSign';
import { Panel } from '../ui/Panel';

type Read = Schemas['Read'];

/** Lots from a table: looked at first, with the lines that cannot be; kept only when somebody says so. */
export function LotTable() {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const queries = useQueryClient();
  const look = useMutation({
    mutationFn: async ({ file, sign }: { file: File; sign?: string }) => {
      const query = sign ? `?decimalSign=${sign}` : '';
      const response = await fetch(`/api/lots/tables${query}`, {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
        body: file,
      });
      const body = (await response.json()) as Read & { detail?: string };
      return taken<Read>({ data: body, error: body, response });
    },
  });
  const keep = useMutation({
    mutationFn: async ({ lots, replace }: { lots: Read['lots']; replace: boolean }) => {
      const here = replace ? taken(await api.GET('/api/lots')) : [];
      const met: Read['lots'] = [];
      for (const mine of lots) {
        const base = here.find((l) => l.id === mine.id);
        try {
          taken(
            await api.PUT('/api/lots/{lotId}', {
              params: { path: { lotId: mine.id } },
              body: { base, mine },
            }),
          );
        } catch (e) {
          if (!(e instanceof Refusal) || e.status !== 409) throw e;
          met.push(mine);
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
          if (file) {
            keep.reset();
            setFile(file);
            look.mutate({ file });
          }
          e.target.value = '';
        }}
      />
      {look.error && (
        <p role="alert" className="basis-full text-hand">
          Nothing was read: {look.error.message}
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
              <span className="fig">{read.lots.length}</span>{' '}
              {read.lots.length === 1 ? 'lot' : 'lots'} read
              {read.problems.length > 0 && (
                <>
                  , <span className="fig">{read.problems.length}</span>{' '}
                  {read.problems.length === 1 ? 'line' : 'lines'} with an error
                </>
              )}
              .
            </p>
            {read.unknownColumns.length > 0 && (
              <p role="alert" className="text-hand">
                Not read, because Etlo does not know{' '}
                {read.unknownColumns.length === 1 ? 'this column' : 'these columns'}:{' '}
                {read.unknownColumns.join(', ')}
              </p>
            )}
            {read.decimalSignNeeded && file && (
              <AskDecimalSign onAnswer={(sign) => look.mutate({ file, sign })} />
            )}
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
                Already in the store with other values: {keep.data?.map((l) => l.label).join(', ')}.
                All others were added.
                <span className="mt-1 flex gap-2">
                  <button
                    type="button"
                    className="btn"
                    disabled={keep.isPending}
                    onClick={() => keep.data && keep.mutate({ lots: keep.data, replace: true })}
                  >
                    Replace them by the table’s
                  </button>
                  <button type="button" className="btn" onClick={close}>
                    Leave them as they are
                  </button>
                </span>
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
                onClick={() => keep.mutate({ lots: read.lots, replace: false })}
              >
                Add to the store
              </button>
            )}
          </>
        )}
      </Panel>
    </>
  );
}

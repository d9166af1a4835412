import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';

import { api, Refusal, taken, token, type Schemas } from '../api/client';
import { AskDayOrder } from '../ui/AskDayOrder';
import { AskDecimalSign } from '../ui/AskDecimalSign';
import { spokenDate } from '../ui/days';
import { Panel } from '../ui/Panel';

type Read = Schemas['Read'];
/** What was asked about the table once. */
type Answers = { decimalSign?: string; dayOrder?: string };

const said = (what: string, q: { value: number; unit: string } | undefined) =>
  q
    ? [
        `${what} ${q.value.toLocaleString('en', { useGrouping: false })} ${q.unit.replace('¤', '').trim()}`,
      ]
    : [];

/** All that was read of a lot, so that a slip of the file is seen before it is kept. */
const numbers = (l: Read['lots'][number]) =>
  [
    `${l.purityPercent} % pure`,
    `${l.germinationPercent} % germination`,
    ...said('in store', l.stock),
    ...said('bag', l.bagSize),
    ...said('price', l.price),
    ...(l.testedOn ? [`tested ${spokenDate(l.testedOn)}`] : []),
  ].join(', ');

/** Lots from a table: looked at first, with the lines that cannot be; kept only when somebody says so. */
export function LotTable({ name }: { name: (species: string) => string }) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const [answers, setAnswers] = useState<Answers>({});
  const queries = useQueryClient();
  const look = useMutation({
    mutationFn: async ({ file, answers }: { file: File; answers: Answers }) => {
      const response = await fetch(`/api/lots/tables?${new URLSearchParams(answers)}`, {
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
  const answer = (of: File, more: Answers) => {
    const all = { ...answers, ...more };
    setAnswers(all);
    look.mutate({ file: of, answers: all });
  };
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
            setAnswers({});
            look.mutate({ file, answers: {} });
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
              <AskDecimalSign onAnswer={(decimalSign) => answer(file, { decimalSign })} />
            )}
            {read.dayOrderNeeded && file && (
              <AskDayOrder onAnswer={(dayOrder) => answer(file, { dayOrder })} />
            )}
            <ul className="my-2 max-h-72 overflow-y-auto text-[14px]">
              {read.problems.map((p) => (
                <li key={p.line} className="text-hand">
                  line <span className="fig">{p.line}</span>: {p.message}
                </li>
              ))}
              {read.lots.map((l) => (
                <li key={l.id}>
                  {name(l.species)}, {l.label}: <span className="fig">{numbers(l)}</span>
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

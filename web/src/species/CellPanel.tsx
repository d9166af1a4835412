import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';

import { api, Refusal, taken } from '../api/client';
import { spokenDate } from '../ui/days';
import { problemAt } from '../ui/inputs';
import { readNumber } from '../ui/numbers';
import { Panel } from '../ui/Panel';
import { shown, type Column, type Library, type Sheet } from './sheet';
import { Select } from '../ui/Select';

/** A number is sent as computers write it; what is not one is sent as typed, and the server says what is wrong. */
function plainValue(text: string, column: Column) {
  const read = readNumber(text);
  return column.kind === 'number' && read.kind === 'number' ? String(read.value) : text.trim();
}

/** One value of the library: where it comes from, and the practice's own in its place. */
export function CellPanel({
  library,
  sheet,
  column,
  onClose,
}: {
  library: Library;
  sheet: Sheet;
  column: Column;
  onClose: () => void;
}) {
  const id = useId();
  const queries = useQueryClient();
  const source = library.sources[sheet.sources[column.id] ?? -1];
  const own = sheet.corrections[column.id];
  const [value, setValue] = useState(own ? (sheet.cells[column.id] ?? '') : '');
  const [why, setWhy] = useState('');
  const path = { speciesId: sheet.id, columnId: column.id };
  const done = async () => {
    await queries.invalidateQueries();
    onClose();
  };
  const save = useMutation({
    mutationFn: async () =>
      taken(
        await api.PUT('/api/species/{speciesId}/cells/{columnId}', {
          params: { path },
          body: { value: plainValue(value, column), why },
        }),
      ),
    onSuccess: done,
  });
  const back = useMutation({
    mutationFn: async () =>
      taken(await api.DELETE('/api/species/{speciesId}/cells/{columnId}', { params: { path } })),
    onSuccess: done,
  });
  const history = useQuery({
    queryKey: ['species', sheet.id, 'history'],
    queryFn: async () =>
      taken(
        await api.GET('/api/species/{speciesId}/corrections', {
          params: { path: { speciesId: sheet.id } },
        }),
      ),
  });
  const changes = (history.data ?? []).filter((c) => c.column === column.id);
  const problems = save.error instanceof Refusal ? save.error.problems : undefined;
  const field = (pointer: string) => {
    const text = problemAt(problems, pointer);
    return (
      text && (
        <span role="alert" className="block text-[12.5px] text-hand">
          {text}
        </span>
      )
    );
  };
  return (
    <Panel title={`${sheet.name}: ${column.name}`} open onOpenChange={(o) => !o && onClose()}>
      <p className="fig text-[32px] leading-none font-bold">
        {shown(sheet.cells[column.id])}{' '}
        <span className="text-[14px] font-normal">{column.unit}</span>
      </p>
      <dl className="mt-3 grid grid-cols-[96px_1fr] gap-y-1 text-[14px]">
        <dt className="text-ink2">source</dt>
        <dd>{source?.text ?? 'not held'}</dd>
        <dt className="text-ink2">checked</dt>
        <dd>{source?.status}</dd>
        <dt className="text-ink2">confidence</dt>
        <dd>{own ? 'that of your own correction' : column.confidence}</dd>
        {own && (
          <>
            <dt className="text-ink2">library</dt>
            <dd>
              <span className="fig">{shown(own.library)}</span> {column.unit}
            </dd>
          </>
        )}
      </dl>
      {column.kind !== 'fixed' && (
        <form
          className="mt-4 border-t border-rule pt-3"
          onSubmit={(e) => {
            e.preventDefault();
            save.mutate();
          }}
        >
          <h3 className="text-[15px] font-bold">Use another value in this practice</h3>
          <label htmlFor={`${id}v`} className="mt-2 block text-[13px] text-ink2">
            Value{column.unit ? `, ${column.unit}` : ''}
            {column.low !== undefined && ` (${column.low} to ${column.high})`}
            {column.kind === 'list' && ' (separated by ;)'}
          </label>
          {column.kind === 'choice' ? (
            <Select
              id={`${id}v`}
              value={value}
              empty="choose"
              options={column.choices.map((c) => ({ id: c, name: c }))}
              onChange={setValue}
            />
          ) : (
            <input
              id={`${id}v`}
              className={column.kind === 'number' ? 'w-32' : 'w-full'}
              inputMode={column.kind === 'number' ? 'decimal' : undefined}
              value={value}
              onChange={(e) => setValue(e.target.value)}
            />
          )}
          {field('/value')}
          {field('/column')}
          <label htmlFor={`${id}w`} className="mt-2 block text-[13px] text-ink2">
            Why (the workings show it)
          </label>
          <input
            id={`${id}w`}
            className="w-full"
            value={why}
            onChange={(e) => setWhy(e.target.value)}
          />
          {field('/why')}
          {save.error && !problems?.length && (
            <p role="alert" className="text-hand">
              {save.error.message}
            </p>
          )}
          <div className="mt-3 flex gap-3">
            <button type="submit" className="btn btn-main" disabled={save.isPending}>
              Use this value
            </button>
            {own && (
              <button type="button" className="btn" onClick={() => back.mutate()}>
                Back to the library's
              </button>
            )}
          </div>
        </form>
      )}
      {changes.length > 0 && (
        <>
          <h3 className="mt-4 text-[15px] font-bold">Changes</h3>
          <ul className="text-[13px]">
            {changes.map((c, i) => (
              <li key={i} className="border-b border-rule2 py-0.5">
                <span className="fig">{spokenDate(c.on)}</span>{' '}
                <b className="fig">{c.value ? shown(c.value) : "the library's"}</b> by {c.by}:{' '}
                <i>{c.why}</i>
              </li>
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}

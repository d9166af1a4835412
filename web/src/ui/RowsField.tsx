import { useState } from 'react';

import type { Problem, Quantity, UnitSymbol } from '../api/client';
import { tidy } from './tidy';
import type { Choice } from './Select';
import { Stack } from './Stack';
import { DateField } from './DateField';
import { NumberField, problemAt, QuantityField, SelectField, TextField } from './inputs';
import { Check } from './Check';

type Value = string | number | boolean | Quantity | undefined;

export interface Column {
  key: string;
  label: string;
  kind: 'text' | 'choice' | 'number' | 'day' | 'tick' | 'quantity';
  needed?: boolean;
  options?: (string | Choice)[];
  units?: UnitSymbol[];
  max?: number;
  suffix?: string;
  width?: string;
}

function Cell({
  column: c,
  value,
  about,
  problem,
  onChange,
}: {
  column: Column;
  value: Value;
  about: string;
  problem?: string;
  onChange: (v: Value) => void;
}) {
  const label = `${c.label}${about}`;
  const [text, setText] = useState(typeof value === 'string' ? value : '');
  const [known, setKnown] = useState(value);
  if (known !== value) {
    setKnown(value);
    if (typeof value === 'string' || value === undefined) setText(value ?? '');
  }
  switch (c.kind) {
    case 'text':
      return (
        <TextField
          label={label}
          hideLabel
          value={text}
          width={c.width ?? 'w-40'}
          problem={problem}
          onChange={setText}
          onDone={() => text.trim() !== (value ?? '') && onChange(text.trim() || undefined)}
        />
      );
    case 'choice':
      return (
        <SelectField
          hideLabel
          label={label}
          value={typeof value === 'string' ? value : ''}
          empty={c.needed ? undefined : '–'}
          options={(c.options ?? []).map((o) => (typeof o === 'string' ? { id: o, name: o } : o))}
          onChange={(v) => onChange(v || undefined)}
        />
      );
    case 'number':
      return (
        <NumberField
          hideLabel
          label={label}
          width={c.width ?? 'w-14'}
          max={c.max}
          value={typeof value === 'number' ? value : undefined}
          suffix={c.suffix && <span className="text-[11.5px] text-ink2">{c.suffix}</span>}
          problem={problem}
          onChange={onChange}
        />
      );
    case 'day':
      return (
        <DateField
          hideLabel
          label={label}
          value={typeof value === 'string' ? value : undefined}
          onChange={(d) => onChange(d || undefined)}
        />
      );
    case 'quantity':
      return (
        <QuantityField
          hideLabel
          label={label}
          units={c.units ?? []}
          value={typeof value === 'object' ? value : undefined}
          problem={problem}
          onChange={onChange}
        />
      );
    case 'tick':
      return (
        <Check
          label={label}
          checked={value === true}
          onChange={(on) => onChange(on || undefined)}
        />
      );
  }
}

/** A list of small entries, one a row; a new one is kept when it has what it needs. */
export function RowsField<T extends object>({
  title,
  one,
  columns,
  rows,
  fresh,
  problems,
  pointer,
  adds = true,
  onChange,
}: {
  title: string;
  /** What one row is called. */
  one: string;
  columns: Column[];
  rows: T[] | undefined;
  /** What a new row starts from. */
  fresh: Partial<T>;
  problems: Problem[];
  pointer: string;
  /** Whether a row can be added here. */
  adds?: boolean;
  onChange: (rows: T[] | undefined) => void;
}) {
  const [draft, setDraft] = useState<Record<string, Value>>();
  const all = (rows ?? []) as (T & Record<string, Value>)[];
  const put = (list: T[]) => onChange(list.length > 0 ? list : undefined);
  const ready =
    draft && columns.every((c) => !c.needed || (draft[c.key] !== undefined && draft[c.key] !== ''));
  return (
    <div className="mt-2">
      <div className="flex items-baseline gap-3">
        <h4 className="text-[13.5px] font-bold">{title}</h4>
        {adds && !draft && (
          <button
            type="button"
            className="link text-[13px]"
            onClick={() => setDraft({ ...(fresh as Record<string, Value>) })}
          >
            add {one}
          </button>
        )}
      </div>
      {(all.length > 0 || draft) && (
        <Stack>
          <table>
            <thead>
              <tr className="text-left text-[12px] text-ink2">
                {columns.map((c) => (
                  <th key={c.key} className="pr-3 font-normal">
                    {c.label}
                  </th>
                ))}
                <th />
              </tr>
            </thead>
            <tbody>
              {all.map((row, i) => (
                <tr key={i} className="border-b border-rule2 align-top">
                  {columns.map((c) => (
                    <td key={c.key} className="py-0.5 pr-3">
                      <Cell
                        column={c}
                        value={row[c.key]}
                        about={`, ${one} ${i + 1}`}
                        problem={problemAt(problems, `${pointer}/${i}/${c.key}`)}
                        onChange={(v) =>
                          (v !== undefined || !c.needed) &&
                          put(all.map((r, k) => (k === i ? tidy({ ...r, [c.key]: v }) : r)))
                        }
                      />
                    </td>
                  ))}
                  <td className="py-0.5">
                    <button
                      type="button"
                      className="link text-[13px]"
                      aria-label={`Remove ${one} ${i + 1}`}
                      onClick={() => put(all.filter((_, k) => k !== i))}
                    >
                      remove
                    </button>
                  </td>
                </tr>
              ))}
              {draft && (
                <tr className="align-top">
                  {columns.map((c) => (
                    <td key={c.key} className="py-0.5 pr-3">
                      <Cell
                        column={c}
                        value={draft[c.key]}
                        about={`, new ${one}`}
                        onChange={(v) => setDraft((d) => ({ ...d, [c.key]: v }))}
                      />
                    </td>
                  ))}
                  <td className="py-0.5 whitespace-nowrap">
                    <button
                      type="button"
                      className="btn"
                      disabled={!ready}
                      onClick={() => {
                        put([...all, tidy(draft) as unknown as T]);
                        setDraft(undefined);
                      }}
                    >
                      Add
                    </button>{' '}
                    <button
                      type="button"
                      className="link text-[13px]"
                      onClick={() => setDraft(undefined)}
                    >
                      cancel
                    </button>
                  </td>
                </tr>
              )}
            </tbody>
          </table>
        </Stack>
      )}
    </div>
  );
}

import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';

import { taken, token, type Field, type Problem, type Schemas } from '../api/client';
import { spokenDate } from '../ui/days';
import { AskDayOrder } from '../ui/AskDayOrder';
import { AskDecimalSign } from '../ui/AskDecimalSign';
import { Panel } from '../ui/Panel';
import { RowsField } from '../ui/RowsField';
import { SelectField } from '../ui/inputs';

type Table = Schemas['SoilTestTable'];
type Test = NonNullable<Field['soilTests']>[number];

const VALUES: { id: string; name: string }[] = [
  { id: 'date', name: 'day sampled' },
  { id: 'depth', name: 'depth' },
  { id: 'ph', name: 'pH' },
  { id: 'organicMatter', name: 'organic matter, %' },
  { id: 'phosphorus', name: 'phosphorus, mg/kg' },
  { id: 'potassium', name: 'potassium, mg/kg' },
  { id: 'nitrate', name: 'nitrate N, mg/kg' },
];

interface Asked {
  from: File;
  map: Record<string, string>;
  sign?: string;
  order?: string;
}

function TestRows({ tests }: { tests: Test[] }) {
  const cell = (v: number | undefined) => <td className="fig pl-4 text-right">{v ?? '–'}</td>;
  return (
    <table>
      <thead>
        <tr className="border-b border-ink text-right text-[12px]">
          <th className="text-left">sampled</th>
          <th className="pl-4">to</th>
          <th className="pl-4">pH</th>
          <th className="pl-4">OM %</th>
          <th className="pl-4">P mg/kg</th>
          <th className="pl-4">K mg/kg</th>
          <th className="pl-4">NO₃-N mg/kg</th>
        </tr>
      </thead>
      <tbody>
        {tests.map((t, i) => (
          <tr key={i} className="border-b border-rule2">
            <td className="fig">{spokenDate(t.date)}</td>
            <td className="fig pl-4 text-right">
              {t.depth ? `${t.depth.value} ${t.depth.unit}` : '–'}
            </td>
            {cell(t.ph)}
            {cell(t.organicMatterPercent)}
            {cell(t.phosphorusMgKg)}
            {cell(t.potassiumMgKg)}
            {cell(t.nitrateMgKg)}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Soil tests of the field, and a laboratory's table taken in: columns mapped, bad lines marked, kept when said so. */
export function SoilTests({
  tests,
  us,
  problems,
  onChange,
}: {
  tests: Test[] | undefined;
  us: boolean;
  problems: Problem[];
  onChange: (tests: Test[] | undefined) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const [sign, setSign] = useState<string>();
  const [order, setOrder] = useState<string>();
  const [mapping, setMapping] = useState<Record<string, string>>({});
  const look = useMutation({
    mutationFn: async ({ from, map, sign, order }: Asked) => {
      const query = new URLSearchParams(Object.entries(map).map(([k, v]) => ['map', `${k}:${v}`]));
      if (sign) query.set('decimalSign', sign);
      if (order) query.set('dayOrder', order);
      const response = await fetch(`/api/soil-tests/tables?${query}`, {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
        body: from,
      });
      const body = (await response.json()) as Table & { detail?: string };
      return taken<Table>({ data: body, error: body, response });
    },
  });
  const table = look.data;
  const map = (value: string, column: string) => {
    const next = { ...mapping, [value]: column };
    setMapping(next);
    if (file) look.mutate({ from: file, map: next, sign, order });
  };
  const close = () => {
    look.reset();
    setFile(undefined);
    setMapping({});
  };
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-baseline gap-3">
        <h4 className="text-[13.5px] font-bold">Soil tests</h4>
        <button type="button" className="link text-[13px]" onClick={() => input.current?.click()}>
          read a laboratory’s table
        </button>
        {(tests?.length ?? 0) > 0 && (
          <button type="button" className="link text-[13px]" onClick={() => onChange(undefined)}>
            remove all
          </button>
        )}
        <input
          ref={input}
          type="file"
          accept=".csv,.txt,text/csv"
          aria-label="Table of soil tests"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            const chosen = e.target.files?.[0];
            if (chosen) {
              setFile(chosen);
              setMapping({});
              setSign(undefined);
              setOrder(undefined);
              look.mutate({ from: chosen, map: {} });
            }
            e.target.value = '';
          }}
        />
      </div>
      {look.error && (
        <p role="alert" className="text-hand">
          Nothing was read: {look.error.message}
        </p>
      )}
      <RowsField
        title=""
        one="soil test"
        pointer="/soilTests"
        problems={problems}
        rows={tests}
        fresh={{}}
        columns={[
          { key: 'date', label: 'sampled', kind: 'day', needed: true },
          {
            key: 'depth',
            label: 'down to',
            kind: 'quantity',
            units: us ? ['in', 'cm'] : ['cm', 'in'],
          },
          { key: 'ph', label: 'pH', kind: 'number', max: 11 },
          {
            key: 'organicMatterPercent',
            label: 'organic matter',
            kind: 'number',
            max: 100,
            suffix: '%',
          },
          { key: 'phosphorusMgKg', label: 'P', kind: 'number', max: 5000, suffix: 'mg/kg' },
          { key: 'potassiumMgKg', label: 'K', kind: 'number', max: 10000, suffix: 'mg/kg' },
          { key: 'nitrateMgKg', label: 'nitrate N', kind: 'number', max: 1000, suffix: 'mg/kg' },
        ]}
        onChange={onChange}
      />
      <Panel
        wide
        title="Soil tests in the table"
        open={table !== undefined}
        onOpenChange={(o) => !o && close()}
      >
        {table && (
          <>
            <div className="flex flex-wrap gap-3">
              {VALUES.map((v) => (
                <SelectField
                  key={v.id}
                  label={v.name}
                  value={table.mapping[v.id] ?? ''}
                  empty="not in the table"
                  options={table.header.map((h) => ({ id: h, name: h }))}
                  onChange={(column) => map(v.id, column)}
                />
              ))}
            </div>
            {table.needed.length > 0 && (
              <p role="alert" className="mt-2 text-hand">
                Choose the column that holds the day of sampling.
              </p>
            )}
            {table.decimalSignNeeded && file && (
              <AskDecimalSign
                onAnswer={(to) => {
                  setSign(to);
                  look.mutate({ from: file, map: mapping, sign: to, order });
                }}
              />
            )}
            {table.dayOrderNeeded && file && (
              <AskDayOrder
                onAnswer={(to) => {
                  setOrder(to);
                  look.mutate({ from: file, map: mapping, sign, order: to });
                }}
              />
            )}
            <p className="mt-2">
              <span className="fig">{table.tests.length}</span>{' '}
              {table.tests.length === 1 ? 'test' : 'tests'} read
              {table.problems.length > 0 && (
                <>
                  , <span className="fig">{table.problems.length}</span>{' '}
                  {table.problems.length === 1 ? 'cell or line' : 'cells or lines'} with an error
                </>
              )}
              .
            </p>
            <ul className="max-h-40 overflow-y-auto text-[13.5px]">
              {table.problems.map((p, i) => (
                <li key={i} className="text-hand">
                  line <span className="fig">{p.line}</span>
                  {p.column && `, ${p.column}`}: {p.message}
                </li>
              ))}
            </ul>
            <div className="max-h-52 overflow-y-auto">
              <TestRows tests={table.tests.slice(0, 40)} />
            </div>
            <button
              type="button"
              className="btn btn-main mt-3"
              disabled={table.tests.length === 0}
              onClick={() => {
                onChange([...(tests ?? []), ...table.tests]);
                close();
              }}
            >
              Add to the field
            </button>
          </>
        )}
      </Panel>
    </div>
  );
}

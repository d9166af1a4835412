import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, today, type Schemas } from '../api/client';
import { csvOf, plainNumber } from '../ui/csv';
import { spokenDate } from '../ui/days';
import { SelectField } from '../ui/inputs';
import { Panel } from '../ui/Panel';
import { useOpenPlan } from './context';
import { handOver } from './handOver';

type Days = Schemas['DaysView'];

/** The days as a table for a spreadsheet: dates as yyyy-mm-dd, thousands not grouped. */
export const asCsv = (days: Days) =>
  csvOf([
    ['day', ...days.columns.map((c) => (c.unit ? `${c.name} (${c.unit})` : c.name))],
    ...days.rows.map((r) => [r.day, ...r.cells.map(plainNumber)]),
  ]);

/** A stand day by day, on request: as a table to read and a file to take along. */
export function StandDays() {
  const { state, field } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const [standId, setStandId] = useState('');
  const asked = useMutation({
    mutationFn: async (stand: string) =>
      taken(
        await api.POST('/api/ground/days', {
          body: { plan: state.plan, asOf: today(), standId: stand },
        }),
      ),
  });
  const stands = state.evaluation?.section.stands.filter((s) => s.parts.some((p) => p.grown)) ?? [];
  if (stands.length === 0) return null;
  const ask = (id: string) => {
    setStandId(id);
    asked.mutate(id);
  };
  const days = asked.data;
  return (
    <Panel
      title="Day by day"
      open={open}
      onOpenChange={(on) => {
        setOpen(on);
        if (on) ask(stands.find((s) => s.cover)?.id ?? stands[0]!.id);
      }}
      wide
      trigger={
        <button type="button" className="link">
          a stand day by day
        </button>
      }
    >
      <div className="flex flex-wrap items-end gap-4">
        <SelectField
          label="Stand"
          value={standId}
          onChange={ask}
          options={stands.map((s) => ({
            id: s.id,
            name: `${s.label}, from ${spokenDate(s.from)}`,
          }))}
        />
        {days && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              handOver(
                new Blob([asCsv(days)], { type: 'text/csv' }),
                `${field.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'field'}-${days.standId}-days.csv`,
              )
            }
          >
            Take it along as CSV
          </button>
        )}
      </div>
      {asked.isError && (
        <p role="alert" className="mt-2 text-hand">
          The days could not be worked out: {asked.error.message}
        </p>
      )}
      {days && (
        <div
          className="mt-3 max-h-[60dvh] overflow-auto"
          tabIndex={0}
          role="region"
          aria-label="Days"
        >
          <table className="text-[12.5px]">
            <thead className="sticky top-0 bg-paper">
              <tr className="border-b border-ink text-left align-bottom">
                <th className="pr-3">day</th>
                {days.columns.map((c) => (
                  <th key={c.name} className="min-w-[4.5rem] px-1.5 text-right font-medium">
                    {c.name}
                    {c.unit && <span className="block text-ink2">{c.unit}</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="fig">
              {days.rows.map((r) => (
                <tr key={r.day} className="border-b border-rule2">
                  <th scope="row" className="pr-3 text-left font-normal whitespace-nowrap">
                    {spokenDate(r.day)}
                  </th>
                  {r.cells.map((c, i) => (
                    <td key={days.columns[i]?.name} className="px-1.5 text-right whitespace-nowrap">
                      {c}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </Panel>
  );
}

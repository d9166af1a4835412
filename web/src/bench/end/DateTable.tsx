import { useState } from 'react';

import { taken, today, token, type Plan } from '../../api/client';
import { handOver } from '../../plan/handOver';
import { csvOf } from '../../ui/csv';
import { spokenDate } from '../../ui/days';
import type { Dates } from './asked';
import { at } from './compare';

/** Days that every row was worked out for; the days of what lives where the ground is still to come. */
function daysOf(dates: Dates) {
  const fewest = [...dates.rows].sort((a, b) => a.points.length - b.points.length)[0];
  return fewest?.points.map((p) => p.on) ?? [];
}

/** For a spreadsheet: dates as yyyy-mm-dd, the middle of the years with the band of 8 in 10. */
export function asCsv(dates: Dates): string {
  const heads = dates.rows.flatMap((r) => {
    const name = r.unit ? `${r.name} (${r.unit})` : r.name;
    return [name, `${name}, 1 year in 10 under`, `${name}, 1 year in 10 over`];
  });
  const lines = daysOf(dates).map((day) => [
    day,
    ...dates.rows.flatMap((r) => {
      const p = r.points.find((q) => q.on === day);
      return p ? [String(p.middle), String(p.low), String(p.high)] : ['', '', ''];
    }),
  ]);
  return csvOf([['cover ended on', ...heads], ...lines]);
}

/** The same as the strips in figures, in any order, to read and to take along. */
export function DateTable({
  dates,
  plan,
  planned,
  file,
}: {
  dates: Dates;
  plan: Plan;
  planned: string | undefined;
  file: string;
}) {
  const [by, setBy] = useState<{ row?: string; down: boolean }>({ down: false });
  const [problem, setProblem] = useState('');
  const sorted = dates.rows.find((r) => r.id === by.row);
  const days = daysOf(dates);
  const ordered = sorted
    ? [...days].sort((a, b) => (at(sorted, a)?.middle ?? 0) - (at(sorted, b)?.middle ?? 0))
    : days;
  const shown = by.down ? [...ordered].reverse() : ordered;
  const sort = (row?: string) =>
    setBy((now) => ({ row, down: now.row === row ? !now.down : false }));
  const workbook = async () => {
    setProblem('');
    try {
      const response = await fetch('/api/covers/end-dates/workbook', {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/json' },
        body: JSON.stringify({ plan, asOf: today(), coverId: dates.coverId, coarse: false }),
      });
      if (!response.ok) taken({ error: await response.json(), response });
      handOver(await response.blob(), `${file}.xlsx`);
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'it did not work');
    }
  };
  const mark = (row?: string) => (by.row !== row ? '' : by.down ? ' ↓' : ' ↑');
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-[15px] font-bold">The days as a table</summary>
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => handOver(new Blob([asCsv(dates)], { type: 'text/csv' }), `${file}.csv`)}
        >
          Take it along as CSV
        </button>
        <button
          type="button"
          className="btn"
          disabled={dates.coarse}
          onClick={() => void workbook()}
        >
          As XLSX
        </button>
        {problem && (
          <span role="alert" className="text-hand">
            no file: {problem}
          </span>
        )}
      </div>
      <div
        className="mt-2 max-h-[60dvh] overflow-auto"
        tabIndex={0}
        role="region"
        aria-label="Days of the end"
      >
        <table className="text-[12.5px]">
          <thead className="sticky top-0 bg-paper">
            <tr className="border-b border-ink text-right align-bottom">
              <th
                className="pr-2 text-left"
                aria-sort={by.row ? 'none' : by.down ? 'descending' : 'ascending'}
              >
                <button type="button" className="font-bold" onClick={() => sort()}>
                  ended{mark()}
                </button>
              </th>
              {dates.rows.map((r) => (
                <th
                  key={r.id}
                  className="min-w-[4.6rem] px-1.5 font-medium"
                  aria-sort={by.row === r.id ? (by.down ? 'descending' : 'ascending') : undefined}
                >
                  <button type="button" className="text-right" onClick={() => sort(r.id)}>
                    {r.name}
                    {mark(r.id)}
                    {r.unit && <span className="block text-ink2">{r.unit}</span>}
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="fig">
            {shown.map((day) => (
              <tr
                key={day}
                className={`border-b border-rule2 ${day === planned ? 'bg-handwash' : ''}`}
              >
                <th scope="row" className="pr-2 text-left font-normal whitespace-nowrap">
                  {spokenDate(day)}
                  {day === planned && <span className="sr-only">, as planned</span>}
                </th>
                {dates.rows.map((r) => {
                  const p = r.points.find((q) => q.on === day);
                  return (
                    <td key={r.id} className="px-1.5 text-right whitespace-nowrap">
                      {p ? (
                        <>
                          {p.text}
                          {p.low !== p.high && (
                            <span className="block text-[11px] text-ink2">
                              {p.low.toFixed(r.decimals)} … {p.high.toFixed(r.decimals)}
                            </span>
                          )}
                        </>
                      ) : (
                        '–'
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

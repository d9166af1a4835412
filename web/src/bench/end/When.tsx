import type { ScaleLinear } from 'd3-scale';
import { useId } from 'react';

import { dayNumber } from '../../ui/days';
import type { Dates } from './asked';
import { MarkLines, type Marks } from './Strip';

const HEIGHT = 22;

/** What speaks against a day. */
export const blockedOn = (dates: Dates, day: string) =>
  dates.blocked.filter((b) => b.from <= day && day <= b.to);

/** On which days rules, intervals and seed let it end: free, in doubt, or a stop; and which days the aims favour. */
export function When({
  dates,
  x,
  chart,
  left,
  right,
  narrow,
  marks,
}: {
  dates: Dates;
  x: ScaleLinear<number, number>;
  chart: number;
  left: number;
  right: number;
  narrow: boolean;
  marks: Marks;
}) {
  const hatch = useId();
  const [start = 0] = x.domain();
  const bar = (from: string, to: string): [number, number] => {
    const a = x(Math.max(start, dayNumber(from) - 0.5));
    return [a, Math.max(2, x(dayNumber(to) + 0.5) - a)];
  };
  const said = blockedOn(dates, marks.looked);
  const word = said.some((b) => b.stop) ? 'stop' : said.length > 0 ? 'in doubt' : 'free';
  const name = (text: string, value?: string) => (
    <div
      className={
        narrow
          ? 'flex justify-between gap-2 text-[13px]'
          : 'shrink-0 pr-2 text-[13px] leading-tight'
      }
      style={narrow ? undefined : { width: left }}
    >
      <span>{text}</span>
      {narrow && value && <b>{value}</b>}
    </div>
  );
  const row = `border-b border-rule2 ${narrow ? '' : 'flex items-center'}`;
  return (
    <>
      <div className={row}>
        {name('May it end then', word)}
        <svg width={chart} height={HEIGHT} aria-hidden className="block">
          <defs>
            <pattern
              id={hatch}
              width="5"
              height="5"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <path d="M0 0V5" stroke="var(--hand)" strokeWidth="2.5" />
            </pattern>
          </defs>
          <rect x="0" y="9" width={chart} height="4" fill="var(--ink3)" />
          {dates.blocked
            .filter((b) => dayNumber(b.to) >= start)
            .map((b) => {
              const [a, w] = bar(b.from, b.to);
              return (
                <rect
                  key={`${b.from}${b.why[0]}`}
                  x={a}
                  y={b.stop ? 3 : 6}
                  width={w}
                  height={b.stop ? 16 : 10}
                  fill={b.stop ? `url(#${hatch})` : 'var(--paper)'}
                  stroke="var(--hand)"
                  strokeDasharray={b.stop ? undefined : '2 2'}
                />
              );
            })}
          <MarkLines x={x} height={HEIGHT} marks={marks} />
        </svg>
        {!narrow && (
          <div className="shrink-0 pl-2 text-right text-[14px] font-bold" style={{ width: right }}>
            {word}
          </div>
        )}
      </div>
      {dates.favoured.map((f) => {
        const [a, w] = bar(f.from, f.to);
        return (
          <div key={f.aim} className={row} title={f.why}>
            {name(`Favoured: ${f.name.toLowerCase()}`)}
            <svg width={chart} height={HEIGHT} aria-hidden className="block">
              {dayNumber(f.to) >= start && (
                <rect x={a} y="9" width={w} height="4" fill="var(--ink)" />
              )}
              <MarkLines x={x} height={HEIGHT} marks={marks} />
            </svg>
            <span className="sr-only">
              {f.from} to {f.to}: {f.why}
            </span>
          </div>
        );
      })}
    </>
  );
}

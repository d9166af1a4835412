import { scaleLinear } from 'd3-scale';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';

import { useWidth } from '../../section/useWidth';
import { addDays, dateOf, dayNumber, MONTHS, spokenDate } from '../../ui/days';
import type { Dates, Row } from './asked';
import { at, changes, type Change } from './compare';
import { MarkLines, Strip, type Marks } from './Strip';
import { blockedOn, When } from './When';

const GROUPS: Record<string, string> = {
  stand: 'What stands on the day',
  kill: 'What each way would kill of it',
  soil: 'What the crop finds',
  crop: 'What the crop gets',
};
const AXIS = 30;
/** Shown before the planting at first: that is when it is decided. */
const WEEKS = 9;

/** Whether a row is as good as the same on all days from one on. */
function isEven(row: Row, from: string) {
  const seen = row.points.filter((p) => p.on >= from).map((p) => p.middle);
  return seen.length > 0 && Math.max(...seen) - Math.min(...seen) < 3;
}

const held = (day: string, d: Dates) => (day < d.from ? d.from : day > d.to ? d.to : day);

/** The 1st and the 15th of the months between two days. */
function ticks(from: string, to: string) {
  const found: { day: string; text: string }[] = [];
  const days = dayNumber(to) - dayNumber(from);
  for (let n = dayNumber(from); n <= dayNumber(to); n++) {
    const day = dateOf(n);
    const d = Number(day.slice(8));
    if (d === 1 || (days < 120 && d === 15)) {
      found.push({ day, text: d === 1 ? (MONTHS[Number(day.slice(5, 7)) - 1] ?? '') : '15' });
    }
  }
  return found;
}

function Value({ row, day, bold }: { row: Row; day: string; bold: boolean }) {
  const p = at(row, day);
  if (!p) return <span className="fig text-ink3">–</span>;
  return (
    <span className={`fig whitespace-nowrap ${bold ? 'text-[16px] font-bold' : 'text-[14px]'}`}>
      {p.text}
      {row.unit && <span className="ml-1 text-[11.5px] font-normal text-ink2">{row.unit}</span>}
    </span>
  );
}

const SIGN = { better: '▲', worse: '▽', told: '·' };
const WORD = { better: 'Better', worse: 'Worse', told: 'Otherwise' };

function ChangeList({ of, as }: { of: Change[]; as: Change['as'] }) {
  const list = of.filter((c) => c.as === as);
  if (list.length === 0) return null;
  return (
    <div className="min-w-52 flex-1">
      <b className="text-[13px]">{WORD[as]}</b>
      <ul className="text-[13.5px] leading-snug">
        {list.map((c) => (
          <li key={c.id} className="flex gap-1.5">
            <span aria-hidden>{SIGN[as]}</span> {c.text}
          </li>
        ))}
      </ul>
    </div>
  );
}

/**
 * The consequences of ending the cover on each day, as strips on one time axis. A line through all of them is moved by mouse, finger or
 * arrow keys; beside it stands the day of the plan.
 */
export function DateStrips({
  dates,
  planned,
  onTake,
}: {
  dates: Dates;
  planned: string | undefined;
  onTake: (day: string) => void;
}) {
  const [ref, width] = useWidth(760);
  const [looked, setLooked] = useState<string>();
  const inside = planned && planned >= dates.from && planned <= dates.to ? planned : undefined;
  const from = inside ?? held(dates.planting ?? dates.to, dates);
  const [all, setAll] = useState(false);
  const start = all ? dates.from : held(addDays(dates.planting ?? from, -WEEKS * 7), dates);
  const later = addDays(from, 14);
  const day = held(looked ?? (later <= dates.to ? later : addDays(from, -14)), dates);
  const narrow = width < 560;
  const [left, right] = narrow ? [0, 0] : [172, 92];
  const chart = Math.max(160, width - left - right);
  const x = scaleLinear([dayNumber(start), dayNumber(dates.to)], [2, chart - 2]);
  const marks: Marks = { planned: inside, looked: day, planting: dates.planting };
  const look = (d: string) => setLooked(held(d, dates));
  const point = (e: PointerEvent<HTMLElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    look(dateOf(Math.round(x.invert(e.clientX - box.left - left))));
  };
  const keys = (e: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: -7, PageDown: 7 }[e.key];
    if (by !== undefined) look(addDays(day, by));
    else if (e.key === 'Home') look(dates.from);
    else if (e.key === 'End') look(dates.to);
    else if (e.key === 'Enter') onTake(day);
    else return;
    e.preventDefault();
  };
  const even = dates.rows.filter((r) => r.group === 'kill' && isEven(r, start));
  const drawn = dates.rows.filter((r) => !even.includes(r));
  const groups = Object.keys(GROUPS).filter((g) => dates.rows.some((r) => r.group === g));
  const blocks = blockedOn(dates, day);
  const told = day === from ? [] : changes(dates.rows, from, day);
  return (
    <div ref={ref} className="mt-2">
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {[-7, 7, 14].map((n) => (
          <button
            key={n}
            type="button"
            className="btn"
            disabled={held(addDays(from, n), dates) !== addDays(from, n)}
            onClick={() => look(addDays(from, n))}
          >
            {n === -7 ? 'A week sooner' : n === 7 ? 'Wait a week' : 'Wait two weeks'}
          </button>
        ))}
        <button
          type="button"
          className="link text-[13px]"
          aria-pressed={all}
          onClick={() => setAll(!all)}
        >
          {all ? 'the weeks around planting' : 'all days since sowing'}
        </button>
        {day !== planned && (
          <button type="button" className="btn btn-main" onClick={() => onTake(day)}>
            End it on {spokenDate(day)}
          </button>
        )}
      </div>
      <div aria-live="polite">
        {told.length > 0 && (
          <section aria-label="What changes" className="mt-2">
            <h4 className="font-bold">
              From {spokenDate(from, false)} to {spokenDate(day)}
            </h4>
            <div className="flex flex-wrap gap-x-6 gap-y-2">
              <ChangeList of={told} as="better" />
              <ChangeList of={told} as="worse" />
              <ChangeList of={told} as="told" />
            </div>
          </section>
        )}
      </div>
      <div
        className="relative mt-3 touch-pan-y select-none"
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          point(e);
        }}
        onPointerMove={(e) => e.buttons > 0 && point(e)}
      >
        <div className="flex items-end" style={{ paddingLeft: left }}>
          <div
            role="slider"
            tabIndex={0}
            aria-label="Day on which the cover would end"
            aria-valuemin={dayNumber(dates.from)}
            aria-valuemax={dayNumber(dates.to)}
            aria-valuenow={dayNumber(day)}
            aria-valuetext={spokenDate(day)}
            className="cursor-ew-resize"
            onKeyDown={keys}
          >
            <svg width={chart} height={AXIS} className="block overflow-visible" aria-hidden>
              {ticks(start, dates.to).map((t) => (
                <g key={t.day}>
                  <path
                    d={`M${x(dayNumber(t.day))} ${AXIS - 6}V${AXIS}`}
                    stroke="var(--ink3)"
                    strokeWidth="1"
                  />
                  <text x={x(dayNumber(t.day)) + 3} y={AXIS - 2} fontSize="11.5" fill="var(--ink2)">
                    {t.text}
                  </text>
                </g>
              ))}
              <MarkLines x={x} height={AXIS} marks={marks} />
              {dates.planting &&
                Math.abs(x(dayNumber(dates.planting)) - x(dayNumber(day))) > 52 && (
                  <text
                    x={Math.min(chart - 26, x(dayNumber(dates.planting)))}
                    y="11"
                    fontSize="11.5"
                    textAnchor="middle"
                    fill="var(--ink2)"
                  >
                    planting
                  </text>
                )}
              <text
                x={Math.max(34, Math.min(chart - 34, x(dayNumber(day))))}
                y="11"
                fontSize="13"
                fontWeight="700"
                textAnchor="middle"
                fill={day === inside ? 'var(--hand)' : 'var(--ink)'}
              >
                {spokenDate(day, false)}
              </text>
            </svg>
          </div>
        </div>
        <When
          dates={dates}
          x={x}
          chart={chart}
          left={left}
          right={right}
          narrow={narrow}
          marks={marks}
        />
        {groups.map((g) => (
          <div key={g}>
            <h4 className="border-b border-ink pt-1.5 text-[12.5px] font-bold">{GROUPS[g]}</h4>
            {drawn
              .filter((r) => r.group === g)
              .map((r) => (
                <div
                  key={r.id}
                  className={`border-b border-rule2 ${narrow ? '' : 'flex items-center'}`}
                >
                  <div
                    className={
                      narrow
                        ? 'flex items-baseline justify-between gap-2 text-[13px]'
                        : 'shrink-0 pr-2 text-[13px] leading-tight'
                    }
                    style={narrow ? undefined : { width: left }}
                  >
                    <span className={r.note ? 'text-ink3 line-through' : ''}>{r.name}</span>
                    {r.note && <span className="sr-only">: {r.note}</span>}
                    {narrow && <Value row={r} day={day} bold={false} />}
                  </div>
                  <Strip row={r} x={x} width={chart} marks={marks} />
                  {!narrow && (
                    <div className="shrink-0 pl-2 text-right" style={{ width: right }}>
                      <Value row={r} day={day} bold />
                    </div>
                  )}
                </div>
              ))}
            {g === 'kill' && even.length > 0 && (
              <p className="py-1 text-[13px]">
                the same on every day:{' '}
                {even.map((r, i) => (
                  <span key={r.id}>
                    {i > 0 && ', '}
                    <span className={r.note ? 'text-ink3 line-through' : ''}>
                      {r.name.replace(/^Killed: /, '')} <Value row={r} day={day} bold={false} />
                    </span>
                    {r.note && <span className="sr-only">: {r.note}</span>}
                  </span>
                ))}
              </p>
            )}
          </div>
        ))}
      </div>
      {blocks.map((b) => (
        <p key={b.from} className="mt-1 text-[13.5px]">
          <b className="text-hand">{b.stop ? 'Stop' : 'Doubt'}</b> on {spokenDate(day)}:{' '}
          {b.why.join('; ')}.
        </p>
      ))}
      <p className="mt-1 text-[12px] text-ink2">
        Line and band: the middle and 8 of 10 of <span className="fig">{dates.years}</span> weather
        years, ended by {dates.method}
        {dates.instead && `, ${dates.instead}`}. Red: the day of the plan; dotted: planting. Drag or
        use the arrow keys; Enter takes the day.
        {dates.rows.some((r) => r.note) && ' Struck through: this field may not.'}
      </p>
    </div>
  );
}

import { useImperativeHandle, useState, type PointerEvent, type Ref } from 'react';

import type { DisplayList } from './displayList';
import type { Section } from './model';
import { standing } from './model';
import { dayFigures, differences, inWordsOf } from './dayFigures';
import { weekAt } from './ribbon';
import { Word } from './ink';
import { spokenDay } from '../ui/days';
import { fahrenheitOf, feetOfM, inchesOfMm } from '../ui/convert';

export interface HoverHandle {
  at: (e: PointerEvent<SVGSVGElement>) => void;
  gone: () => void;
  /** Puts the line on a day or moves it by so many, for the keyboard. */
  move: (days: number) => void;
  /** Marks the day under the line, to see what differs from it; a second time takes the mark away. */
  mark: () => void;
  isShown: () => boolean;
}

const MOST_PLANTS = 4;
const LINE_PX = 13.5;
const WIDE_PX = 250;

/** A hairline at the day under the pointer, with what stands then. Its state is its own, so that nothing else is redrawn. */
export function HoverLine({
  ref,
  section,
  d,
  us,
}: {
  ref: Ref<HoverHandle>;
  section: Section;
  d: DisplayList;
  us: boolean;
}) {
  const [day, setDay] = useState<number>();
  const [mark, setMark] = useState<number>();
  const { x0, x1, from, to } = d.scale;
  useImperativeHandle(ref, () => ({
    at: (e) => {
      const box = e.currentTarget.getBoundingClientRect();
      const x = e.clientX - box.left;
      const y = e.clientY - box.top;
      const inside = x >= x0 && x <= x1 && y > d.skyTop && y < d.bottom && e.buttons === 0;
      setDay(inside ? Math.round(from + ((x - x0) / (x1 - x0)) * (to - from)) : undefined);
    },
    gone: () => setDay(undefined),
    move: (days) =>
      setDay((now) =>
        Math.min(
          to,
          Math.max(from, (now ?? Math.round((from + to) / 2)) + (now === undefined ? 0 : days)),
        ),
      ),
    mark: () => setMark((now) => (now === undefined || now !== day ? day : undefined)),
    isShown: () => day !== undefined,
  }));
  const at = (n: number) => x0 + ((n - from) / (to - from)) * (x1 - x0);
  const marked = mark !== undefined && mark >= from && mark <= to && (
    <path
      d={`M${at(mark)} ${d.skyTop}V${d.bottom}`}
      stroke="var(--hand)"
      strokeWidth="1.2"
      strokeDasharray="5 3"
      fill="none"
    />
  );
  if (day === undefined) return marked ? <g pointerEvents="none">{marked}</g> : null;
  const lines = linesOf(section, day, mark, us);
  const x = at(day);
  const left = x > x1 - WIDE_PX;
  const height = lines.length * LINE_PX + 6;
  const top = Math.min(d.ground + 4, d.bottom - height);
  return (
    <g pointerEvents="none">
      {marked}
      <path
        d={`M${x} ${d.skyTop}V${d.bottom}`}
        stroke="var(--ink)"
        strokeWidth="0.75"
        fill="none"
      />
      <rect
        x={left ? x - WIDE_PX - 4 : x + 4}
        y={top}
        width={WIDE_PX}
        height={height}
        fill="var(--paper)"
        fillOpacity="0.92"
        stroke="var(--rule)"
        strokeWidth="0.75"
      />
      {lines.map((t, i) => (
        <Word
          key={`${i} ${t}`}
          x={left ? x - WIDE_PX + 2 : x + 10}
          y={top + 13 + i * LINE_PX}
          size={11.5}
          weight={i === 0 ? 700 : 400}
          anchor="start"
        >
          {t}
        </Word>
      ))}
      <title>{lines.join('. ')}</title>
    </g>
  );
}

function linesOf(section: Section, day: number, mark: number | undefined, us: boolean): string[] {
  if (mark !== undefined && mark !== day) {
    const [a, b] = mark < day ? [mark, day] : [day, mark];
    return [
      `${spokenDay(a)} to ${spokenDay(b)}`,
      ...differences(section, a, b).map((f) => inWordsOf(f, us, true)),
    ];
  }
  const simulated = dayFigures(section, day);
  const plants = simulated.filter((f) => f.said !== undefined);
  const ground = simulated.filter((f) => f.said === undefined);
  const height = (m: number) => (us ? `${feetOfM(m).toFixed(1)} ft` : `${m.toFixed(2)} m`);
  const typical = section.ground
    ? []
    : standing(section, day)
        .slice(0, 3)
        .map((s) => `${s.name}, typically ${height(s.heightM)}`);
  const more = plants.length - MOST_PLANTS;
  return [
    spokenDay(day),
    ...plants.slice(0, MOST_PLANTS).map((f) => inWordsOf(f, us)),
    ...(more > 0 ? [`and ${more} more`] : []),
    ...typical,
    ...ground.map((f) => inWordsOf(f, us)),
    ...weatherLine(section, day, us),
  ];
}

function weatherLine(section: Section, day: number, us: boolean): string[] {
  const degrees = (c10: number) =>
    us ? `${Math.round(fahrenheitOf(c10 / 10))} °F` : `${Math.round(c10 / 10)} °C`;
  const rain = (mm: number) => (us ? `${inchesOfMm(mm).toFixed(1)} in` : `${mm} mm`);
  const week = weekAt(section, day);
  if (!week) return [];
  return [
    week.recorded
      ? `${degrees(week.meanC10)}, ${rain(week.rainMm)} that week`
      : `${degrees(week.lowC10)}…${degrees(week.highC10)}, ${rain(week.rainMm)} a week, frost ${week.frostPercent} %`,
  ];
}

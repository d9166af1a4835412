import { useImperativeHandle, useState, type PointerEvent, type Ref } from 'react';

import type { DisplayList, Section } from './geometry';
import { standing } from './geometry';
import { weekAt } from './ribbon';
import { Word } from './ink';
import { spokenDay } from './scale';

export interface HoverHandle {
  at: (e: PointerEvent<SVGSVGElement>) => void;
  gone: () => void;
}

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
  }));
  if (day === undefined) return null;
  const x = x0 + ((day - from) / (to - from)) * (x1 - x0);
  const left = x > x1 - 170;
  const height = (m: number) => (us ? `${(m / 0.3048).toFixed(1)} ft` : `${m.toFixed(2)} m`);
  const degrees = (c10: number) =>
    us ? `${Math.round((c10 / 10) * 1.8 + 32)} °F` : `${Math.round(c10 / 10)} °C`;
  const rain = (mm: number) => (us ? `${(mm / 25.4).toFixed(1)} in` : `${mm} mm`);
  const week = weekAt(section, day);
  const weather = week
    ? [
        week.recorded
          ? `${degrees(week.meanC10)}, ${rain(week.rainMm)} that week`
          : `${degrees(week.lowC10)} … ${degrees(week.highC10)}, ${rain(week.rainMm)} a week, frost ${week.frostPercent} % of nights`,
      ]
    : [];
  const lines = [
    ...standing(section, day)
      .slice(0, 3)
      .map((s) => `${s.name}, typically ${height(s.heightM)}`),
    ...weather,
  ];
  return (
    <g pointerEvents="none" aria-hidden>
      <path
        d={`M${x} ${d.skyTop}V${d.bottom}`}
        stroke="var(--ink)"
        strokeWidth="0.75"
        fill="none"
      />
      {[spokenDay(day), ...lines].map((t, i) => (
        <Word
          key={t}
          x={left ? x - 6 : x + 6}
          y={d.ground + 15 + i * 13}
          size={11.5}
          weight={i === 0 ? 700 : 400}
          anchor={left ? 'end' : 'start'}
          halo
        >
          {t}
        </Word>
      ))}
    </g>
  );
}

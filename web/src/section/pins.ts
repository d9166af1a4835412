import type { Section } from './geometry';
import { spokenDate, type TimeScale } from './scale';

export interface Pin {
  key: string;
  x: number;
  kind: string;
  subject: string;
  date: string;
  text: string;
  done: boolean;
  /** Row of its words, counted from the top; -1 where there is no room for them. */
  row: number;
}

const LETTER_PX = 5.9;

/** Pins in time with their words in as many rows as there are; a word without room is left out. */
export function pinsOf(
  pins: Section['pins'],
  today: string,
  scale: TimeScale,
  moved: Record<string, string>,
  rows: number,
): Pin[] {
  const ends = Array.from({ length: rows }, () => -Infinity);
  return pins
    .map((p) => ({ ...p, date: moved[p.operationId] ?? p.date }))
    .map((p) => ({ p, x: scale.x(p.date) }))
    .filter(({ x }) => x >= scale.x0 - 0.5 && x <= scale.x1 + 0.5)
    .sort((a, b) => a.x - b.x)
    .map(({ p, x }) => {
      const text = `${p.label} ${spokenDate(p.date, false)}`;
      const row = ends.findIndex((e) => x > e);
      if (row >= 0) ends[row] = x + text.length * LETTER_PX + 18;
      return {
        key: p.operationId,
        x,
        kind: p.kind,
        subject: p.subject,
        date: p.date,
        text,
        done: p.date <= today,
        row,
      };
    });
}

import type { Section } from './model';
import { spokenDate } from '../ui/days';
import { type TimeScale } from './scale';

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
  /** Which side of the pin its words stand on: left of it where they would run over the edge. */
  side: 'left' | 'right';
}

const LETTER_PX = 5.9;
/** Words may run so far past the end of time. */
const EDGE_PX = 20;

/** Pins in time with their words in as many rows as there are; a word without room is left out. */
export function pinsOf(
  pins: Section['pins'],
  today: string,
  scale: TimeScale,
  moved: Record<string, string>,
  rows: number,
): Pin[] {
  const taken: [number, number][][] = Array.from({ length: rows }, () => []);
  return pins
    .map((p) => ({ ...p, date: moved[p.operationId] ?? p.date }))
    .map((p) => ({ p, x: scale.x(p.date) }))
    .filter(({ x }) => x >= scale.x0 - 0.5 && x <= scale.x1 + 0.5)
    .sort((a, b) => a.x - b.x)
    .map(({ p, x }) => {
      const text = `${p.label} ${spokenDate(p.date, false)}`;
      const width = text.length * LETTER_PX + 10;
      const side = x + width > scale.x1 + EDGE_PX ? 'left' : 'right';
      const [from, to] = side === 'left' ? [x - width, x + 8] : [x - 8, x + width];
      const row = taken.findIndex((t) => t.every(([a, b]) => to <= a || from >= b));
      if (row >= 0) taken[row]!.push([from, to]);
      return {
        key: p.operationId,
        x,
        kind: p.kind,
        subject: p.subject,
        date: p.date,
        text,
        done: p.date <= today,
        row,
        side,
      };
    });
}

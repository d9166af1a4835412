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

const widthOf = (text: string) => text.length * LETTER_PX + 10;

/** From where to where the words of a pin reach, px. */
const spanOf = ({ x, text, side }: Pick<Pin, 'x' | 'text' | 'side'>): [number, number] =>
  side === 'left' ? [x - widthOf(text), x + 8] : [x - 8, x + widthOf(text)];

/** Pins whose words give way: those of a pin that is in hand stand in the first row though there was no room for them. */
export function covered(pins: Pin[], inHand: (p: Pin) => boolean): Set<string> {
  const over = pins.filter((p) => p.row < 0 && inHand(p));
  const under = pins.filter((p) => {
    const [from, to] = spanOf(p);
    return (
      p.row === 0 && over.some((o) => o.key !== p.key && spanOf(o)[0] < to && spanOf(o)[1] > from)
    );
  });
  return new Set(under.filter((p) => !inHand(p)).map((p) => p.key));
}

/** The row of a pin's marker: one without room for its words stands above those of others, until it is in hand. */
export const markerRow = (p: Pick<Pin, 'row'>, inHand: boolean) =>
  p.row < 0 && inHand ? 0 : p.row;

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
      const side = x + widthOf(text) > scale.x1 + EDGE_PX ? 'left' : 'right';
      const [from, to] = spanOf({ x, text, side });
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

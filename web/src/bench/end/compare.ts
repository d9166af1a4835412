import { dayNumber } from '../../ui/days';
import type { Point, Row } from './asked';

/** The point of a row nearest to a day; none where the row does not reach so far. */
export function at(row: Row, day: string): Point | undefined {
  const n = dayNumber(day);
  let found: Point | undefined;
  let off = Infinity;
  for (const p of row.points) {
    const away = Math.abs(dayNumber(p.on) - n);
    if (away < off) [found, off] = [p, away];
  }
  const [first, second] = [row.points.at(-2), row.points.at(-1)];
  const gap = first && second ? dayNumber(second.on) - dayNumber(first.on) : 1;
  const beyond =
    second !== undefined && n > dayNumber(second.on)
      ? n - dayNumber(second.on) > gap
      : row.points[0] !== undefined && n < dayNumber(row.points[0].on) - gap;
  return beyond ? undefined : found;
}

export interface Change {
  id: string;
  text: string;
  /** For whom neither is better it is only told. */
  as: 'better' | 'worse' | 'told';
}

const signed = (v: number, decimals: number) =>
  `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(decimals)}`;

/** What changes from one day of ending to another, a sentence a row; what does not show in its digits is left out. */
export function changes(rows: Row[], from: string, to: string): Change[] {
  return rows.flatMap((row) => {
    const a = at(row, from);
    const b = at(row, to);
    if (!a || !b || a.text === b.text) return [];
    const more = b.middle > a.middle;
    const by = signed(b.middle - a.middle, Math.min(row.decimals, decimalsOf(b.text)));
    if (row.change === 'by' && Number(by.slice(1)) === 0) return [];
    const unit = row.unit ? ` ${row.unit}` : '';
    return [
      {
        id: row.id,
        text:
          row.change === 'by'
            ? `${by}${unit} ${lower(row.name)}`
            : `${lower(row.name)} ${a.text} to ${b.text}${unit}`,
        as:
          row.better === 'neither' ? 'told' : (row.better === 'more') === more ? 'better' : 'worse',
      },
    ];
  });
}

const decimalsOf = (text: string) => (/\.(\d+)$/.exec(text)?.[1] ?? '').length;

const lower = (name: string) =>
  /^[A-Z]:[A-Z]/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);

import type { Evaluation } from '../api/client';
import type { TimeScale } from './scale';
import { spokenDate } from '../ui/days';

/** A day of a plan B: on which it is looked whether it is needed, or by which it must be done. */
export interface PlanBDay {
  key: string;
  date: string;
  text: string;
  last: boolean;
}

export interface PlanBMark extends PlanBDay {
  x: number;
}

/** The days of what is done if an end does not go as planned, of all covers; those that fall on one day share a mark. */
export function planBDays(e: Pick<Evaluation, 'end'>): PlanBDay[] {
  const days = Object.entries(e.end).flatMap(([cover, end]) =>
    end.fallbacks.flatMap((f) => [
      { date: f.look, last: false, cover, text: `look whether ${f.when}` },
      ...(f.by ? [{ date: f.by, last: true, cover, text: `if ${f.when}: ${f.then}` }] : []),
    ]),
  );
  const byDay = new Map<string, PlanBDay>();
  for (const d of days) {
    const key = `${d.cover} ${d.date} ${d.last}`;
    const known = byDay.get(key);
    if (known) known.text += ` Or: ${d.text}`;
    else
      byDay.set(key, {
        key,
        date: d.date,
        last: d.last,
        text: `Plan B, ${d.last ? 'by' : 'on'} ${spokenDate(d.date)}: ${d.text}`,
      });
  }
  return [...byDay.values()].sort((a, b) => a.date.localeCompare(b.date));
}

/** px: marks this close would lie over one another, and share one. */
const SHARED_PX = 17;

/** The days as marks; where several are close the first day by which something must be done stands for them. */
export function planBMarks(days: PlanBDay[], scale: TimeScale): PlanBMark[] {
  const marks: PlanBMark[] = [];
  for (const d of days) {
    const x = scale.x(d.date);
    if (x < scale.x0 || x > scale.x1) continue;
    const near = marks[marks.length - 1];
    if (near && x - near.x < SHARED_PX) {
      near.text += ` ${d.text}`;
      near.last ||= d.last;
    } else marks.push({ ...d, x });
  }
  return marks;
}

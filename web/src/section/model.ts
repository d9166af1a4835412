import type { Evaluation, Schemas } from '../api/client';
import { dayNumber } from '../ui/days';

export type Section = Evaluation['section'];
export type Stand = Section['stands'][number];
export type Part = Stand['parts'][number];
export type Note = Schemas['NoteView'];
export type Group = Schemas['PartView']['group'];

/** Height in cm of a weekly course at a number of days after its first. */
export function courseAt(courseCm: number[], days: number): number {
  const last = courseCm.length - 1;
  if (last < 0) return 0;
  const i = Math.min(last, Math.max(0, days / 7));
  const lo = Math.floor(i);
  const a = courseCm[lo] ?? 0;
  return a + ((courseCm[lo + 1] ?? a) - a) * (i - lo);
}

/** What stands at a place in time, with its height in m, tallest first. */
export function standing(s: Section, day: number): { name: string; heightM: number }[] {
  return s.stands
    .filter((x) => dayNumber(x.from) <= day && day <= dayNumber(x.to))
    .flatMap((x) =>
      x.parts
        .filter((p) => !p.frostedOn || dayNumber(p.frostedOn) > day)
        .map((p) => ({
          name: p.name,
          heightM: courseAt(p.courseCm, day - dayNumber(x.from)) / 100,
        })),
    )
    .sort((a, b) => b.heightM - a.heightM);
}

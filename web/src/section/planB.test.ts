import { describe, expect, test } from 'vitest';

import type { Evaluation } from '../api/client';
import { planBDays, planBMarks } from './planB';
import { timeScale } from './scale';

const fallback = {
  id: 'thin',
  when: 'it is thin by dormancy',
  look: '2026-11-20',
  by: '2027-04-28',
  then: 'spray it.',
  planned: false,
};
const end = (fallbacks: object[]) =>
  ({ v1: { fallbacks, gaps: [], rules: [], tanks: [] } }) as unknown as Evaluation['end'];

describe('plan B on the section', () => {
  test('is looked at on a day and done by another, each said in words', () => {
    const days = planBDays({ end: end([fallback]) });
    expect(days.map((d) => [d.date, d.last])).toEqual([
      ['2026-11-20', false],
      ['2027-04-28', true],
    ]);
    expect(days[0]!.text).toContain('look whether it is thin by dormancy');
    expect(days[1]!.text).toContain('spray it.');
  });

  test('too late to mend is a day to look on and none to do it by', () => {
    expect(planBDays({ end: end([{ ...fallback, by: undefined }]) })).toHaveLength(1);
  });

  test('what falls on one day shares a mark, and what lies outside the picture has none', () => {
    const days = planBDays({ end: end([fallback, { ...fallback, when: 'winter leaves it' }]) });
    expect(days).toHaveLength(2);
    expect(days[0]!.text).toContain('winter leaves it');
    const marks = planBMarks(days, timeScale('2027-01-01', '2027-12-31', 0, 100));
    expect(marks.map((m) => m.date)).toEqual(['2027-04-28']);
    const narrow = planBMarks(days, timeScale('2026-01-01', '2029-12-31', 0, 100));
    expect(narrow).toHaveLength(1);
    expect(narrow[0]!.last).toBe(true);
    expect(narrow[0]!.text).toContain('spray it.');
  });
});

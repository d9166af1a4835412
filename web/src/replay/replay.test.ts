import { describe, expect, it } from 'vitest';

import { asCsv } from '../plan/StandDays';
import type { Choice } from './api';
import { sentence } from './DayCurve';
import { keepCourse, keptCourse, withoutLast } from './kept';

const choice = (made: string, to: string): Choice => ({ made, kind: 'sow', subject: 'v1', to });

describe('a replay', () => {
  it('is kept in the browser by plan, revision, cover and year', () => {
    const course = { day: '2026-09-17', choices: [choice('2026-09-10', '2026-09-17')] };
    keepCourse('p1', 3, 'v1', 2012, course);
    expect(keptCourse('p1', 3, 'v1', 2012)).toEqual(course);
    expect(keptCourse('p1', 4, 'v1', 2012)).toBeUndefined();
    expect(keptCourse('p1', 3, 'v1', 2013)).toBeUndefined();
    keepCourse('p1', 3, 'v1', 2012, undefined);
    expect(keptCourse('p1', 3, 'v1', 2012)).toBeUndefined();
  });

  it('goes back to the day of the last choice when that is taken back', () => {
    const first = choice('2026-09-10', '2026-09-17');
    const course = { day: '2027-04-01', choices: [first, choice('2026-09-17', '2026-09-17')] };
    expect(withoutLast(course)).toEqual({ day: '2026-09-17', choices: [first] });
    expect(withoutLast({ day: '2026-09-01', choices: [] }).day).toBe('2026-09-01');
  });

  it('says what the chosen, the planned and the best day gave', () => {
    const judged = {
      kind: 'end',
      subject: 'v1',
      what: 'end the cover',
      planned: '2027-04-22',
      done: '2027-05-06',
    };
    const points = [
      { day: '2027-04-22', value: 4.9, text: '4.9' },
      { day: '2027-05-06', value: 4.6, text: '4.6' },
      { day: '2027-05-25', value: 6.5, text: '6.5' },
    ];
    expect(sentence(judged, points, 't/ha')).toBe(
      '6 May gave 4.6 t/ha; the plan’s 22 Apr 4.9; 25 May would have given most, 6.5',
    );
    expect(sentence({ ...judged, done: '2027-05-25', planned: '2027-05-25' }, points, 't/ha')).toBe(
      '25 May, as planned, gave 6.5 t/ha; no other day tried gave more',
    );
    expect(sentence({ ...judged, done: '2027-07-01' }, points, 't/ha')).toBe('not simulated');
  });
});

describe('days as a file', () => {
  it('writes numbers a spreadsheet reads, and quotes heads with commas', () => {
    const text = asCsv({
      standId: 'v1',
      label: 'rye',
      columns: [
        { name: 'dry tops, 1 year in 10 under', unit: 'kg/ha' },
        { name: 'C:N', unit: '' },
      ],
      rows: [{ day: '2026-09-10', cells: ['1\u202f234', ''] }],
    });
    expect(text).toBe('day,"dry tops, 1 year in 10 under (kg/ha)",C:N\n2026-09-10,1234,\n');
  });
});

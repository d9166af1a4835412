import { describe, expect, test } from 'vitest';

import { parseDay, shownDay } from './dates';

const today = '2026-11-25';
const day = (text: string) => {
  const p = parseDay(text, today);
  return 'day' in p ? p.day : p.wrong;
};

describe('a day as people write it', () => {
  test.each([
    ['12 May 2027', '2027-05-12'],
    ['May 12 2027', '2027-05-12'],
    ['may 12, 2027', '2027-05-12'],
    ['12. May 2027', '2027-05-12'],
    ['12 september 27', '2027-09-12'],
    ['2027-05-12', '2027-05-12'],
    ['2027-5-2', '2027-05-02'],
    ['25.12.2026', '2026-12-25'],
    ['5.10.2026', '2026-10-05'],
    ['24. 4. 28', '2028-04-24'],
    ['5.10.', '2026-10-05'],
    ['12/25/2026', '2026-12-25'],
    ['5/5/2027', '2027-05-05'],
    ['  1 Jan 2028 ', '2028-01-01'],
    ['29 Feb 2028', '2028-02-29'],
  ])('%s', (text, expected) => expect(day(text)).toBe(expected));

  test('without a year it is the nearest coming one, from half a year back', () => {
    expect(day('12 May')).toBe('2027-05-12');
    expect(day('10 Oct')).toBe('2026-10-10');
    expect(day('Nov 30')).toBe('2026-11-30');
  });

  test.each([
    ['4/5/2027', 'which is the month'],
    ['29 Feb 2027', 'no such day'],
    ['31 April 2027', 'no such day'],
    ['2027-13-01', 'no such day'],
    ['12 May 1927', 'a year from 1950'],
    ['soon', 'is not a date'],
    ['May', 'is not a date'],
    ['12', 'is not a date'],
    ['40/40/2027', 'no such day'],
    ['12 May 2027 or so', 'is not a date'],
  ])('%s is asked back', (text, expected) => expect(day(text)).toContain(expected));

  test('what is shown is read back', () => {
    for (const d of ['2026-01-01', '2027-05-12', '2028-02-29', '2030-12-31']) {
      expect(day(shownDay(d))).toBe(d);
    }
    expect(shownDay(undefined)).toBe('');
  });
});

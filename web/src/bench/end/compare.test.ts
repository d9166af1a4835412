import { describe, expect, test } from 'vitest';

import type { Row } from './asked';
import { at, changes } from './compare';

const row = (
  id: string,
  better: Row['better'],
  change: Row['change'],
  values: [string, number][],
): Row => ({
  id,
  group: 'stand',
  name: id === 'cn' ? 'C:N of the tops' : 'Dry tops',
  unit: id === 'cn' ? '' : 't/ha',
  better,
  change,
  decimals: 2,
  points: values.map(([on, v]) => ({ on, low: v - 1, middle: v, high: v + 1, text: v.toFixed(1) })),
});

const TOPS = row('tops', 'more', 'by', [
  ['2027-04-20', 2.02],
  ['2027-04-24', 2.9],
  ['2027-05-04', 4.81],
]);
const CN = row('cn', 'neither', 'to', [
  ['2027-04-20', 17],
  ['2027-05-04', 27],
]);

describe('two days of ending', () => {
  test('are compared by what each row is worth', () => {
    expect(changes([TOPS, CN], '2027-04-20', '2027-05-04')).toEqual([
      { id: 'tops', text: '+2.8 t/ha dry tops', as: 'better' },
      { id: 'cn', text: 'C:N of the tops 17.0 to 27.0', as: 'told' },
    ]);
    expect(changes([TOPS], '2027-05-04', '2027-04-20')[0]).toMatchObject({
      text: '−2.8 t/ha dry tops',
      as: 'worse',
    });
  });

  test('what does not show is left out', () => {
    expect(changes([TOPS], '2027-04-20', '2027-04-21')).toEqual([]);
  });

  test('a row tells nothing of days it does not reach', () => {
    expect(at(TOPS, '2027-04-26')?.on).toBe('2027-04-24');
    expect(at(TOPS, '2027-06-01')).toBeUndefined();
  });
});

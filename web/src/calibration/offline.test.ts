import { describe, expect, test } from 'vitest';

import { offline } from './offline';
import type { CatchTest, Kind } from './test';

const kind = {
  id: 'drill-distance',
  delivers: 'kg/ha',
  units: ['kg/ha', 'lb/ac'],
  measures: [
    { symbol: 'caught', unit: 'g', units: ['g', 'lb'], factors: { g: 1, lb: 453.59237 } },
    { symbol: 'width', unit: 'm', units: ['m', 'ft'], factors: { m: 1, ft: 0.3048 } },
    { symbol: 'distance', unit: 'm', units: ['m', 'ft'], factors: { m: 1, ft: 0.3048 } },
  ],
  expression: 'caught / 1000 / (width * distance) * 10000',
  factors: { 'kg/ha': 1, 'lb/ac': 1.1208511561944561 },
} as unknown as Kind;

const caught = (value: number, target?: CatchTest['target']): CatchTest => ({
  kind: kind.id,
  machine: 'Drill',
  material: 'rye',
  measured: {
    caught: { value, unit: 'g' },
    width: { value: 3, unit: 'm' },
    distance: { value: 50, unit: 'm' },
  },
  ...(target ? { target } : {}),
});

describe('a catch without a connection', () => {
  // 1.65 kg over 150 m2 are 110 kg on a hectare
  test('is worked out by the expression of its kind', () => {
    expect(offline(kind, caught(1650))).toEqual({
      delivered: expect.closeTo(110, 9) as number,
      unit: 'kg/ha',
      change: undefined,
    });
    const aimed = offline(kind, caught(1650, { value: 100, unit: 'lb/ac' }));
    // 110 kg/ha are 98.1 lb/ac
    expect(aimed?.delivered).toBeCloseTo(98.14, 2);
    expect(aimed?.change).toBeCloseTo(1.9, 1);
  });

  test('says nothing of what has no answer', () => {
    expect(offline(kind, caught(0))).toBeUndefined();
    expect(offline(kind, { ...caught(5), measured: {} })).toBeUndefined();
  });
});

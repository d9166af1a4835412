import { describe, expect, test } from 'vitest';

import { section } from '../testing/section';
import { dayFigures, differences, stageWord, inWordsOf } from './dayFigures';
import type { Section } from './model';
import { dayNumber } from '../ui/days';

const weekly = (n: number, f: (i: number) => number) => Array.from({ length: n }, (_, i) => f(i));

/** The made-up section with growth of a straight line: 100 kg/ha a week. */
const alive: Section = {
  ...section,
  stands: section.stands.map((s) => ({
    ...s,
    parts: s.parts.map((p) => ({
      ...p,
      grown: {
        massKgHa: weekly(60, (i) => 100 * i),
        massLowKgHa: weekly(60, (i) => 60 * i),
        massHighKgHa: weekly(60, (i) => 140 * i),
        heightLowCm: weekly(60, () => 10),
        heightHighCm: weekly(60, () => 30),
        rootCm: weekly(60, (i) => 5 * i),
        nitrogenKgHa: weekly(60, (i) => 3 * i),
        coverPercent: weekly(60, () => 50),
        stage100: weekly(60, (i) => 5 * i),
        alivePercent: weekly(60, () => 100),
      },
    })),
  })),
  ground: {
    livingCoverPercent: weekly(200, () => 50),
    residueCoverPercent: weekly(200, () => 40),
    residueKgHa: weekly(200, (i) => 4000 - 10 * i),
    residueLowKgHa: weekly(200, () => 1000),
    residueHighKgHa: weekly(200, () => 5000),
    mineralNKgHa: weekly(200, (i) => i),
    availableMm: weekly(200, () => 127),
    availableLowMm: weekly(200, () => 100),
    availableHighMm: weekly(200, () => 150),
    layerBottomsCm: [10, 30, 60, 120, 180],
    waterPercent: [1, 2, 3, 4, 5].map((l) => weekly(200, () => 20 * l)),
  },
};
const corn = section.stands.find((s) => s.id === 'c1')!;
const planted = dayNumber(corn.from);

describe('the figures of a day', () => {
  test('are read between the weeks', () => {
    const f = dayFigures(alive, planted + 10).find((x) => x.key.startsWith('c1'))!;
    expect(f.value).toBeCloseTo(1000 / 7, 6);
    expect(f.low).toBeCloseTo(600 / 7, 6);
  });

  test('cover of leaves and residue is never a sum', () => {
    const cover = dayFigures(alive, planted + 10).find((x) => x.key === 'cover')!;
    expect(cover.value).toBeCloseTo(70, 6);
  });

  test('a section that is not simulated has none', () => {
    expect(dayFigures(section, planted + 10)).toEqual([]);
  });

  test('say their unit, band and stage', () => {
    const f = dayFigures(alive, planted + 70).find((x) => x.key.startsWith('c1'))!;
    expect(inWordsOf(f, false)).toBe(`${corn.parts[0]!.name} 1.0 (0.60…1.4) t/ha, stems`);
    const water = dayFigures(alive, planted).find((x) => x.key === 'water')!;
    expect(inWordsOf(water, true)).toBe('water for roots 5.0 (3.9…5.9) in');
  });
});

describe('the difference of two days', () => {
  test('does not mind which is marked first', () => {
    expect(differences(alive, planted + 7, planted + 28)).toEqual(
      differences(alive, planted + 28, planted + 7),
    );
  });

  test('counts what is new from nothing and what is gone as lost', () => {
    const gone = differences(alive, dayNumber(corn.to) - 1, dayNumber(corn.to) + 30);
    expect(gone.find((f) => f.key.startsWith('c1'))!.value).toBeLessThan(0);
    const grown = differences(alive, planted - 20, planted + 70);
    const f = grown.find((x) => x.key.startsWith('c1'))!;
    expect(f.value).toBeCloseTo(1000, 6);
    expect(inWordsOf(f, false, true)).toBe(`${f.label} +1.0 t/ha`);
  });
});

test('stages have words', () => {
  expect([0, 50, 90, 100, 150, 200].map(stageWord)).toEqual([
    'leafy',
    'stems',
    'before bloom',
    'in bloom',
    'seed set',
    'ripe',
  ]);
});

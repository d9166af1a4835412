import { expect, test } from 'vitest';

import type { Evaluation } from '../api/client';
import { layOut, spread } from './geometry';
import { dayNumber, months, spokenDate, timeScale } from './scale';

const section: Evaluation['section'] = {
  from: '2026-09-01',
  to: '2028-01-01',
  today: '2026-11-24',
  heightM: 2.6,
  depthM: 1.5,
  stands: [
    {
      id: 'c1',
      cover: false,
      label: 'Grain corn',
      from: '2027-05-10',
      to: '2027-10-10',
      open: false,
      parts: [
        {
          id: 'grain-corn',
          name: 'Grain corn',
          form: 'corn',
          heightM: 2.6,
          rootDepthM: 1.5,
          taproot: false,
        },
      ],
    },
  ],
  residues: [],
  passes: [
    {
      id: 'a',
      date: '2027-05-10',
      name: 'x',
      depthCm: 25,
      share: 1,
      planting: true,
      ratingFigure: '',
    },
  ],
  pins: [
    {
      operationId: 'o1',
      kind: 'sow',
      subject: 'c1',
      cover: false,
      date: '2027-05-10',
      label: 'Plant',
    },
    {
      operationId: 'o2',
      kind: 'end',
      subject: 'v1',
      cover: true,
      date: '2027-05-12',
      label: 'End',
    },
  ],
};

test('one scale above and below: a metre is as long upwards as downwards', () => {
  const d = layOut(section, { width: 1280, height: 360 });
  expect(d.ground - 30).toBeCloseTo(2.6 * d.pxPerM, -0.5);
  expect(d.bottom - d.ground).toBeCloseTo(1.5 * d.pxPerM, 6);
});

test('nothing leaves the sheet', () => {
  const d = layOut(section, { width: 900, height: 300 });
  for (const s of d.stands) {
    for (const [, x, y] of s.d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)) {
      expect(Number(x)).toBeGreaterThanOrEqual(0);
      expect(Number(x)).toBeLessThanOrEqual(900);
      expect(Number(y)).toBeGreaterThan(0);
    }
  }
});

test('a cut is as deep as the pass works', () => {
  const d = layOut(section, { width: 1280, height: 360 });
  const ys = [...d.notches[0]!.d.matchAll(/ (-?[\d.]+)/g)].map((m) => Number(m[1]));
  expect(Math.max(...ys) - d.ground).toBeCloseTo(0.25 * d.pxPerM, 0);
});

test('moving a date does not reshuffle the plants of another stand', () => {
  const a = layOut(section, { width: 1280, height: 360 });
  const moved = { ...section, pins: [{ ...section.pins[0]!, date: '2027-06-01' }] };
  expect(layOut(moved, { width: 1280, height: 360 }).stands[0]!.d).toBe(a.stands[0]!.d);
});

test('pins that stand close take different rows for their words', () => {
  const d = layOut(section, { width: 1280, height: 360 });
  expect(d.pins.map((p) => p.row)).toEqual([0, 1]);
});

test('labels that meet are moved apart', () => {
  const at = (key: string, x: number) => ({
    key,
    x,
    y: 100,
    text: 'Hairy vetch',
    anchor: 'middle' as const,
  });
  const [a, b] = spread([at('a', 100), at('b', 110)]);
  expect(Math.abs(a!.y - b!.y)).toBeGreaterThanOrEqual(13);
});

test('dates and months', () => {
  expect(dayNumber('2028-03-01') - dayNumber('2028-02-28')).toBe(2);
  expect(spokenDate('2027-05-12')).toBe('12 May 2027');
  const ticks = months(timeScale('2026-09-01', '2028-01-01', 0, 1600));
  expect(ticks.filter((t) => t.year).map((t) => t.label)).toEqual(['2027', '2028']);
  expect(ticks).toHaveLength(17);
});

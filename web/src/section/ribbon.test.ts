import { describe, expect, test } from 'vitest';

import { section } from '../testing/section';
import { ribbonOf, weekAt } from './ribbon';
import { layOut } from './layOut';
import { addDays, dayNumber } from '../ui/days';
import { timeScale } from './scale';
import { held, zoomed } from './useZoom';

const WEEKS = 74;
const weather = {
  recordedWeeks: 20,
  frostPercent: Array.from({ length: WEEKS }, (_, i) => (i > 20 && i < 40 ? 60 : 0)),
  rainMm: Array.from({ length: WEEKS }, (_, i) => i % 30),
  rainHighMm: Array.from({ length: WEEKS }, (_, i) => (i % 30) + 10),
  meanLowC10: Array.from({ length: WEEKS }, () => 20),
  meanC10: Array.from({ length: WEEKS }, () => 80),
  meanHighC10: Array.from({ length: WEEKS }, () => 140),
};
const wet = { ...section, weather };
const scale = timeScale(section.from, section.to, 52, 1246);
const numbers = (path: string) =>
  [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(
    (m) => [Number(m[1]), Number(m[2])] as const,
  );

describe('weather over the section', () => {
  test('what is recorded stands left of what lies ahead', () => {
    const r = ribbonOf(wet, scale)!;
    const border = scale.x(addDays(section.from, 20 * 7));
    for (const [x] of numbers(r.warmth)) expect(x).toBeLessThanOrEqual(border);
    for (const [x] of numbers(r.warmthAhead)) expect(x).toBeGreaterThanOrEqual(border);
    expect(r.frost).toBe('');
    expect(r.frostAhead.split('M')).toHaveLength(20);
  });

  test('the band lies around its middle', () => {
    const r = ribbonOf(wet, scale)!;
    const middle = numbers(r.warmthAhead)[0]![1];
    const ys = numbers(r.warmthBand).map(([, y]) => y);
    expect(Math.min(...ys)).toBeLessThan(middle);
    expect(Math.max(...ys)).toBeGreaterThan(middle);
  });

  test('nothing is drawn outside the sheet, however far it is zoomed', () => {
    const near = timeScale('2027-01-01', '2027-02-01', 52, 1246);
    const r = ribbonOf(wet, near)!;
    for (const path of [r.frostAhead, r.rainAhead, r.warmthAhead, r.warmthBand]) {
      for (const [x] of numbers(path)) {
        expect(x).toBeGreaterThanOrEqual(52);
        expect(x).toBeLessThanOrEqual(1246);
      }
    }
  });

  test('six years are drawn in fewer marks than weeks', () => {
    const six = timeScale(section.from, addDays(section.from, 2200), 52, 400);
    expect(ribbonOf(wet, six)!.rainAhead.split('M').length).toBeLessThan(WEEKS / 2);
  });

  test('a week is read by its day', () => {
    expect(weekAt(wet, dayNumber(section.from) + 7 * 25)).toEqual({
      recorded: false,
      frostPercent: 60,
      rainMm: 25,
      meanC10: 80,
      lowC10: 20,
      highC10: 140,
    });
    expect(weekAt(wet, dayNumber(section.from) - 1)).toBeUndefined();
    expect(weekAt(section, dayNumber(section.from))).toBeUndefined();
  });

  test('without weather the sky is as high as before', () => {
    const frame = { width: 1248, height: 400, fold: 'full' as const };
    expect(layOut(section, frame).ribbon).toBeUndefined();
    expect(layOut(wet, frame).skyTop).toBeGreaterThan(layOut(section, frame).skyTop);
  });
});

describe('zoom', () => {
  const whole = { from: 1000, to: 2000 };

  test('the day under the pointer stays under it', () => {
    const v = zoomed(whole, whole, 0.5, 1250)!;
    expect((1250 - v.from) / (v.to - v.from)).toBeCloseTo(0.25, 9);
    expect(v.to - v.from).toBeCloseTo(500, 9);
  });

  test('it never leaves the rotation, nor goes below three weeks', () => {
    for (const about of [1000, 1400, 2000]) {
      const v = zoomed({ from: 1100, to: 1150 }, whole, 0.01, about)!;
      expect(v.to - v.from).toBeGreaterThanOrEqual(21);
      expect(v.from).toBeGreaterThanOrEqual(1000);
      expect(v.to).toBeLessThanOrEqual(2000);
    }
    expect(held({ from: 900, to: 1100 }, whole)).toEqual({ from: 1000, to: 1200 });
    expect(held({ from: 500, to: 2500 }, whole)).toBeUndefined();
  });

  test('in and out again is where one was', () => {
    const v = zoomed({ from: 1300, to: 1600 }, whole, 0.7, 1400)!;
    const back = zoomed(v, whole, 1 / 0.7, 1400)!;
    expect(back.from).toBeCloseTo(1300, 6);
    expect(back.to).toBeCloseTo(1600, 6);
  });
});

import { describe, expect, test } from 'vitest';

import { section } from '../testing/section';
import { drawDead, drawStand, hash, notch, type Bed } from './forms';
import { courseAt, standing } from './model';
import { layOut } from './layOut';
import { spread } from './labels';
import { inWords } from './inWords';
import { dayNumber } from '../ui/days';

const full = { width: 1280, height: 374, fold: 'full' as const };
const strip = { width: 1280, height: 112, fold: 'strip' as const };
const row = { width: 700, height: 56, fold: 'row' as const };

/** Every x and y of a path with absolute commands. */
const points = (d: string) =>
  [...d.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => ({ x: Number(m[1]), y: Number(m[2]) }));

describe('one scale above and below ground', () => {
  test('a metre is as tall as it is deep, and the tallest crop fits', () => {
    const d = layOut(section, full);
    expect(d.ground - 2.6 * d.pxPerM).toBeGreaterThanOrEqual(d.skyTop - 0.5);
    expect(d.bottom - d.ground).toBeCloseTo(1.5 * d.pxPerM, 6);
    expect(d.tileY).toBeCloseTo(d.ground + 0.9 * d.pxPerM, 6);
    const metre = d.heights.find((h) => h.text === '1 m')!;
    const deep = d.heights.find((h) => h.text === '100 cm')!;
    expect(d.ground - metre.y).toBeCloseTo(deep.y - d.ground, 6);
  });

  test('a farm that reads feet gets a ruler in feet and inches', () => {
    const d = layOut(section, { ...full, us: true });
    const two = d.heights.find((h) => h.text === '2 ft')!;
    expect(d.ground - two.y).toBeCloseTo(0.6096 * d.pxPerM, 6);
    expect(d.heights.map((h) => h.text)).toContain('24 in');
  });

  test('drains deeper than the picture are not drawn at its foot', () => {
    expect(layOut({ ...section, tileDepthCm: 240 }, full).tileY).toBeUndefined();
  });
});

describe('stands', () => {
  test('stand between their dates and above the ground', () => {
    const d = layOut(section, full);
    const corn = d.stands.find((s) => s.standId === 'c1')!;
    const xs = points(corn.body).map((p) => p.x);
    expect(Math.min(...xs)).toBeCloseTo(d.scale.x('2027-05-10'), 0);
    expect(Math.max(...xs)).toBeLessThanOrEqual(d.scale.x('2027-10-10') + 0.1);
    expect(points(corn.body).every((p) => p.y <= d.ground + 0.1)).toBe(true);
  });

  test('what frost kills stands until then and lies dead after', () => {
    const d = layOut(section, full);
    const cowpea = d.stands.find((s) => s.key === 'v1 cowpea')!;
    const frost = d.scale.x('2026-10-12');
    expect(Math.max(...points(cowpea.body).map((p) => p.x))).toBeLessThanOrEqual(frost + 0.1);
    expect(d.dead).toHaveLength(1);
    expect(Math.min(...points(d.dead[0]!.d).map((p) => p.x))).toBeCloseTo(frost, 0);
  });

  test('the tallest of a mix is painted first, so that the small ones stay seen', () => {
    expect(layOut(section, full).stands.map((s) => s.key)).toEqual([
      'v1 cereal-rye',
      'v1 cowpea',
      'c1 grain-corn',
    ]);
  });

  test('a date in the hand is drawn before the evaluation knows of it', () => {
    const d = layOut(section, { ...full, moved: { o0: '2027-04-01' } });
    const rye = d.stands.find((s) => s.key === 'v1 cereal-rye')!;
    expect(Math.max(...points(rye.body).map((p) => p.x))).toBeCloseTo(d.scale.x('2027-04-01'), 0);
    expect(d.pins.find((p) => p.key === 'o0')?.date).toBe('2027-04-01');
  });

  test('moving an end leaves the plants before it where they are', () => {
    const early = layOut(section, { ...full, moved: { o0: '2027-03-01' } });
    const late = layOut(section, full);
    const a = early.stands[0]!.body.split('L').slice(3, 60);
    const b = late.stands[0]!.body.split('L').slice(3, 60);
    expect(a).toEqual(b);
  });

  test('nothing is drawn outside the sheet, whatever span is shown', () => {
    for (const frame of [full, strip, row]) {
      const d = layOut(section, { ...frame, from: '2027-01-01', to: '2027-06-01' });
      for (const s of [...d.stands.map((x) => x.body), ...d.residues.map((x) => x.d)]) {
        for (const p of points(s)) {
          expect(p.x).toBeGreaterThanOrEqual(d.scale.x0 - 0.1);
          expect(p.x).toBeLessThanOrEqual(d.scale.x1 + 0.1);
        }
      }
    }
  });
});

describe('passes and residue', () => {
  test('a pass that moves no soil leaves no notch', () => {
    expect(layOut(section, full).notches.map((n) => n.key)).toEqual(['a']);
  });

  test('a notch is as deep as the pass and as wide as its share', () => {
    const d = layOut(section, full);
    const ys = points(d.notches[0]!.d).map((p) => p.y);
    expect(Math.max(...ys) - d.ground).toBeCloseTo(0.25 * d.pxPerM, 0);
    const scratch = points(notch(100, 50, 10, 0.1));
    const comb = notch(100, 50, 10, 0.33);
    const basin = points(notch(100, 50, 10, 1));
    const width = (ps: { x: number }[]) =>
      Math.max(...ps.map((p) => p.x)) - Math.min(...ps.map((p) => p.x));
    expect(comb.split('Z')).toHaveLength(4);
    expect(width(scratch)).toBeLessThan(width(basin));
    expect(notch(100, 50, 10, 0)).toBe('');
  });

  test('residue lies on the line, thicker for more of it', () => {
    const height = (tHa: number) => {
      const d = layOut({ ...section, residues: [{ ...section.residues[0]!, tHa }] }, full);
      return d.ground - Math.min(...points(d.residues[0]!.d).map((p) => p.y));
    };
    expect(height(10)).toBeGreaterThan(height(5));
    expect(height(5)).toBeGreaterThan(0);
  });
});

describe('forms', () => {
  const bed = (x1: number): Bed => ({ x0: 10, x1, ground: 100, origin: 3, at: () => 60 });

  test.each([
    'cereal',
    'millet',
    'sorghum',
    'corn',
    'vetch',
    'clover',
    'bush',
    'radish',
    'sunflower',
    'unheard of',
  ])('%s is a closed outline of about its height, the same every time', (form) => {
    const a = drawStand(form, bed(200), 'seed');
    expect(a.body.startsWith('M') && a.body.endsWith('Z')).toBe(true);
    expect(a.body).not.toContain('NaN');
    const top = 100 - Math.min(...points(a.body).map((p) => p.y));
    expect(top).toBeGreaterThan(48);
    expect(top).toBeLessThan(76);
    expect(drawStand(form, bed(200), 'seed')).toEqual(a);
    expect(drawStand(form, bed(200), 'other').body).not.toBe(a.body);
  });

  test('a stand of no width and one of no height are drawn without a fault', () => {
    expect(drawStand('corn', bed(10.2), 's').body).not.toContain('NaN');
    expect(drawStand('corn', { ...bed(60), at: () => 0 }, 's').body).not.toContain('NaN');
    expect(drawDead(10, 12, 100, 0, 0)).not.toContain('NaN');
  });

  test('hashes spread from 0 to 1', () => {
    const values = Array.from({ length: 2000 }, (_, k) => hash('stand', k));
    expect(values.every((v) => v >= 0 && v < 1)).toBe(true);
    const mean = values.reduce((a, b) => a + b) / values.length;
    expect(mean).toBeGreaterThan(0.45);
    expect(mean).toBeLessThan(0.55);
  });
});

describe('reading', () => {
  test('a course is read between its weeks and held after its last', () => {
    expect(courseAt([0, 70, 140], 3.5)).toBe(35);
    expect(courseAt([0, 70, 140], 1000)).toBe(140);
    expect(courseAt([0, 70], -9)).toBe(0);
    expect(courseAt([], 3)).toBe(0);
  });

  test('what stands on a day, tallest first, without what frost has killed', () => {
    expect(standing(section, dayNumber('2026-09-20')).map((s) => s.name)).toEqual([
      'Cereal rye',
      'Cowpea',
    ]);
    expect(standing(section, dayNumber('2026-12-20')).map((s) => s.name)).toEqual(['Cereal rye']);
    expect(standing(section, dayNumber('2027-11-20'))).toEqual([]);
  });

  test('the section is told in words', () => {
    const words = inWords(section, false);
    expect(words).toContain('Grain corn, cash crop, 10 May 2027 to 10 Oct 2027');
    expect(words).toContain('Tandem disc 10 May 2027, 25 cm deep');
    expect(inWords(section, true)).toContain('9.8 inches deep');
    expect(inWords({ ...section, stands: [] }, false)).toBe('Nothing stands here yet.');
  });

  test('labels that would lie over one another move apart, never out of the sky', () => {
    const label = { x: 100, y: 60, text: 'Winter wheat' };
    const placed = spread(
      [
        { ...label, key: 'a' },
        { ...label, key: 'b', x: 110 },
      ],
      20,
    );
    expect(Math.abs(placed[0]!.y - placed[1]!.y)).toBeGreaterThanOrEqual(13);
    expect(spread([{ ...label, key: 'c', y: -50 }], 20)[0]!.y).toBeGreaterThan(20);
  });
});

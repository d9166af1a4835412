import { describe, expect, test } from 'vitest';

import { barFor, partsOf, sheetFor } from './outline';

const square = {
  type: 'Polygon',
  coordinates: [
    [
      [-36, 50],
      [-35.99, 50],
      [-35.99, 50.01],
      [-36, 50.01],
      [-36, 50],
    ],
  ],
};

describe('outline', () => {
  test('any GeoJSON that holds polygons gives its parts', () => {
    expect(partsOf({ type: 'Feature', geometry: square })).toHaveLength(1);
    expect(
      partsOf({
        type: 'FeatureCollection',
        features: [
          { type: 'Feature', geometry: square },
          {
            type: 'Feature',
            geometry: {
              type: 'MultiPolygon',
              coordinates: [square.coordinates, square.coordinates],
            },
          },
        ],
      }),
    ).toHaveLength(3);
    expect(partsOf({ type: 'Point', coordinates: [0, 0] })).toEqual([]);
    expect(partsOf(undefined)).toEqual([]);
  });

  test('north is up, and a hundredth of a degree north is 1113 m', () => {
    const sheet = sheetFor([square], 330, 230, 26);
    const ys = [...sheet.path(square).matchAll(/[ML][-\d.]+ ([-\d.]+)/g)].map((m) => Number(m[1]));
    expect(ys[2]).toBeLessThan(ys[0]!);
    expect((ys[0]! - ys[2]!) / sheet.pxPerM).toBeCloseTo(1113.2, -1);
  });

  test('a degree of longitude is shorter than one of latitude away from the line', () => {
    const sheet = sheetFor([square], 330, 230, 26);
    const xs = [...sheet.path(square).matchAll(/[ML]([-\d.]+) [-\d.]+/g)].map((m) => Number(m[1]));
    // cos 50 degrees is 0.643
    expect((xs[1]! - xs[0]!) / sheet.pxPerM).toBeCloseTo(1113.2 * 0.643, -1);
  });

  test('a scale bar is round, in metres or feet, and not too long', () => {
    for (const us of [false, true]) {
      for (const pxPerM of [0.01, 0.17, 0.6, 3]) {
        const bar = barFor(pxPerM, 330, us);
        expect(bar.px).toBeLessThanOrEqual(330 * 0.27);
        expect(bar.px).toBeGreaterThan(30);
        expect(bar.text).toMatch(us ? /^[125]0* ft$/ : /^[125]0* m$/);
      }
    }
  });

  test('a field cut at the antimeridian is drawn in one piece', () => {
    const box = (west: number, east: number) => [
      [
        [west, -17.01],
        [east, -17.01],
        [east, -17],
        [west, -17],
        [west, -17.01],
      ],
    ];
    const cut = { type: 'MultiPolygon', coordinates: [box(179.99, 180), box(-180, -179.99)] };
    const lons = partsOf(cut)
      .flat(2)
      .map((p) => p[0]);
    expect(Math.max(...lons) - Math.min(...lons)).toBeCloseTo(0.02, 6);
  });
});

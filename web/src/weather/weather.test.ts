import { describe, expect, test } from 'vitest';

import { marks } from './charts';
import { ageInWords } from './OutsideLine';

describe('weather in words', () => {
  test('how old a forecast is', () => {
    const now = Date.parse('2026-11-25T12:00:00Z');
    expect(ageInWords('2026-11-25T11:59:20Z', now)).toBe('just now');
    expect(ageInWords('2026-11-25T11:20:00Z', now)).toBe('40 minutes old');
    expect(ageInWords('2026-11-25T02:00:00Z', now)).toBe('10 hours old');
    expect(ageInWords('2026-11-21T12:00:00Z', now)).toBe('4 days old');
    // a clock that goes behind makes nothing younger than now
    expect(ageInWords('2026-11-25T12:05:00Z', now)).toBe('just now');
  });

  test('marks of an axis are round and inside it', () => {
    expect(marks(0, 100)).toEqual([0, 50, 100]);
    expect(marks(-12, 33)).toEqual([0, 20]);
    for (const [low, high] of [
      [0, 0.4],
      [-3.2, 17],
      [0, 2210],
    ] as const) {
      const found = marks(low, high);
      expect(found.length).toBeGreaterThan(1);
      for (const v of found) {
        expect(v).toBeGreaterThanOrEqual(low);
        expect(v).toBeLessThanOrEqual(high + 1e-9);
      }
    }
  });
});

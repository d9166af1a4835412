import { describe, expect, test } from 'vitest';

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
});

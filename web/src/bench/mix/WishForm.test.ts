import { describe, expect, it } from 'vitest';

import { steps } from './FrontierChart';
import { without } from './WishForm';

describe('bounds of a proposal', () => {
  it('are changed or taken out one by one', () => {
    const two = { rye: { least: 5 }, vetch: { most: 50 } };
    expect(without(two, 'rye', { least: 10, most: 60 })).toEqual({
      rye: { least: 10, most: 60 },
      vetch: { most: 50 },
    });
    expect(without(two, 'rye', undefined)).toEqual({ vetch: { most: 50 } });
    expect(without({ rye: {} }, 'rye', undefined)).toBeUndefined();
  });
});

describe('the axis of costs', () => {
  it('has some five round steps from nothing', () => {
    expect(steps(118)).toEqual([0, 50, 100]);
    expect(steps(9.6)).toEqual([0, 2, 4, 6, 8]);
    expect(steps(0)).toHaveLength(1);
  });
});

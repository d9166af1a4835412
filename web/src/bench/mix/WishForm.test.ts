import { describe, expect, it } from 'vitest';

import { without } from './WishForm';

describe('bounds of a proposal', () => {
  it('are changed or removed one by one', () => {
    const two = { rye: { least: 5 }, vetch: { most: 50 } };
    expect(without(two, 'rye', { least: 10, most: 60 })).toEqual({
      rye: { least: 10, most: 60 },
      vetch: { most: 50 },
    });
    expect(without(two, 'rye', undefined)).toEqual({ vetch: { most: 50 } });
    expect(without({ rye: {} }, 'rye', undefined)).toBeUndefined();
  });
});

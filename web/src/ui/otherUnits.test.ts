import { describe, expect, test } from 'vitest';

import { converted, otherUnits } from './otherUnits';

describe('units that numbers are written down in', () => {
  test('are offered for rates and masses, not for the grams of a cut', () => {
    expect(otherUnits(['kg/ha', 'lb/ac'])).toEqual(['kg/ac', 'lb/ha', 'q/ha', 'cwt/ac']);
    expect(otherUnits(['t/ha', 'cwt/ac'])).not.toContain('cwt/ac');
    expect(otherUnits(['g', 'oz'])).toEqual([]);
    expect(otherUnits(['m', 'ft'])).toEqual([]);
  });

  // units(1) of Debian: 1 kg/acre = 2.4710538 kg/hectare; 1 floz = 0.029573530 litre
  test('are shown in the farm’s own', () => {
    expect(converted({ value: 1, unit: 'kg/ac' }, 'kg/ha')).toBe('2.47');
    expect(converted({ value: 50, unit: 'lb/ha' }, 'lb/ac')).toBe('20.2');
    expect(converted({ value: 3, unit: 'q/ha' }, 'lb/ac')).toBe('268');
    expect(converted({ value: 100, unit: 'fl oz' }, 'L')).toBe('2.96');
    expect(converted({ value: 1, unit: 'kg' }, 'L')).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { byCover, kg } from './SeedNeeds';

const need = (planId: string, species: string, neededBy?: string) =>
  ({
    fieldId: 'f',
    fieldName: 'Hop Piece',
    heldKg: 0,
    need: {
      planId,
      coverId: 'v',
      coverName: 'mix',
      species,
      speciesName: species,
      kilograms: 1,
      neededBy,
    },
  }) as Schemas['NeedView'];

describe('needs of seed', () => {
  it('come together by cover, the soonest first, the undated last', () => {
    const covers = byCover([
      need('none', 'a'),
      need('late', 'b', '2027-09-01'),
      need('soon', 'c', '2027-08-01'),
      need('late', 'd', '2027-09-01'),
    ]);
    expect(covers.map((c) => c.map((n) => n.need.species))).toEqual([['c'], ['b', 'd'], ['a']]);
  });

  it('are rounded by their size', () => {
    expect(kg(12.34)).toBe('12.3');
    expect(kg(1234.5)).toBe('1\u202f235');
  });
});

import { describe, expect, it } from 'vitest';

import type { Schemas } from '../api/client';
import { byCover } from './SeedNeeds';
import { ownUnits } from '../api/units';
import { seedMass } from '../ui/mass';

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
    expect(seedMass(12.34, 'metric')).toBe('12.3');
    expect(seedMass(1234.5, 'metric')).toBe('1\u202f235');
    expect(seedMass(3628.73896, 'us')).toBe('8\u202f000');
    expect(ownUnits('en-US')).toBe('us');
    expect(ownUnits('es-US')).toBe('us');
    expect(ownUnits('en-GB')).toBe('metric');
    expect(ownUnits('fr')).toBe('metric');
  });
});

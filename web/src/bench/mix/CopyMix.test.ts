import { expect, it } from 'vitest';

import { withoutLots } from './CopyMix';

it('a copied mix leaves its lots behind and nothing else', () => {
  const mix = {
    method: 'share',
    wastePercent: 4,
    components: [{ species: 'cereal-rye', sharePercent: 40, lotId: 'l1', zone: 'row' }],
  };
  expect(withoutLots(mix)).toEqual({
    method: 'share',
    wastePercent: 4,
    components: [{ species: 'cereal-rye', sharePercent: 40, zone: 'row' }],
  });
  expect(mix.components[0]?.lotId).toBe('l1');
});

import { describe, expect, it } from 'vitest';

import { jsonLines, mixOf } from './asked';

const stream = (parts: string[]) =>
  new ReadableStream<Uint8Array>({
    start(c) {
      for (const p of parts) c.enqueue(new TextEncoder().encode(p));
      c.close();
    },
  });

describe('what is asked about a mix', () => {
  it('reads lines however they are cut, also the last without its end', async () => {
    const seen: unknown[] = [];
    for await (const line of jsonLines(stream(['{"a":1}\n{"a"', ':2}\n', '\n{"a":3}'])))
      seen.push(line);
    expect(seen).toEqual([{ a: 1 }, { a: 2 }, { a: 3 }]);
  });

  it('takes a proposal over and keeps lots and waste', () => {
    const shares = [
      { species: 'cereal-rye', name: 'Cereal rye', group: 'cool-grass' as const, percent: 42.5 },
      { species: 'phacelia', name: 'Phacelia', group: 'broadleaf' as const, percent: 10 },
    ];
    const old = {
      method: 'density',
      wastePercent: 4,
      components: [{ species: 'cereal-rye', lotId: 'l1' }, { species: 'teff' }],
    };
    expect(mixOf(shares, old)).toEqual({
      method: 'share',
      wastePercent: 4,
      components: [
        { species: 'cereal-rye', sharePercent: 42.5, lotId: 'l1' },
        { species: 'phacelia', sharePercent: 10 },
      ],
    });
  });
});

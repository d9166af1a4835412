import { describe, expect, it } from 'vitest';

import { answers, linesOf, shown, type Column, type Sheet } from './sheet';

const rye = {
  id: 'cereal-rye',
  name: 'Cereal rye',
  group: 'cool-grass',
  cells: { botanical: 'Secale cereale', hosts: 'true armyworm; black cutworm' },
  sources: {},
  corrections: {},
} as unknown as Sheet;

describe('the sheet of a species', () => {
  it('answers to names, group and pests, to every word of what is searched', () => {
    expect(answers(rye, 'secale')).toBe(true);
    expect(answers(rye, 'cool cutworm')).toBe(true);
    expect(answers(rye, 'cool vetch')).toBe(false);
    expect(answers(rye, '  ')).toBe(true);
  });

  it('shows a span as one line', () => {
    const columns = ['rateLowKgHa', 'rateKgHa', 'rateHighKgHa', 'depthCm'].map(
      (id) => ({ id, section: 'seed' }) as Column,
    );
    expect(linesOf(columns, 'seed').map((c) => c.id)).toEqual(['rateKgHa', 'depthCm']);
  });

  it('groups thousands and leaves words alone', () => {
    expect(shown('1150000')).toBe('1\u202f150\u202f000');
    expect(shown('-32')).toBe('-32');
    expect(shown('good')).toBe('good');
    expect(shown(undefined)).toBe('–');
  });
});

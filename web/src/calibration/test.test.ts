import { describe, expect, it } from 'vitest';

import { ordered, press, testOf, type Draft, type Kind } from './test';

const kind = {
  id: 'drill-turns',
  name: 'Drill',
  delivers: 'kg/ha',
  units: ['kg/ha', 'lb/ac'],
  measures: [
    { symbol: 'caught', name: 'Caught', unit: 'g', units: ['g', 'lb'] },
    { symbol: 'turns', name: 'Turns', units: [] },
  ],
} as unknown as Kind;

const draft = (change: Partial<Draft> = {}): Draft => ({
  kind: kind.id,
  machine: 'Drill',
  material: 'rye',
  setting: { text: '' },
  target: { text: '' },
  measured: { caught: { text: '1,5', unit: 'lb' }, turns: { text: '20' } },
  ...change,
});

describe('a catch test', () => {
  it('is typed by large keys', () => {
    expect(['1', '.', '.', '2', 'back', '5'].reduce(press, '')).toBe('1.5');
    expect(press('', '.')).toBe('0.');
    expect(press('123456789', '0')).toBe('123456789');
  });

  it('is asked about when all is there, with its units', () => {
    expect(testOf(draft(), kind, false)).toEqual({
      kind: 'drill-turns',
      machine: 'Drill',
      material: 'rye',
      measured: { caught: { value: 1.5, unit: 'lb' }, turns: { value: 20 } },
    });
    expect(testOf(draft({ machine: ' ' }), kind, false)).toBeUndefined();
    expect(testOf(draft({ measured: { caught: { text: '1' } } }), kind, false)).toBeUndefined();
    expect(
      testOf(
        draft({ target: { text: '80', unit: 'lb/ac' }, setting: { text: '30' } }),
        kind,
        false,
      ),
    ).toMatchObject({
      target: { value: 80, unit: 'lb/ac' },
      setting: 30,
    });
  });

  it('offers the usual unit first', () => {
    expect(ordered(['g', 'kg', 'lb'], 'g', true)[0]).toBe('lb');
    expect(ordered(['kg', 'g', 'lb'], 'g', false)[0]).toBe('g');
  });
});

import { describe, expect, test } from 'vitest';

import { readNumber, unitText } from './numbers';

describe('numbers as people write them', () => {
  test.each([
    ['12', 12],
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['.5', 0.5],
    [' 7 ', 7],
    ['-3', -3],
    ['0,250', 0.25],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234,567', 1234567],
    ['1 000', 1000],
    ['16\u202f000,5', 16000.5],
    ["1'250", 1250],
  ])('%s', (text, value) => expect(readNumber(text)).toEqual({ kind: 'number', value }));

  test.each([
    '',
    'abc',
    '1.2.3',
    '1e5',
    'NaN',
    'Infinity',
    '0x10',
    '--1',
    '1,23,456',
    '12 34',
    ',',
  ])('%s is not a number', (text) => expect(readNumber(text)).toEqual({ kind: 'none' }));

  test('a comma or point before three digits is thousands only where the farm says so', () => {
    expect(readNumber('1,200')).toEqual({ kind: 'either', grouped: 1200, decimal: 1.2 });
    expect(readNumber('1.500')).toEqual({ kind: 'either', grouped: 1500, decimal: 1.5 });
    expect(readNumber('1.500', 'point')).toEqual({ kind: 'number', value: 1.5 });
    expect(readNumber('-16,000', 'point')).toEqual({ kind: 'number', value: -16000 });
  });
});

test('units are written with their powers', () => {
  expect(unitText('/ft2')).toBe('/ft²');
  expect(unitText('¤/ac', 'USD')).toBe('USD/ac');
});

import { expect, it } from 'vitest';

import { hitsOf, shownText } from './TransectFields';

it('reads hits however they are separated, and reports what is not a number', () => {
  expect(hitsOf('38 44, 41')).toEqual([38, 44, 41]);
  expect(hitsOf('')).toEqual([]);
  expect(hitsOf('38 4x')).toBeUndefined();
  expect(hitsOf('12.5')).toBeUndefined();
  expect(hitsOf(Array(41).fill('1').join(' '))).toBeUndefined();
});

it('keeps what is typed and follows what was undone', () => {
  expect(shownText('38, 44 ', [38, 44])).toBe('38, 44 ');
  expect(shownText('38 4x', [38])).toBe('38 4x');
  expect(shownText('38 44 41', [38, 44])).toBe('38 44');
  expect(shownText('38', [])).toBe('');
});

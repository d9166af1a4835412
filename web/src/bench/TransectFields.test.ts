import { expect, it } from 'vitest';

import { hitsOf } from './TransectFields';

it('reads hits however they are separated, and tells what is no number', () => {
  expect(hitsOf('38 44, 41')).toEqual([38, 44, 41]);
  expect(hitsOf('')).toEqual([]);
  expect(hitsOf('38 4x')).toBeUndefined();
  expect(hitsOf('12.5')).toBeUndefined();
  expect(hitsOf(Array(41).fill('1').join(' '))).toBeUndefined();
});

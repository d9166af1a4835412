import { expect, it } from 'vitest';

import type { Evaluation } from '../api/client';
import { common } from './common';

const evaluation = (from: string, to: string, heightM: number, depthM: number) =>
  ({ section: { from, to, heightM, depthM } }) as Evaluation;

it('puts plans on one scale of days, height and depth', () => {
  const shared = common([
    evaluation('2026-01-01', '2027-12-31', 1.2, 1.8),
    evaluation('2025-11-01', '2027-06-30', 2.4, 1.2),
  ]);
  expect(shared.from).toBe('2025-11-21');
  expect(shared.to).toBe('2027-12-11');
  expect(shared.evaluations.map((e) => [e.section.heightM, e.section.depthM])).toEqual([
    [2.4, 1.8],
    [2.4, 1.8],
  ]);
});

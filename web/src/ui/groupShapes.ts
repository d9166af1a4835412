import type { Schemas } from '../api/client';

export type Group = Schemas['PartView']['group'];

/** A shape of its own for each functional group, on a square of 13 px; drawn filled, or as a line of 2 px. */
export const GROUP_SHAPES: Record<Group, { d: string; stroke?: boolean }> = {
  'cool-grass': {
    d: 'M3 11C3 7 4 4 5.5 2C6 5 5.5 8 5 11ZM8 11C7.5 7 8 4 10.5 2C11 6 10.5 9 10 11Z',
  },
  'warm-grass': { d: 'M2 2L6.5 6.5L11 2M2 6.5L6.5 11L11 6.5', stroke: true },
  'cool-legume': {
    d: 'M6.5 1A2.5 2.5 0 1 1 6.5 6A2.5 2.5 0 1 1 6.5 1ZM3.7 6A2.5 2.5 0 1 1 3.7 11A2.5 2.5 0 1 1 3.7 6ZM9.3 6A2.5 2.5 0 1 1 9.3 11A2.5 2.5 0 1 1 9.3 6Z',
  },
  'warm-legume': { d: 'M6.5 2.5A4 4 0 1 1 6.5 10.5A4 4 0 1 1 6.5 2.5Z', stroke: true },
  brassica: { d: 'M1.5 2H11.5L6.5 12Z' },
  broadleaf: { d: 'M1.5 6.5H11.5M6.5 1.5V11.5', stroke: true },
};

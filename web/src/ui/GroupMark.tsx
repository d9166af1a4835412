import type { Schemas } from '../api/client';

export type Group = Schemas['RateView']['group'];

export const GROUPS: { id: Group; name: string }[] = [
  { id: 'cool-grass', name: 'cool grass' },
  { id: 'warm-grass', name: 'warm grass' },
  { id: 'cool-legume', name: 'cool legume' },
  { id: 'warm-legume', name: 'warm legume' },
  { id: 'brassica', name: 'brassica' },
  { id: 'broadleaf', name: 'broadleaf' },
];

const SHAPES: Record<Group, { d: string; stroke?: boolean }> = {
  'cool-grass': {
    d: 'M3 11C3 7 4 4 5.500 2C6 5 5.500 8 5 11ZM8 11C7.500 7 8 4 10.500 2C11 6 10.500 9 10 11Z',
  },
  'warm-grass': { d: 'M2 2L6.500 6.500L11 2M2 6.500L6.500 11L11 6.500', stroke: true },
  'cool-legume': {
    d: 'M6.500 1A2.500 2.500 0 1 1 6.500 6A2.500 2.500 0 1 1 6.500 1ZM3.700 6A2.500 2.500 0 1 1 3.700 11A2.500 2.500 0 1 1 3.700 6ZM9.300 6A2.500 2.500 0 1 1 9.300 11A2.500 2.500 0 1 1 9.300 6Z',
  },
  'warm-legume': { d: 'M6.500 2.500A4 4 0 1 1 6.500 10.500A4 4 0 1 1 6.500 2.500Z', stroke: true },
  brassica: { d: 'M1.500 2H11.500L6.500 12Z' },
  broadleaf: { d: 'M1.500 6.500H11.500M6.500 1.500V11.500', stroke: true },
};

/** The shape of a functional group; the name stands beside it wherever it matters. */
export function GroupMark({ group }: { group: Group }) {
  const s = SHAPES[group];
  const ink = `var(--${group})`;
  return (
    <svg width="13" height="13" viewBox="0 0 13 13" aria-hidden className="inline-block shrink-0">
      <path
        d={s.d}
        fill={s.stroke ? 'none' : ink}
        stroke={s.stroke ? ink : 'none'}
        strokeWidth="2"
      />
    </svg>
  );
}

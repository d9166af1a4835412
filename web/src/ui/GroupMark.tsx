import { GROUP_SHAPES, type Group } from './groupShapes';

export const GROUPS: { id: Group; name: string }[] = [
  { id: 'cool-grass', name: 'cool grass' },
  { id: 'warm-grass', name: 'warm grass' },
  { id: 'cool-legume', name: 'cool legume' },
  { id: 'warm-legume', name: 'warm legume' },
  { id: 'brassica', name: 'brassica' },
  { id: 'broadleaf', name: 'broadleaf' },
];

/** The shape of a functional group; the name stands beside it wherever it matters. */
export function GroupMark({ group }: { group: Group }) {
  const s = GROUP_SHAPES[group];
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

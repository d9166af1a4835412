import type { Group } from './model';

export type TileName = Group | 'straw';

/** A repeating square of ink, `size` px wide; filled where it has no line width. */
export interface Tile {
  size: number;
  d: string;
  width?: number;
  turnDeg?: number;
  /** The name of its ink. */
  ink: string;
}

const disc = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** One pattern per functional group, and straw; every painter of the section takes them from here. */
export const TILES: Record<TileName, Tile> = {
  'cool-grass': { size: 3.2, d: 'M1.1 0V3.2', width: 0.95, ink: 'cool-grass' },
  'warm-grass': { size: 4.6, d: 'M0 2.3H4.6', width: 1.25, turnDeg: -52, ink: 'warm-grass' },
  'cool-legume': {
    size: 4.4,
    d: disc(1.1, 1.1, 0.98) + disc(3.3, 3.3, 0.98),
    ink: 'cool-legume',
  },
  'warm-legume': {
    size: 6.4,
    d: disc(1.7, 1.7, 1.25) + disc(4.9, 4.9, 1.25),
    width: 0.9,
    ink: 'warm-legume',
  },
  brassica: { size: 4.4, d: 'M0 0L4.4 4.4M4.4 0L0 4.4', width: 0.8, ink: 'brassica' },
  broadleaf: {
    size: 6.6,
    d: 'M0.2 1.7H3.2M1.7 0.2V3.2M3.5 5H6.5M5 3.5V6.5',
    width: 0.95,
    ink: 'broadleaf',
  },
  straw: {
    size: 9,
    d: 'M0 2L4 1M3 5L8 4.5M1 8L5 7M6 1.5L9 2.2M6 7.5L9 8.5',
    width: 0.7,
    ink: 'strawink',
  },
};

/** The mark of a note's weight about a middle of 0, 0. */
export const MARKS = {
  stop: {
    body: 'M-2.9 -7H2.9L7 -2.9V2.9L2.9 7H-2.9L-7 2.9V-2.9Z',
    bar: 'M-3.6 0H3.6',
  },
  think: { body: 'M0 -7.2L7.2 0L0 7.2L-7.2 0Z', half: 'M0 -7.2L7.2 0L0 7.2Z' },
  tip: { ringPx: 6.2, dotPx: 1.7 },
};

import type { Evaluation } from '../api/client';
import type { Flag } from './flags';
import type { Group, Note } from './model';
import type { Pin } from './pins';
import type { PlanBDay, PlanBMark } from './planB';
import type { Ribbon } from './ribbon';
import type { Tick, TimeScale } from './scale';

export interface StandShape {
  key: string;
  standId: string;
  cover: boolean;
  group: Group;
  body: string;
  fine: string;
  heads: string;
}
export interface Shape {
  key: string;
  d: string;
}
export interface Label {
  key: string;
  x: number;
  y: number;
  text: string;
  cover?: boolean;
  groups?: Group[];
}
export interface WindowMark {
  key: string;
  cropId: string | undefined;
  inside: boolean;
  x0: number;
  x1: number;
  text: string;
}

/** Everything the section draws, in pixels; the painter adds ink. */
export interface DisplayList {
  width: number;
  height: number;
  skyTop: number;
  ground: number;
  bottom: number;
  pxPerM: number;
  scale: TimeScale;
  stands: StandShape[];
  dead: Shape[];
  roots: (Shape & { tap: boolean; cover: boolean })[];
  residues: Shape[];
  /** Cells of soil water, dry to wet; empty paths where nothing is simulated. */
  water: string[];
  /** Between these a cover's height lies in 8 years of 10. */
  bands: Shape[];
  notches: (Shape & { x: number; text: string })[];
  labels: Label[];
  windows: WindowMark[];
  frosts: { x0: number; x1: number; text: string }[];
  flags: Flag[];
  /** Where the marks of the flags stand. */
  flagY: number;
  ribbon?: Ribbon;
  us: boolean;
  /** Lower edges of the soil's layers. */
  layers: number[];
  panY?: number;
  pins: Pin[];
  planB: PlanBMark[];
  ticks: Tick[];
  heights: { y: number; text: string }[];
  tileY?: number;
  todayX?: number;
}

export type Fold = 'full' | 'strip' | 'row';

export interface Frame {
  width: number;
  height: number;
  fold: Fold;
  us?: boolean;
  /** The span shown, where it is not the section's own. */
  from?: string;
  to?: string;
  notes?: Note[];
  windows?: Evaluation['windows'];
  planB?: PlanBDay[];
  /** Dates that the hand has moved and the evaluation does not know yet, by operation. */
  moved?: Record<string, string>;
}

/** The ground as it lies in the frame: time to the right, one vertical scale above and below the surface, in px. */
export interface Place {
  scale: TimeScale;
  ground: number;
  bottom: number;
  pxPerM: number;
  pxPerDay: number;
  clip: (x: number) => number;
}

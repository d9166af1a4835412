import type { Schemas } from '../api/client';

export type Check = Schemas['CheckEntry'];
export type Gate = Schemas['GateEntry'];

export interface GateKind {
  id: string;
  name: string;
  aside: string;
  /** One species at a time. */
  ofSpecies: boolean;
  /** The plan B whose day to look is this gate's. */
  fallback?: string;
}

/** The looks that decide something, in the order of the season. */
export const GATES: GateKind[] = [
  {
    id: 'autumn',
    name: 'Autumn stand',
    aside: 'dense and green enough?',
    ofSpecies: false,
    fallback: 'thin',
  },
  {
    id: 'winter',
    name: 'After winter',
    aside: 'what is alive',
    ofSpecies: true,
    fallback: 'alive-after-winter',
  },
  { id: 'pollen', name: 'Heads shedding', aside: 'ready to roll?', ofSpecies: true },
  { id: 'bloom', name: 'Bloom', aside: 'half open?', ofSpecies: true },
  {
    id: 'mulch',
    name: 'Mulch',
    aside: 'cut and weigh',
    ofSpecies: false,
    fallback: 'short-mulch',
  },
  { id: 'soil', name: 'Soil', aside: 'does it carry?', ofSpecies: false },
  { id: 'mat', name: 'Mat', aside: 'depth and clumps', ofSpecies: false },
  {
    id: 'kill',
    name: 'Kill check',
    aside: 'a week or two after',
    ofSpecies: false,
    fallback: 'not-killed',
  },
  { id: 'regrowth', name: 'Regrowth', aside: 'how tall again', ofSpecies: true },
];

export const SOILS = [
  { id: 'crumbles', name: 'crumbles' },
  { id: 'worm', name: 'rolls to a worm' },
  { id: 'ribbon', name: 'presses to a ribbon' },
  { id: 'wet', name: 'water comes out' },
];

const FRAME = ['id', 'on', 'species', 'gate', 'kind', 'zone'];

/** Whether anything was seen yet. */
export const isSeen = (c: Check) =>
  Object.keys({ ...c, ...c.gate }).some((member) => !FRAME.includes(member));

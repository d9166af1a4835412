import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { useState, type ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';

import type { Evaluation, Figure, Knowledge, Plan, Problem, Schemas } from '../api/client';
import { PlanContext, type OpenPlan } from './context';

/** For tests: a figure as the server writes it. */
export const figure = (
  id: string,
  value: number,
  unit: string,
  more?: Partial<Figure>,
): Figure => ({
  id,
  label: id,
  value,
  text: String(value),
  unit,
  origin: 'entered',
  ...more,
});

export const PLAN = {
  schemaVersion: 2,
  id: 'p1',
  fieldId: 'f1',
  crops: [
    { id: 'c1', crop: 'winter-wheat' },
    { id: 'c2', crop: 'grain-corn', yieldGoal: { value: 10, unit: 't/ha' } },
  ],
  covers: [
    {
      id: 'v1',
      place: { relation: 'before', cropId: 'c2' },
      mix: {
        method: 'share',
        components: [
          { species: 'cereal-rye', sharePercent: 40 },
          { species: 'hairy-vetch', sharePercent: 50 },
        ],
      },
    },
  ],
  operations: [
    { id: 'o1', kind: 'harvest', subject: 'c1', when: { on: '2026-07-20' } },
    { id: 'o2', kind: 'sow', subject: 'v1', when: { on: '2026-08-10' }, method: 'drilled' },
    {
      id: 'o3',
      kind: 'end',
      subject: 'v1',
      when: { on: '2027-04-28' },
      passes: [{ id: 'e1', method: 'roller-crimper' }],
    },
    { id: 'o4', kind: 'sow', subject: 'c2', when: { on: '2027-05-12' } },
  ],
} as unknown as Plan;

const KNOWLEDGE = {
  aims: [
    { id: 'mulch', name: 'Mulch to plant through' },
    { id: 'fix-nitrogen', name: 'Fix nitrogen' },
  ],
  crops: [
    { id: 'winter-wheat', name: 'Winter wheat', needByYield: true },
    { id: 'grain-corn', name: 'Grain corn', needByYield: true, needUnit: 'lb/bu' },
  ],
  drainages: ['well drained', 'poorly drained'],
  judgements: [],
  operations: [{ id: 'tandem-disc', name: 'Tandem disc' }],
  plantingSystems: [
    { id: 'no-till', name: 'No-till' },
    { id: 'strip-till', name: 'Strip-till' },
  ],
  products: [{ id: 'urea', name: 'Urea' }],
  sowingMethods: [
    { id: 'drilled', name: 'Drilled' },
    { id: 'broadcast', name: 'Broadcast on the surface' },
  ],
  species: [
    { id: 'cereal-rye', name: 'Cereal rye', group: 'cool-grass' },
    { id: 'hairy-vetch', name: 'Hairy vetch', group: 'cool-legume' },
    { id: 'phacelia', name: 'Phacelia', group: 'broadleaf' },
  ],
  purposes: [
    { id: 'cover', name: 'a cover' },
    { id: 'mulch', name: 'a rolled mulch' },
  ],
  schools: [
    {
      id: 'diversity',
      name: 'How many species',
      sides: [
        { id: 'lean', name: 'lean', band: '1 to 4 species', holds: 'seed is dear' },
        { id: 'diverse', name: 'diverse', band: '5 to 20 species', holds: 'one may fail' },
      ],
    },
  ],
  families: ['Fabaceae', 'Poaceae'],
  stockClasses: [
    { id: 'beef-cow', name: 'beef cows', animal: 'cattle', liveWeightKg: 600 },
    { id: 'sheep', name: 'sheep', animal: 'sheep', liveWeightKg: 70 },
  ],
  terminationMethods: [
    { id: 'roller-crimper', name: 'Roller-crimper', sprays: false },
    { id: 'burndown', name: 'Burndown herbicide', sprays: true },
  ],
  textures: ['silt loam'],
} as unknown as Knowledge;

const rate = (
  species: string,
  name: string,
  group: Schemas['RateView']['group'],
  v: number,
): Schemas['RateView'] => {
  const at = `mix/v1/${species}/`;
  return {
    species,
    name,
    group,
    smallBox: false,
    full: { words: '62 to 135 kg/ha', share: v, source: 'a handbook' },
    pls: figure(`${at}pls`, 88.2, '%'),
    germinates: figure(`${at}germinates`, 90, '%'),
    plsRate: figure(`${at}plsRate`, v, 'kg/ha'),
    bulk: figure(`${at}bulk`, v + 5, 'kg/ha'),
    seeds: figure(`${at}seeds`, 10 * v, '/m2'),
    seedsNow: figure(`${at}seedsNow`, 10 * v, '/m2'),
    comesUp: figure(`${at}comesUp`, 7 * v, '/m2'),
    fieldBulk: figure(`${at}bulk`, v + 5, 'kg/ha'),
    fieldSeeds: figure(`${at}seeds`, 10 * v, '/m2'),
    weightShare: figure(`${at}weightShare`, v, '%'),
    seedShare: figure(`${at}seedShare`, v, '%'),
    seed: figure(`${at}seed`, 12 * v, 'kg'),
  };
};

/** For tests: what the server answers to the plan, chapter by chapter. */
export const answered = (): Evaluation => ({
  planId: 'p1',
  asOf: '2026-07-01',
  coreVersion: '0',
  units: 'metric',
  currency: 'EUR',
  field: {
    area: figure('field/area', 12, 'ha', { origin: 'measured' }),
    water: figure('field/water', 180, 'mm'),
    layers: [
      {
        where: '0 to 30 cm',
        wiltingPoint: figure('field/soil/1/wiltingPoint', 0.11, ''),
        fieldCapacity: figure('field/soil/1/fieldCapacity', 0.31, ''),
        saturation: figure('field/soil/1/saturation', 0.48, ''),
      },
    ],
  },
  windows: [
    {
      id: 'c1-c2',
      kind: 'between',
      words: 'between crops',
      afterCropId: 'c1',
      beforeCropId: 'c2',
      from: '2026-07-20',
      to: '2027-05-12',
      sowUntil: '2027-05-12',
      usualMethod: 'drilled',
      days: figure('window/c2/days', 296, 'd'),
      degreeDays: figure('window/c2/degreeDays', 1900, '°C d', { low: '1,700', high: '2,100' }),
      drillDays: figure('window/c2/drillDays', 40, 'd'),
    },
    {
      id: 'interseeded-c2',
      kind: 'interseeded',
      words: 'interseeded at V3 to V6',
      afterCropId: 'c2',
      from: '2027-06-01',
      to: '2027-10-10',
      sowUntil: '2027-06-20',
      usualMethod: 'drilled',
      days: figure('window/interseeded-c2/days', 131, 'd'),
      light: figure('window/interseeded-c2/light', 40, '%'),
    },
  ],
  crops: [
    {
      id: 'c1',
      name: 'Winter wheat',
      family: 'Poaceae',
      harvested: '2026-07-20',
      needByYield: true,
      yieldInBushels: true,
      passes: [],
    },
    {
      id: 'c2',
      name: 'Grain corn',
      family: 'Poaceae',
      planted: '2027-05-12',
      coverId: 'v1',
      needByYield: true,
      yieldInBushels: true,
      system: 'no-till',
      passes: [
        {
          id: 'o4',
          date: '2027-05-12',
          name: 'No-till planter',
          depthCm: 5,
          share: 0.15,
          planting: true,
          strips: false,
          ratingFigure: 'plant/c2/o4/rating',
        },
      ],
    },
  ],
  covers: [
    {
      id: 'v1',
      name: 'Cereal rye and hairy vetch',
      nextCropId: 'c2',
      sown: '2026-08-10',
      ended: '2027-04-28',
      endMethod: 'Roller-crimper',
      windowId: 'c1-c2',
      judged: true,
    },
  ],
  mix: {
    v1: {
      rates: [
        rate('cereal-rye', 'Cereal rye', 'cool-grass', 60),
        rate('hairy-vetch', 'Hairy vetch', 'cool-legume', 40),
      ],
      boxes: [
        {
          id: 'large',
          name: 'Large box',
          species: ['hairy-vetch', 'cereal-rye'],
          rate: figure('mix/v1/box/large/rate', 110, 'kg/ha'),
          catchTest: figure('mix/v1/box/large/catch', 1650, 'g'),
          density: figure('mix/v1/box/large/density', 0.74, 'kg/L'),
        },
      ],
      inoculants: [
        {
          group: 'vetch',
          species: ['hairy-vetch'],
          amount: figure('mix/v1/inoculant/vetch', 900, 'g'),
        },
      ],
      schools: [],
      sum: {
        bulk: figure('mix/v1/bulk', 110, 'kg/ha'),
        seeds: figure('mix/v1/seeds', 1000, '/m2'),
        seed: figure('mix/v1/seed', 1320, 'kg'),
      },
    },
  },
  sow: { v1: { coldPercent: {} } },
  grow: {
    steps: {},
    covers: {},
    crops: {},
    rotation: {},
  },
  end: {
    v1: {
      daysBeforePlanting: figure('end/v1/daysBeforePlanting', 14, 'd'),
      checks: [],
      gaps: [],
      rules: [],
      tanks: [],
      fallbacks: [],
    },
  },
  plant: {
    c2: {
      ratings: { o4: figure('plant/c2/o4/rating', 2.4, 'STIR') },
      rating: figure('plant/c2/rating', 2.4, 'STIR'),
      disturbed: figure('plant/c2/disturbed', 15, '%'),
    },
  },
  feed: {},
  section: {
    from: '2026-07-01',
    to: '2027-10-01',
    today: '2026-07-01',
    frosts: [],
    heightM: 2,
    depthM: 1.2,
    stands: [],
    residues: [],
    passes: [],
    pins: [],
    layerDepthsCm: [],
  },
  notes: [],
  ledger: [
    { cropId: 'c2', label: 'Days in the window', figure: figure('window/c2/days', 296, 'd') },
    {
      cropId: 'c2',
      label: 'Dead before planting',
      figure: figure('end/v1/daysBeforePlanting', 14, 'd'),
    },
  ],
  dates: [],
  calendar: [],
});

interface Opened {
  /** The plan as it is now. */
  plan: () => Plan;
  openWorking: ReturnType<typeof vi.fn>;
  takeInHand: ReturnType<typeof vi.fn>;
  /** A revision was brought back; the plan was copied under a label. */
  restore: ReturnType<typeof vi.fn>;
  copied: ReturnType<typeof vi.fn>;
}

/** For tests: a step of the bench on an open plan; what is changed in it is there at once, and nothing is sent. */
export function opened(
  step: ReactNode,
  given: {
    plan?: (plan: Plan) => Plan;
    evaluation?: (e: Evaluation) => Evaluation;
    problems?: Problem[];
    us?: boolean;
    inHand?: string;
    /** False on a copy beside the field's own plan. */
    current?: boolean;
  } = {},
): Opened {
  let plan = given.plan ? given.plan(PLAN) : PLAN;
  const evaluation = given.evaluation ? given.evaluation(answered()) : answered();
  const openWorking = vi.fn();
  const takeInHand = vi.fn();
  const restore = vi.fn();
  const copied = vi.fn(() => Promise.resolve('p2'));
  function Bench() {
    const [, again] = useState(0);
    const open = {
      session: {
        change: (edit: (p: Plan) => Plan) => {
          plan = edit(plan);
          again((n) => n + 1);
        },
        flush: () => Promise.resolve(),
        evaluate: () => Promise.resolve(),
        restore,
        copied,
      },
      state: {
        plan,
        evaluation,
        problems: given.problems ?? [],
        revision: 1,
        current: given.current ?? true,
      },
      knowledge: KNOWLEDGE,
      field: { id: 'f1', name: 'Upper Bank', farmId: 'a1', texture: 'silt loam' },
      farm: { id: 'a1', name: 'Ashlode', units: given.us ? 'us' : 'metric', currency: 'EUR' },
      us: given.us ?? false,
      inHand: given.inHand ?? 'c2',
      takeInHand,
      openWorking,
    } as unknown as OpenPlan;
    return <PlanContext.Provider value={open}>{step}</PlanContext.Provider>;
  }
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}
    >
      <MemoryRouter>
        <Bench />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { plan: () => plan, openWorking, takeInHand, restore, copied };
}

import type { Evaluation, Schemas } from '../api/client';
import { drawDead, drawRoots, drawStand, hash, notch, thatch, type Bed } from './forms';
import { flagsOf, type Flag } from './flags';
import { residueOf, waterOf } from './living';
import { pinsOf, type Pin } from './pins';
import { ribbonOf, type Ribbon } from './ribbon';
import { dayNumber, months, spokenDate, timeScale, type Tick, type TimeScale } from './scale';
import { inchesOfCm } from '../ui/convert';

export type Section = Evaluation['section'];
export type Note = Schemas['NoteView'];
export type Group = Schemas['PartView']['group'];

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
  figures?: Evaluation['figures'];
  /** Dates that the hand has moved and the evaluation does not know yet, by operation. */
  moved?: Record<string, string>;
}

/** px left of the time axis and right of it; px kept above the sky and below the soil. */
const MARGINS: Record<Fold, { left: number; right: number; top: number; below: number }> = {
  full: { left: 52, right: 34, top: 74, below: 50 },
  strip: { left: 52, right: 34, top: 8, below: 30 },
  row: { left: 0, right: 0, top: 3, below: 1 },
};
/** Depth of loose straw, m per t/ha: 10 t/ha lie about 10 cm deep. Common practice of straw mulches. */
const RESIDUE_M = 0.01;
/** Weeks in which what frost killed sinks away. */
const SINK_DAYS = 80;
/** Roots go down faster than tops go up. */
const ROOT_LEAD = 0.7;

/** Further px over the sky for the weather. */
const WEATHER_PX = 56;

const clamp = (v: number, a: number, b: number) => Math.min(b, Math.max(a, v));

/** Height in cm of a weekly course at a number of days after its first. */
export function courseAt(courseCm: number[], days: number): number {
  const last = courseCm.length - 1;
  if (last < 0) return 0;
  const i = clamp(days / 7, 0, last);
  const lo = Math.floor(i);
  const a = courseCm[lo] ?? 0;
  return a + ((courseCm[lo + 1] ?? a) - a) * (i - lo);
}

/** A stand with the dates the hand has moved put in. */
function withMoved(s: Section, moved: Record<string, string>) {
  const day = (kinds: string[], subject: string) => {
    const pin = s.pins.find((p) => p.subject === subject && kinds.includes(p.kind));
    return pin ? moved[pin.operationId] : undefined;
  };
  return s.stands.map((x) => ({
    ...x,
    from: day(['sow'], x.id) ?? x.from,
    to: day([x.cover ? 'end' : 'harvest'], x.id) ?? x.to,
  }));
}

/** Lays a section out: one vertical scale above and below the ground, fitted to the tallest crop and deepest root. */
export function layOut(s: Section, f: Frame): DisplayList {
  const full = f.fold === 'full';
  const weather = full && s.weather !== undefined;
  const usual = MARGINS[f.fold];
  const m = { ...usual, top: usual.top + (weather ? WEATHER_PX : 0) };
  const scale = timeScale(f.from ?? s.from, f.to ?? s.to, m.left, f.width - m.right);
  const pxPerM = (f.height - m.top - m.below) / (s.heightM + s.depthM);
  const ground = Math.round(m.top + s.heightM * pxPerM);
  const bottom = ground + s.depthM * pxPerM;
  const clip = (x: number) => clamp(x, scale.x0, scale.x1);
  const pxPerDay = (scale.x1 - scale.x0) / (scale.to - scale.from);
  const origin = scale.x0 - scale.from * pxPerDay;

  const out: DisplayList = {
    width: f.width,
    height: f.height,
    skyTop: m.top,
    ground,
    bottom,
    pxPerM,
    scale,
    stands: [],
    dead: [],
    roots: [],
    residues: s.ground
      ? residueOf(s, scale, ground, RESIDUE_M * pxPerM, (k) => hash('residue', k, 7)).map(
          (path, i) => ({ key: `residue ${i}`, d: path }),
        )
      : s.residues.map((r) => ({
          key: `${r.id} ${r.from}`,
          d: thatch(
            clip(scale.x(r.from)),
            clip(scale.x(r.to)),
            ground,
            Math.max(1, r.tHa * RESIDUE_M * pxPerM),
            r.id,
          ),
        })),
    water: full ? waterOf(s, scale, ground, bottom, pxPerM) : [],
    bands: [],
    notches: [],
    labels: [],
    windows: [],
    frosts: [],
    flags: [],
    flagY: weather ? 96 : 44,
    ribbon: weather ? ribbonOf(s, scale) : undefined,
    us: f.us ?? false,
    layers: full
      ? s.layerDepthsCm
          .map((cm) => cm / 100)
          .filter((m2) => m2 < s.depthM)
          .map((m2) => ground + m2 * pxPerM)
      : [],
    panY:
      f.fold === 'row' || s.panDepthCm === undefined || s.panDepthCm / 100 > s.depthM
        ? undefined
        : ground + (s.panDepthCm / 100) * pxPerM,
    pins: [],
    ticks: months(scale),
    heights: full ? ruler(s, ground, pxPerM, f.us ?? false) : [],
    tileY:
      f.fold === 'row' || s.tileDepthCm === undefined || s.tileDepthCm / 100 > s.depthM
        ? undefined
        : ground + (s.tileDepthCm / 100) * pxPerM,
    todayX: undefined,
  };
  for (const stand of withMoved(s, f.moved ?? {})) {
    const x0 = clip(scale.x(stand.from));
    const x1 = clip(scale.x(stand.to));
    if (x1 - x0 < 2) continue;
    for (const p of [...stand.parts].sort((a, b) => reach(b) - reach(a))) {
      const key = `${stand.id} ${p.id}`;
      const first = scale.x(stand.from);
      const cm = (x: number) => courseAt(p.courseCm, (x - first) / pxPerDay);
      const frost = p.frostedOn ? clip(scale.x(p.frostedOn)) : x1;
      const end = Math.min(x1, frost);
      if (end - x0 >= 2) {
        const bed: Bed = {
          x0,
          x1: end,
          ground,
          origin,
          at: (x) => (cm(x) / 100) * pxPerM * (within(stand, p) ? VINE_SHOWN : 1),
        };
        out.stands.push({
          key,
          standId: stand.id,
          cover: stand.cover,
          group: p.group,
          ...drawStand(p.form, bed, key),
        });
        const share = (x: number) => Math.pow(cm(x) / 100 / p.heightM, ROOT_LEAD);
        const rootCm = p.grown?.rootCm;
        const deep: Bed = {
          ...bed,
          at: rootCm
            ? (x) => (courseAt(rootCm, (x - first) / pxPerDay) / 100) * pxPerM
            : (x) => p.rootDepthM * pxPerM * share(x),
        };
        out.roots.push({
          key,
          d: drawRoots(deep, p.taproot, key),
          tap: p.taproot,
          cover: stand.cover,
        });
      }
      if (x1 - frost > 4) {
        const gone = Math.min(x1, frost + SINK_DAYS * pxPerDay);
        // the outline of a simulated stand is already gone on the day it is reported lost
        const h = (Math.max(cm(frost), cm(frost - 7 * pxPerDay)) / 100) * pxPerM;
        out.dead.push({
          key,
          d: drawDead(frost, gone, ground, h, SINK_DAYS * pxPerDay * 1.15),
        });
      }
    }
    if (full && stand.cover) out.bands.push(...bandOf(stand, x0, x1, scale, ground, pxPerM));
    if (full) {
      const middle = (x0 + x1) / 2;
      const half = (stand.label.length * WORD_PX) / 2;
      const top = Math.max(
        0.15,
        ...stand.parts.flatMap((p) =>
          [-1, 0, 1].map(
            (k) => courseAt(p.courseCm, (middle + k * half - scale.x(stand.from)) / pxPerDay) / 100,
          ),
        ),
      );
      out.labels.push({
        key: stand.id,
        x: middle,
        y: ground - top * pxPerM - 15,
        text: `${stand.label}${stand.open ? ', no end yet' : ''}`,
        cover: stand.cover,
        groups: stand.cover ? stand.parts.map((p) => p.group) : undefined,
      });
    }
  }
  out.notches = s.passes
    .filter((p) => p.share > 0)
    .map((p) => ({
      key: p.id,
      x: scale.x(p.date),
      d: notch(
        scale.x(p.date),
        ground,
        (p.depthCm / 100) * pxPerM,
        p.share,
        f.fold === 'full' ? 18 : 10,
      ),
      text: `${p.name}, ${spokenDate(p.date)}: ${f.us ? `${inchesOfCm(p.depthCm).toFixed(1)} in` : `${Math.round(p.depthCm)} cm`} deep, ${Math.round(p.share * 100)} % of the ground`,
    }))
    .filter((n) => n.x >= scale.x0 && n.x <= scale.x1);
  const today = scale.x(s.today);
  if (today >= scale.x0 && today <= scale.x1) out.todayX = today;
  out.windows = (f.windows ?? [])
    .map((w) => ({
      key: w.id,
      cropId: w.beforeCropId,
      inside: w.kind !== 'between',
      x0: clip(scale.x(w.from)),
      x1: clip(scale.x(w.to)),
      text: `window ${f.figures?.[`${w.figures}/days`]?.text ?? ''} days`,
    }))
    .filter((w) => !w.inside && w.x1 - w.x0 > 1);
  if (f.fold === 'row') return out;
  out.pins = pinsOf(s.pins, s.today, scale, f.moved ?? {}, full ? 2 : 0);
  if (!full) return out;
  out.labels = spread(out.labels, m.top + 4);
  out.frosts = s.frosts
    .map((x) => ({
      x0: clip(scale.x(x.from)),
      x1: clip(scale.x(x.to)),
      text: `${spokenDate(x.from, false)} to ${spokenDate(x.to, false)}`,
    }))
    .filter((x) => x.x1 - x.x0 > 2);
  out.flags = flagsOf(f.notes ?? [], scale);
  return out;
}

const WORD_PX = 6.4;

/** A vine is drawn within what it climbs on, so that both are seen. */
const VINE_SHOWN = 0.76;

/** The height that a plant comes to in the picture, m: simulated, else typical. */
function reach(p: Section['stands'][number]['parts'][number]) {
  return p.grown ? Math.max(...p.courseCm) / 100 - (p.form === 'vetch' ? 0.01 : 0) : p.heightM;
}

/** Whether a plant climbs on another of its stand. */
function within(stand: Section['stands'][number], p: Section['stands'][number]['parts'][number]) {
  return p.grown !== undefined && p.form === 'vetch' && stand.parts.some((o) => o.form !== 'vetch');
}

/** The heights between which the tallest of a cover stands in 8 years of 10, as two lines. */
function bandOf(
  stand: Section['stands'][number],
  x0: number,
  x1: number,
  scale: TimeScale,
  ground: number,
  pxPerM: number,
): Shape[] {
  if (!stand.parts.some((p) => p.grown)) return [];
  const pxPerDay = (scale.x1 - scale.x0) / (scale.to - scale.from);
  const first = scale.x(stand.from);
  const line = (of: 'heightLowCm' | 'heightHighCm') => {
    let d = '';
    for (let x = x0; x <= x1; x += 3) {
      const days = (x - first) / pxPerDay;
      const cm = Math.max(...stand.parts.map((p) => courseAt(p.grown?.[of] ?? [], days)));
      d += `${d ? 'L' : 'M'}${Math.round(x * 10) / 10} ${Math.round((ground - (cm / 100) * pxPerM) * 10) / 10}`;
    }
    return d;
  };
  return [
    { key: `${stand.id} low`, d: line('heightLowCm') },
    { key: `${stand.id} high`, d: line('heightHighCm') },
  ];
}

/** Moves labels that would lie over one another up by a line, never above the sky. */
export function spread(labels: Label[], highest: number): Label[] {
  const placed: Label[] = [];
  for (const l of [...labels].sort((a, b) => a.x - b.x)) {
    const half = (l.text.length * WORD_PX) / 2;
    let y = Math.max(highest + 8, l.y);
    const hits = () =>
      placed.some(
        (p) => Math.abs(p.y - y) < 13 && Math.abs(p.x - l.x) < half + (p.text.length * WORD_PX) / 2,
      );
    while (hits() && y > highest + 8) y -= 13;
    placed.push({ ...l, y });
  }
  return placed;
}

function ruler(s: Section, ground: number, pxPerM: number, us: boolean) {
  const step = us ? 0.6096 : 0.5;
  const marks = [{ y: ground, text: '0' }];
  for (let i = 1; i * step <= s.heightM; i++) {
    marks.push({ y: ground - i * step * pxPerM, text: us ? `${i * 2} ft` : `${i * step} m` });
  }
  for (let i = 1; i * step <= s.depthM; i++) {
    marks.push({ y: ground + i * step * pxPerM, text: us ? `${i * 24} in` : `${i * 50} cm` });
  }
  return marks;
}

/** What stands at a place in time, with its height in m, tallest first. */
export function standing(s: Section, day: number): { name: string; heightM: number }[] {
  return s.stands
    .filter((x) => dayNumber(x.from) <= day && day <= dayNumber(x.to))
    .flatMap((x) =>
      x.parts
        .filter((p) => !p.frostedOn || dayNumber(p.frostedOn) > day)
        .map((p) => ({
          name: p.name,
          heightM: courseAt(p.courseCm, day - dayNumber(x.from)) / 100,
        })),
    )
    .sort((a, b) => b.heightM - a.heightM);
}

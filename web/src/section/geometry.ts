import type { Evaluation, Schemas } from '../api/client';
import { notch, roots, silhouette, thatch } from './forms';
import { months, spokenDate, timeScale, type Tick, type TimeScale } from './scale';

type Section = Evaluation['section'];
type Group = NonNullable<Schemas['PartView']['group']>;

export interface Shape {
  key: string;
  d: string;
  group?: Group;
  fibrous?: boolean;
}
export interface Label {
  key: string;
  x: number;
  y: number;
  text: string;
  anchor: 'start' | 'middle' | 'end';
  italic?: boolean;
}
export interface Pin {
  key: string;
  x: number;
  kind: string;
  text: string;
  spoken: string;
  done: boolean;
  /** Which of two rows its words stand in, 2 when they are left out. */
  row: number;
}

/** Everything the section draws, in pixels; the painter adds ink. */
export interface DisplayList {
  width: number;
  height: number;
  ground: number;
  bottom: number;
  pxPerM: number;
  scale: TimeScale;
  stands: Shape[];
  rootStrokes: Shape[];
  residues: Shape[];
  notches: Shape[];
  labels: Label[];
  pins: Pin[];
  ticks: Tick[];
  heights: { y: number; text: string }[];
  tileY?: number;
  todayX?: number;
}

const GUTTER_LEFT = 52;
const GUTTER_RIGHT = 34;
/** Thickness of residue on the line, px per t/ha. */
const RESIDUE_PX = 2.2;

export interface Frame {
  width: number;
  height: number;
  from?: string;
  to?: string;
  /** A row in a list: no words, no pins, no ruler. */
  row?: boolean;
  us?: boolean;
}

/** Lays a section out: one vertical scale above and below the ground, fitted to the tallest crop and deepest root. */
export function layOut(s: Section, f: Frame): DisplayList {
  const left = f.row ? 0 : GUTTER_LEFT;
  const scale = timeScale(
    f.from ?? s.from,
    f.to ?? s.to,
    left,
    f.width - (f.row ? 0 : GUTTER_RIGHT),
  );
  const top = f.row ? 2 : 30;
  const below = f.row ? 1 : 44;
  const pxPerM = (f.height - top - below) / (s.heightM + s.depthM);
  const ground = Math.round(top + s.heightM * pxPerM);
  const bottom = ground + s.depthM * pxPerM;
  const clip = (x: number) => Math.min(scale.x1, Math.max(scale.x0, x));
  const residuePx = f.row ? 0.6 : RESIDUE_PX;

  const residues = s.residues.map((r) => ({
    key: `${r.id} ${r.from}`,
    d: thatch(
      clip(scale.x(r.from)),
      clip(scale.x(r.to)),
      ground,
      Math.max(1, r.tHa * residuePx),
      r.id,
    ),
  }));
  const stands: Shape[] = [];
  const rootStrokes: Shape[] = [];
  const labels: Label[] = [];
  for (const stand of s.stands) {
    const x0 = clip(scale.x(stand.from));
    const x1 = clip(scale.x(stand.to));
    if (x1 - x0 < 2) continue;
    const tallFirst = [...stand.parts].sort((a, b) => b.heightM - a.heightM);
    for (const p of tallFirst) {
      const seed = `${stand.id} ${p.id}`;
      const h = p.heightM * pxPerM;
      stands.push({ key: seed, d: silhouette(p.form, x0, x1, ground, h, seed), group: p.group });
      rootStrokes.push({
        key: seed,
        d: roots(x0, x1, ground, p.rootDepthM * pxPerM, p.taproot, seed),
        fibrous: !p.taproot,
      });
    }
    const tallest = tallFirst[0]?.heightM ?? 0.2;
    if (!f.row) {
      const y = Math.max(12, ground - tallest * pxPerM - (stand.cover ? 9 : 8));
      labels.push({
        key: stand.id,
        x: (x0 + x1) / 2,
        y,
        text: `${stand.label}${stand.open ? ', no end yet' : ''}`,
        anchor: 'middle',
        italic: stand.cover,
      });
    }
  }
  const notches = s.passes.map((p) => ({
    key: p.id,
    d: notch(scale.x(p.date), ground, (p.depthCm / 100) * pxPerM, p.share),
  }));
  const todayX = scale.x(s.today);
  return {
    width: f.width,
    height: f.height,
    ground,
    bottom,
    pxPerM,
    scale,
    stands,
    rootStrokes,
    residues,
    notches,
    labels: f.row ? [] : spread(labels),
    pins: f.row ? [] : pins(s, scale),
    ticks: months(scale),
    heights: f.row ? [] : ruler(s, ground, pxPerM, f.us ?? false),
    tileY: s.tileDepthCm === undefined ? undefined : ground + (s.tileDepthCm / 100) * pxPerM,
    todayX: todayX >= scale.x0 && todayX <= scale.x1 ? todayX : undefined,
  };
}

const WORD_PX = 6.2;

/** Moves labels that would lie over one another up by a line. */
export function spread(labels: Label[]): Label[] {
  const placed: Label[] = [];
  for (const l of [...labels].sort((a, b) => a.x - b.x)) {
    const half = (l.text.length * WORD_PX) / 2;
    let y = l.y;
    const hits = () =>
      placed.some(
        (p) => Math.abs(p.y - y) < 13 && Math.abs(p.x - l.x) < half + (p.text.length * WORD_PX) / 2,
      );
    while (hits() && y > 10) y -= 13;
    placed.push({ ...l, y });
  }
  return placed;
}

function pins(s: Section, scale: TimeScale): Pin[] {
  const ends = [-Infinity, -Infinity];
  return s.pins.map((p) => {
    const x = scale.x(p.date);
    const text = `${p.label} ${spokenDate(p.date, false)}`;
    const width = text.length * 6;
    const row = ends.findIndex((e) => x > e);
    if (row >= 0) ends[row] = x + width + 16;
    return {
      key: p.operationId,
      x,
      kind: p.kind,
      text,
      spoken: `${p.label} ${spokenDate(p.date)}`,
      done: p.date <= s.today,
      row: row < 0 ? 2 : row,
    };
  });
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

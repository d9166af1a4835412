import type { Place, Shape, StandShape } from './displayList';
import { drawDead, drawRoots, drawStand, type Bed } from './forms';
import { courseAt, type Part, type Section, type Stand } from './model';

/** Weeks in which what frost killed sinks away. */
const SINK_DAYS = 80;
/** Roots go down faster than tops go up. */
const ROOT_LEAD = 0.7;
/** A vine is drawn within what it climbs on, so that both are seen. */
const VINE_SHOWN = 0.76;

/** The height that a plant comes to in the picture, m: simulated, else typical. */
function reach(p: Part) {
  return p.grown ? Math.max(...p.courseCm) / 100 - (p.form === 'vetch' ? 0.01 : 0) : p.heightM;
}

/** Whether a plant climbs on another of its stand. */
function within(stand: Stand, p: Part) {
  return p.grown !== undefined && p.form === 'vetch' && stand.parts.some((o) => o.form !== 'vetch');
}

/** The stands with the dates the hand has moved put in. */
export function withMoved(s: Section, moved: Record<string, string>) {
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

/** What is drawn of a section's stands. */
export interface StandShapes {
  stands: StandShape[];
  dead: Shape[];
  roots: (Shape & { tap: boolean; cover: boolean })[];
}

const none = (): StandShapes => ({ stands: [], dead: [], roots: [] });

/** The plants of a stand, the tallest behind: tops and roots while they live, and what frost killed while it sinks. */
export function shapesOf(stand: Stand, at: Place): StandShapes {
  const out = none();
  const x0 = at.clip(at.scale.x(stand.from));
  const x1 = at.clip(at.scale.x(stand.to));
  if (x1 - x0 < 2) return out;
  for (const p of [...stand.parts].sort((a, b) => reach(b) - reach(a))) {
    const frost = p.frostedOn ? at.clip(at.scale.x(p.frostedOn)) : x1;
    const end = Math.min(x1, frost);
    if (end - x0 >= 2) alive(stand, p, x0, end, at, out);
    if (x1 - frost > 4) out.dead.push(sinking(stand, p, frost, x1, at));
  }
  return out;
}

/** A plant's height at a place in time, cm. */
function heightCm(stand: Stand, p: Part, at: Place) {
  const first = at.scale.x(stand.from);
  return (x: number) => courseAt(p.courseCm, (x - first) / at.pxPerDay);
}

function alive(stand: Stand, p: Part, x0: number, x1: number, at: Place, out: StandShapes) {
  const key = `${stand.id} ${p.id}`;
  const cm = heightCm(stand, p, at);
  const first = at.scale.x(stand.from);
  const bed: Bed = {
    x0,
    x1,
    ground: at.ground,
    origin: at.scale.x0 - at.scale.from * at.pxPerDay,
    at: (x) => (cm(x) / 100) * at.pxPerM * (within(stand, p) ? VINE_SHOWN : 1),
  };
  out.stands.push({
    key,
    standId: stand.id,
    cover: stand.cover,
    group: p.group,
    ...drawStand(p.form, bed, key),
  });
  const rootCm = p.grown?.rootCm;
  const deep: Bed = {
    ...bed,
    at: rootCm
      ? (x) => (courseAt(rootCm, (x - first) / at.pxPerDay) / 100) * at.pxPerM
      : (x) => p.rootDepthM * at.pxPerM * Math.pow(cm(x) / 100 / p.heightM, ROOT_LEAD),
  };
  out.roots.push({ key, d: drawRoots(deep, p.taproot, key), tap: p.taproot, cover: stand.cover });
}

function sinking(stand: Stand, p: Part, frost: number, x1: number, at: Place): Shape {
  const cm = heightCm(stand, p, at);
  const gone = Math.min(x1, frost + SINK_DAYS * at.pxPerDay);
  // the outline of a simulated stand is already gone on the day it is reported lost
  const h = (Math.max(cm(frost), cm(frost - 7 * at.pxPerDay)) / 100) * at.pxPerM;
  return {
    key: `${stand.id} ${p.id}`,
    d: drawDead(frost, gone, at.ground, h, SINK_DAYS * at.pxPerDay * 1.15),
  };
}

/** The heights between which the tallest of a cover stands in 8 years of 10, as two lines. */
export function bandOf(stand: Stand, at: Place): Shape[] {
  const x0 = at.clip(at.scale.x(stand.from));
  const x1 = at.clip(at.scale.x(stand.to));
  if (x1 - x0 < 2 || !stand.parts.some((p) => p.grown)) return [];
  const first = at.scale.x(stand.from);
  const line = (of: 'heightLowCm' | 'heightHighCm') => {
    let d = '';
    for (let x = x0; x <= x1; x += 3) {
      const days = (x - first) / at.pxPerDay;
      const cm = Math.max(...stand.parts.map((p) => courseAt(p.grown?.[of] ?? [], days)));
      d += `${d ? 'L' : 'M'}${Math.round(x * 10) / 10} ${Math.round((at.ground - (cm / 100) * at.pxPerM) * 10) / 10}`;
    }
    return d;
  };
  return [
    { key: `${stand.id} low`, d: line('heightLowCm') },
    { key: `${stand.id} high`, d: line('heightHighCm') },
  ];
}

import type { DisplayList, Fold, Frame, Place } from './displayList';
import { flagsOf } from './flags';
import { hash, notch, thatch } from './forms';
import { labelOf, spread } from './labels';
import { residueOf, waterOf } from './living';
import type { Section } from './model';
import { pinsOf } from './pins';
import { planBMarks } from './planB';
import { ribbonOf } from './ribbon';
import { months, timeScale } from './scale';
import { bandOf, shapesOf, withMoved } from './standShapes';
import { inchesOfCm } from '../ui/convert';
import { spokenDate } from '../ui/days';

/** px left of the time axis and right of it; px kept above the sky and below the soil. */
const MARGINS: Record<Fold, { left: number; right: number; top: number; below: number }> = {
  full: { left: 52, right: 34, top: 74, below: 50 },
  strip: { left: 52, right: 34, top: 8, below: 30 },
  row: { left: 0, right: 0, top: 3, below: 1 },
};
/** Depth of loose straw, m per t/ha: 10 t/ha lie about 10 cm deep. Common practice of straw mulches. */
const RESIDUE_M = 0.01;
/** Further px over the sky for the weather. */
const WEATHER_PX = 56;

/** Lays a section out: one vertical scale above and below the ground, fitted to the tallest crop and deepest root. */
export function layOut(s: Section, f: Frame): DisplayList {
  const full = f.fold === 'full';
  const weather = full && s.weather !== undefined;
  const top = MARGINS[f.fold].top + (weather ? WEATHER_PX : 0);
  const at = placeOf(s, f, top);
  const stands = withMoved(s, f.moved ?? {});
  const shapes = stands.map((x) => shapesOf(x, at));
  const today = at.scale.x(s.today);
  const row = f.fold === 'row';
  return {
    width: f.width,
    height: f.height,
    skyTop: top,
    ground: at.ground,
    bottom: at.bottom,
    pxPerM: at.pxPerM,
    scale: at.scale,
    stands: shapes.flatMap((x) => x.stands),
    dead: shapes.flatMap((x) => x.dead),
    roots: shapes.flatMap((x) => x.roots),
    residues: residueShapes(s, at),
    water: full ? waterOf(s, at.scale, at.ground, at.bottom, at.pxPerM) : [],
    bands: full ? stands.filter((x) => x.cover).flatMap((x) => bandOf(x, at)) : [],
    notches: notches(s, f, at),
    labels: full
      ? spread(
          stands.flatMap((x) => labelOf(x, at) ?? []),
          top + 4,
        )
      : [],
    windows: windows(f, at),
    frosts: full ? frosts(s, at) : [],
    flags: full ? flagsOf(f.notes ?? [], at.scale) : [],
    flagY: weather ? 96 : 44,
    ribbon: weather ? ribbonOf(s, at.scale) : undefined,
    us: f.us ?? false,
    layers: full ? s.layerDepthsCm.flatMap((cm) => depthY(s, at, cm) ?? []) : [],
    panY: row ? undefined : depthY(s, at, s.panDepthCm),
    pins: row ? [] : pinsOf(s.pins, s.today, at.scale, f.moved ?? {}, full ? 2 : 0),
    planB: full ? planBMarks(f.planB ?? [], at.scale) : [],
    ticks: months(at.scale),
    heights: full ? ruler(s, at.ground, at.pxPerM, f.us ?? false) : [],
    tileY: row ? undefined : depthY(s, at, s.tileDepthCm),
    todayX: today >= at.scale.x0 && today <= at.scale.x1 ? today : undefined,
  };
}

function placeOf(s: Section, f: Frame, top: number): Place {
  const m = MARGINS[f.fold];
  const scale = timeScale(f.from ?? s.from, f.to ?? s.to, m.left, f.width - m.right);
  const pxPerM = (f.height - top - m.below) / (s.heightM + s.depthM);
  const ground = Math.round(top + s.heightM * pxPerM);
  return {
    scale,
    ground,
    bottom: ground + s.depthM * pxPerM,
    pxPerM,
    pxPerDay: (scale.x1 - scale.x0) / (scale.to - scale.from),
    clip: (x) => Math.min(scale.x1, Math.max(scale.x0, x)),
  };
}

/** Where a depth lies in the picture; nothing for none, or one deeper than the picture. */
function depthY(s: Section, at: Place, cm: number | undefined) {
  return cm === undefined || cm / 100 > s.depthM ? undefined : at.ground + (cm / 100) * at.pxPerM;
}

function residueShapes(s: Section, at: Place) {
  const { scale, ground, pxPerM, clip } = at;
  if (s.ground) {
    const jitter = (k: number) => hash('residue', k, 7);
    return residueOf(s, scale, ground, RESIDUE_M * pxPerM, jitter).map((path, i) => ({
      key: `residue ${i}`,
      d: path,
    }));
  }
  return s.residues.map((r) => {
    const thick = Math.max(1, r.tHa * RESIDUE_M * pxPerM);
    return {
      key: `${r.id} ${r.from}`,
      d: thatch(clip(scale.x(r.from)), clip(scale.x(r.to)), ground, thick, r.id),
    };
  });
}

/** Every pass that disturbs the ground, as deep and as wide as it does. */
function notches(s: Section, f: Frame, at: Place) {
  const depth = (cm: number) => (f.us ? `${inchesOfCm(cm).toFixed(1)} in` : `${Math.round(cm)} cm`);
  return s.passes
    .filter((p) => p.share > 0)
    .map((p) => {
      const x = at.scale.x(p.date);
      const wide = f.fold === 'full' ? 18 : 10;
      return {
        key: p.id,
        x,
        d: notch(x, at.ground, (p.depthCm / 100) * at.pxPerM, p.share, wide),
        text: `${p.name}, ${spokenDate(p.date)}: ${depth(p.depthCm)} deep, ${Math.round(p.share * 100)} % of the ground`,
      };
    })
    .filter((n) => n.x >= at.scale.x0 && n.x <= at.scale.x1);
}

function windows(f: Frame, at: Place) {
  return (f.windows ?? [])
    .map((w) => ({
      key: w.id,
      cropId: w.beforeCropId,
      inside: w.kind !== 'between',
      x0: at.clip(at.scale.x(w.from)),
      x1: at.clip(at.scale.x(w.to)),
      text: `window ${w.days.text} days`,
    }))
    .filter((w) => !w.inside && w.x1 - w.x0 > 1);
}

function frosts(s: Section, at: Place) {
  return s.frosts
    .map((x) => ({
      x0: at.clip(at.scale.x(x.from)),
      x1: at.clip(at.scale.x(x.to)),
      text: `${spokenDate(x.from, false)} to ${spokenDate(x.to, false)}`,
    }))
    .filter((x) => x.x1 - x.x0 > 2);
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

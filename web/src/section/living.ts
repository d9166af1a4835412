import { courseAt, type Section } from './model';
import { dateOf, dayNumber } from '../ui/days';
import { type TimeScale } from './scale';

/** Levels of water in the soil, dry to wet; each is painted as one path. */
export const WATER_LEVELS = 6;
/** A layer this full, % between wilting point and field capacity, is of the wettest level. */
const FULL = 100;

const r = (v: number) => Math.round(v * 10) / 10;

/** The water of the soil's layers by weeks as cells, one path a level. */
export function waterOf(
  s: Section,
  scale: TimeScale,
  ground: number,
  bottom: number,
  pxPerM: number,
): string[] {
  const g = s.ground;
  const paths = Array.from({ length: WATER_LEVELS }, () => '');
  if (!g || g.waterPercent.length === 0) return paths;
  const first = dayNumber(s.from);
  g.waterPercent.forEach((weeks, l) => {
    const top = l === 0 ? 0 : (g.layerBottomsCm[l - 1] ?? 0) / 100;
    const y0 = ground + top * pxPerM;
    const y1 = Math.min(bottom, ground + ((g.layerBottomsCm[l] ?? 0) / 100) * pxPerM);
    if (y1 - y0 < 0.5) return;
    let level = -1;
    let from = 0;
    const close = (x: number) => {
      const a = Math.max(scale.x0, from);
      const b = Math.min(scale.x1, x);
      if (level >= 0 && b - a > 0.2) {
        paths[level] += `M${r(a)} ${r(y0)}H${r(b)}V${r(y1)}H${r(a)}Z`;
      }
    };
    weeks.forEach((percent, i) => {
      const at = Math.max(
        0,
        Math.min(WATER_LEVELS - 1, Math.floor((percent / FULL) * WATER_LEVELS)),
      );
      if (at !== level) {
        const x = scale.x(dateOf(first + 7 * i));
        close(x);
        level = at;
        from = x;
      }
    });
    close(scale.x(dateOf(first + 7 * weeks.length)));
  });
  return paths;
}

/** The residue on the line by weeks, to scale but never thinner than can be seen; pieces between weeks without any. */
export function residueOf(
  s: Section,
  scale: TimeScale,
  ground: number,
  pxPerTonne: number,
  jitter: (k: number) => number,
): string[] {
  const weeks = s.ground?.residueKgHa ?? [];
  const first = dayNumber(s.from);
  const pieces: string[] = [];
  let d = '';
  let last = 0;
  const end = () => {
    if (d) pieces.push(`${d}L${r(last)} ${r(ground)}Z`);
    d = '';
  };
  const pxPerDay = (scale.x1 - scale.x0) / (scale.to - scale.from);
  const step = Math.max(1, 4 / pxPerDay);
  for (let day = 0, k = 0; day <= 7 * (weeks.length - 1); day += step, k++) {
    const x = scale.x(dateOf(Math.round(first + day)));
    const tonnes = courseAt(weeks, day) / 1000;
    if (x < scale.x0 || x > scale.x1 || tonnes < 0.15) {
      end();
      continue;
    }
    if (!d) d = `M${r(x)} ${r(ground)}`;
    d += `L${r(x)} ${r(ground - Math.max(1.4, tonnes * pxPerTonne) * (0.9 + 0.2 * jitter(k)))}`;
    last = x;
  }
  end();
  return pieces;
}

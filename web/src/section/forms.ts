/** A repeatable number from 0 to 1 for the k-th plant of a stand: moving a date reshuffles nothing. */
export function hash(seed: string, k: number, salt = 0): number {
  let h = 2166136261 ^ Math.imul(k + 1, 374761393) ^ Math.imul(salt + 1, 668265263);
  for (const c of seed) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  h = Math.imul(h ^ (h >>> 15), 2246822507);
  h = Math.imul(h ^ (h >>> 13), 3266489909);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Where a stand is drawn: from x0 to x1 px, its height at each x in px, the ground line, and where plant 0 would stand. */
export interface Bed {
  x0: number;
  x1: number;
  ground: number;
  origin: number;
  at: (x: number) => number;
}

/** A stand drawn: its body as a closed outline, fine strokes on it, and heads as small filled discs. */
export interface Drawn {
  body: string;
  fine: string;
  heads: string;
}

const PITCH: Record<string, number> = {
  cereal: 4.4,
  millet: 6.4,
  sorghum: 8.2,
  corn: 9.5,
  vetch: 7.6,
  clover: 6,
  bush: 8.4,
  radish: 11.5,
  sunflower: 8,
};
/** Below this height, px, every form is a row of bumps. */
const BUMPS_BELOW = 6;

const r = (v: number) => Math.round(v * 10) / 10;
const disc = (x: number, y: number, q: number) =>
  `M${r(x - q)} ${r(y)}a${r(q)} ${r(q)} 0 1 0 ${r(2 * q)} 0a${r(q)} ${r(q)} 0 1 0 ${r(-2 * q)} 0`;

type Plant = { c: number; w: number; h: number; next: number; side: 1 | -1; g: number };
type Form = (q: Plant) => { edge: string; fine?: string; heads?: string };

const at = (q: Plant, dx: number, h: number) => `${r(q.c + dx)} ${r(q.g - h)}`;

const FORMS: Record<string, Form> = {
  cereal: (q) => ({
    edge: `L${at(q, -1, q.h - 6)}L${at(q, 0.3, q.h)}L${at(q, 1.4, q.h - 5.5)}L${at(q, q.w / 2, q.next * 0.78)}`,
    fine: q.h > 30 ? `M${at(q, 0.2, q.h - 1)}L${at(q, 0.4 + q.side * 0.6, q.h - 8)}` : '',
  }),
  millet: (q) => ({
    edge: `Q${at(q, -1, q.h * 0.96)} ${at(q, 0.5, q.h * 0.9)}L${at(q, q.w / 2, q.next * 0.74)}`,
    fine: `M${at(q, 0, q.h * 0.6)}Q${at(q, 0.4, q.h)} ${at(q, q.side * 3.4, q.h * 0.99)}q${q.side * 1.6} 0.6 ${q.side * 1.2} 4`,
  }),
  sorghum: (q) => ({
    edge: `C${at(q, -2.4, q.h * 0.8)} ${at(q, -1.6, q.h * 0.88)} ${at(q, 0, q.h * 0.88)}C${at(q, 2, q.h * 0.88)} ${at(q, 2.4, q.h * 0.78)} ${at(q, q.w / 2, q.next * 0.68)}`,
    fine: `M${at(q, 0, 0)}V${r(q.g - q.h * 0.88)}`,
    heads: `M${at(q, -1.7, q.h * 0.9)}Q${at(q, 0, q.h * 1.06)} ${at(q, 1.7, q.h * 0.9)}Q${at(q, 0, q.h * 0.78)} ${at(q, -1.7, q.h * 0.9)}Z`,
  }),
  corn: (q) => {
    const leaf = (h: number, s: number) =>
      `M${at(q, 0, q.h * h)}Q${at(q, s * 3.4, q.h * (h + 0.13))} ${at(q, s * 5.4, q.h * (h - 0.02))}`;
    return {
      edge: `Q${at(q, -q.w * 0.3, q.h * 0.86)} ${at(q, 0, q.h * 0.86)}Q${at(q, q.w * 0.3, q.h * 0.84)} ${at(q, q.w / 2, q.next * 0.66)}`,
      fine: `M${at(q, 0, 0)}V${r(q.g - q.h)}${leaf(0.3, q.side)}${leaf(0.46, -q.side)}${leaf(0.62, q.side)}${leaf(0.74, -q.side)}M${at(q, -2, q.h * 0.97)}L${at(q, 0, q.h * 0.86)}L${at(q, 2, q.h * 0.97)}`,
    };
  },
  sunflower: (q) => ({
    edge: `Q${at(q, -q.w * 0.35, q.h * 0.92)} ${at(q, 0, q.h * 0.9)}Q${at(q, q.w * 0.35, q.h * 0.88)} ${at(q, q.w / 2, q.next * 0.76)}`,
    fine: `M${at(q, 0, q.h * 0.35)}V${r(q.g - q.h)}`,
    heads: q.h > 24 ? disc(q.c + q.side * 0.8, q.g - q.h, 2.9) : '',
  }),
  bush: (q) => ({
    edge: `C${at(q, -q.w * 0.5, q.h * 0.98)} ${at(q, -q.w * 0.2, q.h * 1.04)} ${at(q, 0, q.h)}C${at(q, q.w * 0.24, q.h)} ${at(q, q.w * 0.5, q.h * 0.94)} ${at(q, q.w / 2, q.next * 0.82)}`,
    fine: q.h > 16 ? `M${at(q, 0, q.h * 0.2)}L${at(q, q.side * 1.2, q.h * 0.8)}` : '',
  }),
  vetch: (q) => ({
    edge: `Q${at(q, -q.w * 0.25, q.h * 1.1)} ${at(q, 0, q.h * 0.93)}Q${at(q, q.w * 0.25, q.h * 0.8)} ${at(q, q.w / 2, q.next * 0.9)}`,
    fine: q.h > 16 ? `M${at(q, 0, q.h * 0.94)}q${q.side * 1.2} -3.4 ${q.side * 3.2} -2.2` : '',
  }),
  clover: (q) => ({
    edge: `Q${at(q, 0, q.h * 1.14)} ${at(q, q.w / 2, q.next * 0.82)}`,
    heads: q.h > 18 ? disc(q.c, q.g - q.h - 0.4, 1.2) : '',
  }),
  radish: (q) => ({
    edge: `C${at(q, -q.w * 0.44, q.h * 0.9)} ${at(q, -q.w * 0.3, q.h * 1.06)} ${at(q, -q.w * 0.12, q.h * 0.98)}L${at(q, 0, q.h * 0.84)}C${at(q, q.w * 0.12, q.h * 1.04)} ${at(q, q.w * 0.34, q.h * 1.02)} ${at(q, q.w / 2, q.next * 0.68)}`,
    fine: q.h > 16 ? `M${at(q, 0, q.h * 0.3)}L${at(q, 0, q.h * 0.8)}` : '',
  }),
};

const bump: Form = (q) => ({ edge: `Q${at(q, 0, q.h * 1.2)} ${at(q, q.w / 2, q.next * 0.8)}` });

/** A stand in its bed, one plant beside the other, each with its form's own outline. */
export function drawStand(form: string, bed: Bed, seed: string): Drawn {
  const tallest = Math.max(bed.at(bed.x0), bed.at((bed.x0 + bed.x1) / 2), bed.at(bed.x1 - 0.5));
  const pitch = (PITCH[form] ?? 7) * (tallest < 22 ? 0.66 : tallest < 40 ? 0.85 : 1);
  const shape = FORMS[form] ?? bump;
  const { x0, x1, ground } = bed;
  let body = `M${r(x0)} ${r(ground)}L${r(x0)} ${r(ground - bed.at(x0) * 0.7)}`;
  let fine = '';
  let heads = '';
  for (let k = Math.ceil((x0 - bed.origin) / pitch); ; k++) {
    const c = bed.origin + k * pitch + pitch * 0.24 * (hash(seed, k, 1) - 0.5);
    if (!(c <= x1 - 0.5)) break;
    if (c < x0) continue;
    const q: Plant = {
      c,
      w: Math.min(pitch, 2 * (x1 - c)),
      h: bed.at(c) * (0.955 + 0.09 * hash(seed, k)),
      next: bed.at(Math.min(x1, c + pitch / 2)),
      side: hash(seed, k, 2) > 0.5 ? 1 : -1,
      g: ground,
    };
    const d = (q.h < BUMPS_BELOW ? bump : shape)(q);
    body += d.edge;
    fine += d.fine ?? '';
    heads += d.heads ?? '';
  }
  return { body: `${body}L${r(x1)} ${r(ground - bed.at(x1) * 0.8)}V${r(ground)}Z`, fine, heads };
}

/** What frost has killed, standing and then sinking away over some weeks. */
export function drawDead(x0: number, x1: number, ground: number, height: number, sunkPx: number) {
  const sink = (x: number) => height * Math.max(0.16, 1 - (x - x0) / Math.max(1, sunkPx));
  let d = `M${r(x0)} ${r(ground)}L${r(x0)} ${r(ground - height)}`;
  for (let x = x0 + 3, up = false; x < x1; x += 3, up = !up) {
    d += `L${r(x)} ${r(ground - sink(x) * (up ? 1 : 0.8))}`;
  }
  return `${d}L${r(x1)} ${r(ground - sink(x1))}V${r(ground)}Z`;
}

/** Roots as strokes, each as deep as the stand's course allows at its place. */
export function drawRoots(bed: Bed, tap: boolean, seed: string): string {
  const step = tap ? 13 : 8.5;
  let d = '';
  for (let k = Math.ceil((bed.x0 - bed.origin) / step); ; k++) {
    const x = bed.origin + k * step + step * 0.5 * (hash(seed, k, 5) - 0.5);
    if (!(x <= bed.x1 - 1)) break;
    if (x < bed.x0 + 1) continue;
    const deep = bed.at(x) * (0.8 + 0.2 * hash(seed, k, 6));
    if (deep < 4) continue;
    let px = x;
    d += `M${r(px)} ${r(bed.ground + 1)}`;
    const n = Math.max(2, Math.round(deep / 16));
    for (let i = 1; i <= n; i++) {
      px += (hash(seed, k, 10 + i) - 0.5) * (tap ? 1.6 : 4.4);
      d += `L${r(px)} ${r(bed.ground + 1 + (deep * i) / n)}`;
    }
    for (let b = 1; b <= 2 && deep > 24; b++) {
      const side = hash(seed, k, 30 + b) > 0.5 ? 1 : -1;
      const y = bed.ground + deep * (0.2 + 0.28 * b * hash(seed, k, 40 + b));
      d += `M${r(x)} ${r(y)}l${r(side * (3 + 2 * hash(seed, k, 50 + b)))} ${r(5 + 5 * hash(seed, k, 60 + b))}`;
    }
  }
  return d;
}

/** The cut a pass makes in an 18 px sample of the ground: a scratch, a comb of strips or a basin, as deep as it works. */
export function notch(x: number, ground: number, depth: number, share: number, width = 18): string {
  const d = Math.max(3, depth);
  if (share <= 0) return '';
  if (share < 0.2) {
    return `M${r(x - 1.3)} ${ground}L${r(x)} ${r(ground + d)}L${r(x + 1.3)} ${ground}Z`;
  }
  if (share < 0.6) {
    const w = (width * share) / 3;
    return [-width / 3, 0, width / 3]
      .map((o) => x + o)
      .map(
        (c) =>
          `M${r(c - w / 2)} ${ground}L${r(c - w / 4)} ${r(ground + d)}L${r(c + w / 4)} ${r(ground + d)}L${r(c + w / 2)} ${ground}Z`,
      )
      .join('');
  }
  const h = width / 2;
  return `M${r(x - h)} ${ground}L${r(x - h * 0.83)} ${r(ground + d)}Q${r(x - h * 0.4)} ${r(ground + d * 0.75)} ${r(x)} ${r(ground + d)}Q${r(x + h * 0.4)} ${r(ground + d * 0.75)} ${r(x + h * 0.83)} ${r(ground + d)}L${r(x + h)} ${ground}Z`;
}

/** The jittered upper edge of residue lying on the line. */
export function thatch(x0: number, x1: number, ground: number, thick: number, seed: string) {
  let d = `M${r(x0)} ${r(ground)}`;
  let k = 0;
  for (let x = x0; x < x1; x += 4) {
    d += `L${r(x)} ${r(ground - thick * (0.88 + 0.24 * hash(seed, k++, 7)))}`;
  }
  return `${d}L${r(x1)} ${r(ground - thick)}L${r(x1)} ${r(ground)}Z`;
}

/** A repeatable stream of numbers from 0 to 1, so that a stand looks the same every time it is drawn. */
export function stream(seed: string): () => number {
  let h = 2166136261;
  for (const c of seed) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return () => {
    h = Math.imul(h ^ (h >>> 15), 2246822507);
    h = Math.imul(h ^ (h >>> 13), 3266489909);
    h ^= h >>> 16;
    return (h >>> 0) / 4294967296;
  };
}

const PITCH: Record<string, number> = {
  cereal: 4.4,
  millet: 7.2,
  sorghum: 9,
  corn: 8,
  vetch: 7.5,
  clover: 6,
  bush: 8,
  radish: 11,
  sunflower: 7,
};

const r = (v: number) => Math.round(v * 10) / 10;

/** How far up an outline stands after a share of its time: a plain rise, then level. It says nothing of growth. */
export const rise = (t: number) => {
  const u = Math.min(1, Math.max(0, t / 0.4));
  return 0.12 + 0.88 * u * u * (3 - 2 * u);
};

/** The upper edge of a stand from x0 to x1, one form of plant beside the other, as path commands. */
export function crest(
  form: string,
  x0: number,
  x1: number,
  ground: number,
  height: number,
  seed: string,
): string {
  const next = stream(seed);
  const pitch = (PITCH[form] ?? 7) * (height < 30 ? 0.75 : 1);
  const at = (x: number) => height * rise((x - x0) / Math.max(1, x1 - x0));
  let d = '';
  for (let x = x0; x < x1 - 0.5;) {
    const w = Math.min(pitch * (0.8 + 0.4 * next()), x1 - x);
    const c = x + w / 2;
    const h = at(c) * (0.95 + 0.1 * next());
    const low = at(x + w);
    const p = (px: number, ph: number) => `${r(px)} ${r(ground - ph)}`;
    if (h < 7) d += `Q${p(c, h * 1.2)} ${p(x + w, low * 0.8)}`;
    else if (form === 'cereal') {
      d += `L${p(c - 0.9, h - 5)}L${p(c + 0.4, h)}L${p(c + 1.2, h - 5.5)}L${p(x + w, low * 0.72)}`;
    } else if (form === 'millet' || form === 'sorghum') {
      d += `C${p(c - 2, h * 0.8)} ${p(c - 2.6, h)} ${p(c, h)}C${p(c + 2.6, h)} ${p(c + 2, h * 0.86)} ${p(x + w, low * 0.7)}`;
    } else if (form === 'corn') {
      d += `L${p(c - 0.5, h * 0.84)}L${p(c - 1.6, h)}M${p(c - 0.5, h * 0.84)}L${p(c, h)}L${p(c + 0.5, h * 0.86)}Q${p(c + w * 0.3, h * 0.8)} ${p(x + w, low * 0.6)}`;
    } else if (form === 'radish') {
      d += `C${p(c - w * 0.35, h)} ${p(c - w * 0.2, h * 1.08)} ${p(c, h * 0.82)}C${p(c + w * 0.2, h * 1.08)} ${p(c + w * 0.4, h)} ${p(x + w, low * 0.62)}`;
    } else if (form === 'sunflower') {
      d += `C${p(c - w * 0.5, h * 0.9)} ${p(c - 2.5, h * 1.04)} ${p(c, h)}C${p(c + 2.5, h * 1.02)} ${p(c + w * 0.4, h * 0.9)} ${p(x + w, low * 0.74)}`;
    } else d += `Q${p(c, h * 1.14)} ${p(x + w, low * 0.8)}`;
    x += w;
  }
  return d;
}

/** A closed silhouette on the ground line. */
export function silhouette(
  form: string,
  x0: number,
  x1: number,
  ground: number,
  height: number,
  seed: string,
): string {
  const edge = crest(form, x0, x1, ground, height, seed).replace(/M([\d.-]+ [\d.-]+)/g, 'L$1');
  return `M${r(x0)} ${r(ground)}L${r(x0)} ${r(ground - height * rise(0))}${edge}L${r(x1)} ${r(ground)}Z`;
}

/** Roots as strokes, each as deep as the outline allows at its place. */
export function roots(
  x0: number,
  x1: number,
  ground: number,
  depth: number,
  tap: boolean,
  seed: string,
): string {
  const next = stream(`${seed} roots`);
  const step = tap ? 13 : 8;
  let d = '';
  for (let x = x0 + step / 2; x < x1; x += step * (0.75 + 0.5 * next())) {
    const deep = depth * rise((x - x0) / Math.max(1, x1 - x0)) * (0.8 + 0.2 * next());
    if (deep < 4) continue;
    let px = x;
    d += `M${r(px)} ${r(ground + 1)}`;
    const n = Math.max(2, Math.round(deep / 20));
    for (let i = 1; i <= n; i++) {
      px += (next() - 0.5) * (tap ? 1.6 : 4);
      d += `L${r(px)} ${r(ground + 1 + (deep * i) / n)}`;
    }
    if (deep > 20) {
      const side = next() > 0.5 ? 1 : -1;
      const y = ground + deep * (0.3 + 0.3 * next());
      d += `M${r(x)} ${r(y)}l${r(side * (3 + 2 * next()))} ${r(5 + 5 * next())}`;
    }
  }
  return d;
}

/** The cut a pass makes in an 18 px sample of the ground: a scratch, a comb of strips or a basin, as deep as it works. */
export function notch(x: number, ground: number, depth: number, share: number): string {
  const d = Math.max(3, depth);
  if (share <= 0) return '';
  if (share < 0.2) {
    return `M${r(x - 1.3)} ${ground}L${r(x)} ${r(ground + d)}L${r(x + 1.3)} ${ground}Z`;
  }
  if (share < 0.6) {
    const w = (18 * share) / 3;
    return [-6, 0, 6]
      .map((o) => x + o)
      .map(
        (c) =>
          `M${r(c - w / 2)} ${ground}L${r(c - w / 4)} ${r(ground + d)}L${r(c + w / 4)} ${r(ground + d)}L${r(c + w / 2)} ${ground}Z`,
      )
      .join('');
  }
  return `M${r(x - 9)} ${ground}L${r(x - 7.5)} ${r(ground + d)}Q${r(x)} ${r(ground + d * 0.7)} ${r(x + 7.5)} ${r(ground + d)}L${r(x + 9)} ${ground}Z`;
}

/** The jittered upper edge of residue lying on the line. */
export function thatch(
  x0: number,
  x1: number,
  ground: number,
  thick: number,
  seed: string,
): string {
  const next = stream(`${seed} straw`);
  let d = `M${r(x0)} ${r(ground)}`;
  for (let x = x0; x < x1; x += 4) d += `L${r(x)} ${r(ground - thick * (0.85 + 0.3 * next()))}`;
  return `${d}L${r(x1)} ${r(ground - thick)}L${r(x1)} ${r(ground)}Z`;
}

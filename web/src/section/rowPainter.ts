import { TILES, MARKS, type TileName } from './tiles';
import { FIG } from './ink';
import type { DisplayList } from './displayList';

/** Colours and patterns by name, as they are in the theme in force. */
export interface Inks {
  colour: (name: string) => string;
  tile: (name: TileName) => CanvasPattern | string;
}

/** Repeats of a tile on its bitmap, so that every size is whole pixels. */
const REPEATS = 5;

/** Reads the page's theme. */
export function inksOf(page: HTMLElement, density: number): Inks {
  const style = getComputedStyle(page);
  const colours = new Map<string, string>();
  const colour = (name: string) => {
    const known = colours.get(name);
    if (known !== undefined) return known;
    const value = style.getPropertyValue(`--${name}`).trim();
    colours.set(name, value);
    return value;
  };
  const tiles = new Map<TileName, CanvasPattern | string>();
  const tile = (name: TileName) => {
    const known = tiles.get(name);
    if (known !== undefined) return known;
    const made = bitmapOf(name, colour, density) ?? colour(TILES[name].ink);
    tiles.set(name, made);
    return made;
  };
  return { colour, tile };
}

function bitmapOf(name: TileName, colour: Inks['colour'], density: number) {
  const t = TILES[name];
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = Math.round(t.size * REPEATS * density);
  const ctx = canvas.getContext('2d');
  if (!ctx) return undefined;
  ctx.scale(density, density);
  const ink = new Path2D(t.d);
  ctx.fillStyle = ctx.strokeStyle = colour(t.ink);
  for (let i = -1; i <= REPEATS; i++) {
    for (let j = -1; j <= REPEATS; j++) {
      ctx.save();
      ctx.translate(i * t.size, j * t.size);
      if (t.width === undefined) ctx.fill(ink);
      else {
        ctx.lineWidth = t.width;
        ctx.stroke(ink);
      }
      ctx.restore();
    }
  }
  const pattern = ctx.createPattern(canvas, 'repeat');
  pattern?.setTransform(new DOMMatrix().rotate(t.turnDeg ?? 0).scale(1 / density));
  return pattern;
}

/** What stands over a row beside the section: today, the time ahead that is due, the next decision, names. */
export interface RowMarks {
  todayX: number;
  dueX: number;
  next?: { x: number; weight?: 'stop' | 'think' | 'tip' };
  names: { x: number; text: string }[];
}

/** Paints a section folded to a row, and its marks, in the order of the live drawing. */
export function paintRow(
  ctx: CanvasRenderingContext2D,
  d: DisplayList,
  marks: RowMarks,
  inks: Inks,
) {
  const { colour, tile } = inks;
  const { x0, x1 } = d.scale;
  const line = (path: string | Path2D, ink: string, width: number) => {
    ctx.strokeStyle = ink;
    ctx.lineWidth = width;
    ctx.stroke(typeof path === 'string' ? new Path2D(path) : path);
  };
  const fill = (path: string | Path2D, ink: string | CanvasPattern) => {
    ctx.fillStyle = ink;
    ctx.fill(typeof path === 'string' ? new Path2D(path) : path);
  };
  ctx.lineJoin = 'round';
  ctx.fillStyle = colour('soil');
  ctx.fillRect(x0, d.ground, x1 - x0, Math.max(0, d.bottom - d.ground));
  for (const s of d.roots) {
    ctx.globalAlpha = s.cover ? 0.85 : 0.7;
    line(s.d, colour('root'), s.tap ? 1.1 : 0.65);
  }
  ctx.globalAlpha = 1;
  for (const s of d.dead) {
    const body = new Path2D(s.d);
    ctx.globalAlpha = 0.75;
    fill(body, colour('paper'));
    ctx.globalAlpha = 1;
    fill(body, tile('straw'));
    ctx.setLineDash([2, 1.4]);
    line(body, colour('strawink'), 0.6);
    ctx.setLineDash([]);
  }
  for (const s of d.stands) {
    const body = new Path2D(s.body);
    fill(body, s.cover ? colour(`${s.group}-wash`) : colour('paper'));
    fill(body, tile(s.group));
    line(body, s.cover ? colour(s.group) : colour('ink'), 0.7);
  }
  for (const s of d.residues) {
    const body = new Path2D(s.d);
    fill(body, colour('straw'));
    line(body, colour('strawink'), 0.3);
  }
  line(`M${x0} ${d.ground}H${x1}`, colour('ink'), 1);
  for (const n of d.notches) {
    const cut = new Path2D(n.d);
    fill(cut, colour('paper'));
    line(cut, colour('ink'), 0.8);
  }
  paintMarks(ctx, d, marks, { colour, line, fill });
}

function paintMarks(
  ctx: CanvasRenderingContext2D,
  d: DisplayList,
  marks: RowMarks,
  pen: {
    colour: Inks['colour'];
    line: (path: string, ink: string, width: number) => void;
    fill: (path: string, ink: string) => void;
  },
) {
  const { colour, line, fill } = pen;
  const now = marks.todayX;
  ctx.globalAlpha = 0.06;
  ctx.fillStyle = colour('ink');
  ctx.fillRect(now, 0, marks.dueX - now, d.height);
  ctx.globalAlpha = 1;
  line(`M${now - 1.2} 0V${d.height}M${now + 1.2} 0V${d.height}`, colour('ink'), 0.8);
  if (marks.next && marks.next.x < d.width) {
    const { x, weight } = marks.next;
    line(`M${x} 8V${d.height - 4}`, colour('hand'), 1.8);
    ctx.save();
    ctx.translate(weight ? Math.max(8, x) : x, 9);
    if (weight === 'stop') {
      fill(MARKS.stop.body, colour('hand'));
      line(MARKS.stop.bar, colour('paper'), 2.2);
    } else if (weight === 'think') {
      fill(MARKS.think.body, colour('paper'));
      line(MARKS.think.body, colour('ink'), 1.4);
      fill(MARKS.think.half, colour('ink'));
    } else if (weight === 'tip') {
      const { ringPx, dotPx } = MARKS.tip;
      const ring = (r: number) => `M${-r} 0a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
      fill(ring(ringPx), colour('paper'));
      line(ring(ringPx), colour('ink'), 1.4);
      fill(ring(dotPx), colour('ink'));
    } else {
      fill('M-4.5 -5H4.5L0 3Z', colour('hand'));
    }
    ctx.restore();
  }
  ctx.font = `11px ${FIG}`;
  ctx.textAlign = 'center';
  for (const name of marks.names) {
    ctx.strokeStyle = colour('soil');
    ctx.lineWidth = 3;
    ctx.strokeText(name.text, name.x, d.height - 4);
    ctx.fillStyle = colour('ink');
    ctx.fillText(name.text, name.x, d.height - 4);
  }
}

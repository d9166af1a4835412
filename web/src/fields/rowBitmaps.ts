import type { Schemas } from '../api/client';
import { layOut } from '../section/layOut';
import { inksOf, paintRow, type Inks, type RowMarks } from '../section/rowPainter';
import { addDays } from '../ui/days';
import { timeScale } from '../section/scale';

/** A row with its picture's data. */
export type Summary = Pick<Schemas['FieldRow'], 'next' | 'note'> & {
  section: Schemas['SectionView'];
};
/** The size of a row's picture in px and the days it shows. */
export type Span = { width: number; height: number; from: string; to: string };

/** A decision this near is due. */
export const DUE_DAYS = 14;
/** Pictures kept; the oldest used goes first. At 620 px by 56 about 140 kB each. */
export const KEPT = 500;
/** px a letter of a name takes. */
const LETTER_PX = 5.6;

/** What stands over a field's row: today, the fortnight ahead, the next decision, what grows. */
export function marksOf(f: Summary, frame: Span, day: string): RowMarks {
  const scale = timeScale(frame.from, frame.to, 0, frame.width);
  return {
    todayX: scale.x(day),
    dueX: scale.x(addDays(day, DUE_DAYS)),
    next: f.next && { x: scale.x(f.next.date), weight: f.note?.weight },
    names: f.section.stands
      .map((s) => ({
        text: s.label.toLowerCase(),
        x0: Math.max(0, scale.x(s.from)),
        x1: Math.min(frame.width, scale.x(s.to)),
      }))
      .filter((s) => s.x1 - s.x0 > s.text.length * LETTER_PX)
      .map((s) => ({ text: s.text, x: (s.x0 + s.x1) / 2 })),
  };
}

/** Rows of the list as bitmaps, painted once: scrolling only lays them on the page. */
export class RowBitmaps {
  private readonly pictures = new Map<Summary, HTMLCanvasElement>();
  private readonly inks: Inks;

  constructor(
    private readonly frame: Span,
    private readonly day: string,
    readonly density: number,
  ) {
    this.inks = inksOf(document.documentElement, density);
  }

  has(f: Summary) {
    return this.pictures.has(f);
  }

  /** The picture of a field's row, painted now where it is not yet. */
  of(f: Summary): HTMLCanvasElement {
    const known = this.pictures.get(f);
    const picture = known ?? this.paint(f);
    this.pictures.delete(f);
    this.pictures.set(f, picture);
    if (this.pictures.size > KEPT) {
      for (const oldest of this.pictures.keys()) {
        this.pictures.delete(oldest);
        break;
      }
    }
    return picture;
  }

  private paint(f: Summary) {
    const { frame } = this;
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(frame.width * this.density);
    canvas.height = Math.round(frame.height * this.density);
    const ctx = canvas.getContext('2d');
    if (ctx) {
      ctx.scale(this.density, this.density);
      const d = layOut(f.section, { ...frame, fold: 'row' });
      paintRow(ctx, d, marksOf(f, frame, this.day), this.inks);
    }
    return canvas;
  }
}

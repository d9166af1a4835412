import { describe, expect, it, vi } from 'vitest';

import { KEPT, marksOf, RowBitmaps, type Summary } from './rowBitmaps';

const frame = { width: 600, height: 56, from: '2026-06-01', to: '2028-01-22' };
const stand = (id: string, label: string, from: string, to: string) => ({
  id,
  label,
  from,
  to,
  cover: false,
  open: false,
  parts: [],
});
const field = (over: Partial<Summary>) =>
  ({
    fieldId: 'f',
    name: 'Hop Piece',
    section: {
      from: frame.from,
      to: frame.to,
      today: '2026-11-25',
      heightM: 1,
      depthM: 1,
      stands: [],
      residues: [],
      passes: [],
      pins: [],
      frosts: [],
      layerDepthsCm: [],
    },
    ...over,
  }) as unknown as Summary;

describe('a row of the list', () => {
  it('marks today and the fortnight after it, one px a day here', () => {
    const m = marksOf(field({}), frame, '2026-11-25');
    expect(m.todayX).toBeCloseTo(177, 6);
    expect(m.dueX - m.todayX).toBeCloseTo(14, 6);
    expect(m.next).toBeUndefined();
  });

  it('marks the next decision with the weight of its note', () => {
    const m = marksOf(
      field({
        next: { date: '2026-12-01', what: 'end cover', step: 'end' },
        note: { weight: 'stop', text: 'x' },
      }),
      frame,
      '2026-11-25',
    );
    expect(m.next).toEqual({ x: 183, weight: 'stop' });
  });

  it('names only what has the room, in the middle of what is seen of it', () => {
    const f = field({});
    f.section.stands = [
      stand('a', 'Oats', '2026-01-01', '2026-07-31'),
      stand('b', 'Winter wheat', '2026-10-01', '2026-10-20'),
    ] as never;
    expect(marksOf(f, frame, '2026-11-25').names).toEqual([{ text: 'oats', x: 30 }]);
  });

  it('paints once, and keeps a bounded number of pictures', () => {
    // this page has no painter; what is looked at is what is kept
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue(null);
    const bitmaps = new RowBitmaps(frame, '2026-11-25', 1);
    const first = field({});
    const picture = bitmaps.of(first);
    expect(bitmaps.of(first)).toBe(picture);
    for (let i = 0; i < KEPT; i++) bitmaps.of(field({}));
    expect(bitmaps.has(first)).toBe(false);
  });
});

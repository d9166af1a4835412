import type { Label, Place } from './displayList';
import { courseAt, type Stand } from './model';

/** px of a letter, about. */
const WORD_PX = 6.4;

/** The name of a stand over its middle, above what stands there. */
export function labelOf(stand: Stand, at: Place): Label | undefined {
  const x0 = at.clip(at.scale.x(stand.from));
  const x1 = at.clip(at.scale.x(stand.to));
  if (x1 - x0 < 2) return undefined;
  const middle = (x0 + x1) / 2;
  const half = (stand.label.length * WORD_PX) / 2;
  const first = at.scale.x(stand.from);
  const top = Math.max(
    0.15,
    ...stand.parts.flatMap((p) =>
      [-1, 0, 1].map((k) => courseAt(p.courseCm, (middle + k * half - first) / at.pxPerDay) / 100),
    ),
  );
  return {
    key: stand.id,
    x: middle,
    y: at.ground - top * at.pxPerM - 15,
    text: `${stand.label}${stand.open ? ', no end yet' : ''}`,
    cover: stand.cover,
    groups: stand.cover ? stand.parts.map((p) => p.group) : undefined,
  };
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

/** px that half of the words of today take, and what stands between them and others. */
const TODAY_PX = 68;

/**
 * Where the words on what is drawn stand in the line of today's: at the right, else at the left, else cut short on the
 * side with more room.
 *
 * @param px that they take at most
 */
export function captionAt(
  px: number,
  x0: number,
  x1: number,
  todayX: number | undefined,
): { side: 'left' | 'right'; short: boolean } {
  if (todayX === undefined) return { side: 'right', short: x1 - x0 < px };
  const right = x1 - todayX - TODAY_PX;
  const left = todayX - TODAY_PX - x0;
  if (right >= px) return { side: 'right', short: false };
  if (left >= px) return { side: 'left', short: false };
  return { side: right > left ? 'right' : 'left', short: true };
}

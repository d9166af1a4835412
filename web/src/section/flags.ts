import type { Note } from './model';
import type { TimeScale } from './scale';

export interface Flag {
  key: string;
  x: number;
  weight: Note['weight'];
  answered: boolean;
  /** Two lines at most; none where there is no room for words. */
  lines: string[];
  /** Words stand right of the pole, or left of it. */
  left: boolean;
  notes: Note[];
}

const LETTER_PX = 5.7;
const MOST_LETTERS = 30;
/** Flags this close share a pole. */
const SHARED_PX = 15;

/** Breaks a text into two lines, the second cut with an ellipsis where the text is longer. */
export function twoLines(text: string, most = MOST_LETTERS): string[] {
  const words = text.split(' ');
  const lines = [''];
  for (const w of words) {
    const line = lines[lines.length - 1] ?? '';
    const longer = line ? `${line} ${w}` : w;
    if (longer.length <= most) lines[lines.length - 1] = longer;
    else if (lines.length < 2) lines.push(w);
    else {
      lines[1] = `${line.slice(0, most - 1).replace(/[\s.,;:]+$/, '')}…`;
      break;
    }
  }
  return lines.filter(Boolean);
}

const ORDER = { stop: 0, think: 1, tip: 2 };

/** Notes as flags planted in their place: the heaviest gets the words where several would lie over one another. */
export function flagsOf(notes: Note[], scale: TimeScale): Flag[] {
  const poles: { x: number; notes: Note[] }[] = [];
  const placed = notes
    .filter((n) => n.at !== undefined)
    .map((n) => ({ n, x: scale.x(n.at ?? '') }))
    .filter(({ x }) => x >= scale.x0 && x <= scale.x1)
    .sort((a, b) => a.x - b.x);
  for (const { n, x } of placed) {
    const last = poles[poles.length - 1];
    if (last && x - last.x < SHARED_PX) last.notes.push(n);
    else poles.push({ x, notes: [n] });
  }
  let taken = scale.x0 - 40;
  return poles.map((p, i) => {
    const sorted = [...p.notes].sort(
      (a, b) => Number(!!a.answer) - Number(!!b.answer) || ORDER[a.weight] - ORDER[b.weight],
    );
    const first = sorted[0]!;
    const lines = twoLines(first.answer ? `accepted: ${first.answer.reason}` : first.text);
    const width = Math.max(...lines.map((l) => l.length)) * LETTER_PX + 12;
    const next = poles[i + 1]?.x ?? scale.x1 + 34;
    const right = p.x + width < next - 8 && p.x > taken;
    const left = !right && p.x - width > taken && p.x > taken;
    taken = right ? p.x + width : p.x + 10;
    return {
      key: `${first.rule} ${first.subject} ${p.x}`,
      x: p.x,
      weight: first.weight,
      answered: !!first.answer,
      lines: right || left ? lines : [],
      left,
      notes: sorted,
    };
  });
}

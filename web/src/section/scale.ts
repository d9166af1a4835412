import { DAY_MS, dayNumber, MONTHS } from '../ui/days';

export interface TimeScale {
  x0: number;
  x1: number;
  x: (date: string) => number;
  from: number;
  to: number;
}

/** Time to the right: the days from one date to another over the pixels x0 to x1. */
export function timeScale(from: string, to: string, x0: number, x1: number): TimeScale {
  const a = dayNumber(from);
  const b = Math.max(a + 1, dayNumber(to));
  return { x0, x1, from: a, to: b, x: (d) => x0 + ((dayNumber(d) - a) / (b - a)) * (x1 - x0) };
}

export interface Tick {
  x: number;
  width: number;
  label: string;
  year: boolean;
}

/** A label as long as its room allows: whole, an initial, or none. */
function labelled(room: number, width: number, name: string) {
  if (room < (name.length > 3 ? 30 : Math.min(width, 22) / 2 + 11) || width < 11) return '';
  return width < 22 && name.length === 3 ? name.slice(0, 1) : name;
}

/** The first of every month in the span; January is the year. */
export function months(scale: TimeScale): Tick[] {
  const ticks: Tick[] = [];
  const start = new Date(scale.from * DAY_MS);
  const px = (scale.x1 - scale.x0) / (scale.to - scale.from);
  for (let y = start.getUTCFullYear(), m = start.getUTCMonth(); ; m++) {
    if (m > 11) {
      m = 0;
      y++;
    }
    const first = Date.UTC(y, m, 1) / DAY_MS;
    // also where there is no end to the span, or the months would have none
    if (!(first <= scale.to)) return ticks;
    const next = Date.UTC(y, m + 1, 1) / DAY_MS;
    if (first < scale.from) continue;
    const width = (next - first) * px;
    const x = scale.x0 + (first - scale.from) * px;
    const name = MONTHS[m] ?? '';
    ticks.push({
      x,
      width,
      label: labelled(scale.x1 - x, width, m === 0 ? String(y) : name),
      year: m === 0,
    });
  }
}

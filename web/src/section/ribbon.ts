import type { Section } from './model';
import { dateOf, dayNumber } from '../ui/days';
import { type TimeScale } from './scale';

/** The weather over the section: what was recorded, and after today the middle of the years with 1 in 10 each way. */
export interface Ribbon {
  /** Frost: a tick a week, as high as its share of nights. */
  frost: string;
  frostAhead: string;
  rain: string;
  rainAhead: string;
  rainHigh: string;
  warmth: string;
  warmthAhead: string;
  warmthBand: string;
  /** Where 0 °C lies. */
  zeroY: number;
}

export const FROST_Y = 26;
export const RAIN_Y = 30;
const RAIN_PX_PER_MM = 0.34;
const RAIN_MOST_PX = 15;
const WARM_TOP = 48;
const WARM_BOTTOM = 78;
const COLDEST_C10 = -120;
const WARMEST_C10 = 290;
/** Weeks narrower than this are drawn two or more together. */
const LEAST_WEEK_PX = 2.2;

const round = (v: number) => Math.round(v * 10) / 10;

const warmthY = (c10: number) =>
  WARM_BOTTOM -
  ((Math.min(WARMEST_C10, Math.max(COLDEST_C10, c10)) - COLDEST_C10) /
    (WARMEST_C10 - COLDEST_C10)) *
    (WARM_BOTTOM - WARM_TOP);

/** Lays the weather out over the weeks that are shown. */
export function ribbonOf(s: Section, scale: TimeScale): Ribbon | undefined {
  const w = s.weather;
  if (!w) return undefined;
  const pxPerWeek = ((scale.x1 - scale.x0) / (scale.to - scale.from)) * 7;
  const step = Math.max(1, Math.ceil(LEAST_WEEK_PX / pxPerWeek));
  const first = dayNumber(s.from);
  const out: Ribbon = {
    frost: '',
    frostAhead: '',
    rain: '',
    rainAhead: '',
    rainHigh: '',
    warmth: '',
    warmthAhead: '',
    warmthBand: '',
    zeroY: warmthY(0),
  };
  const low: string[] = [];
  const high: string[] = [];
  for (let i = 0; i < w.meanC10.length; i += step) {
    const x = scale.x(dateOf(first + i * 7 + (step * 7) / 2));
    if (x < scale.x0 || x > scale.x1) continue;
    const recorded = i < w.recordedWeeks;
    const span = (column: number[]) => column.slice(i, i + step);
    const mean = (column: number[]) =>
      span(column).reduce((a, b) => a + b, 0) / span(column).length;
    const frost = Math.max(...span(w.frostPercent));
    if (frost >= 3) {
      const tick = `M${round(x)} ${FROST_Y}v-${round(1.6 + (frost / 100) * 7)}`;
      if (recorded) out.frost += tick;
      else out.frostAhead += tick;
    }
    const rain = Math.min(RAIN_MOST_PX, mean(w.rainMm) * RAIN_PX_PER_MM);
    const wet = Math.min(RAIN_MOST_PX, mean(w.rainHighMm) * RAIN_PX_PER_MM);
    if (recorded) out.rain += `M${round(x)} ${RAIN_Y}v${round(rain)}`;
    else {
      out.rainAhead += `M${round(x)} ${RAIN_Y}v${round(rain)}`;
      out.rainHigh += `${out.rainHigh ? 'L' : 'M'}${round(x)} ${round(RAIN_Y + wet)}`;
    }
    const y = round(warmthY(mean(w.meanC10)));
    if (recorded) out.warmth += `${out.warmth ? 'L' : 'M'}${round(x)} ${y}`;
    else {
      out.warmthAhead += `${out.warmthAhead ? 'L' : 'M'}${round(x)} ${y}`;
      low.push(`${round(x)} ${round(warmthY(mean(w.meanLowC10)))}`);
      high.unshift(`${round(x)} ${round(warmthY(mean(w.meanHighC10)))}`);
    }
  }
  if (low.length > 1) out.warmthBand = `M${[...low, ...high].join('L')}Z`;
  return out;
}

export interface WeekWeather {
  recorded: boolean;
  frostPercent: number;
  rainMm: number;
  meanC10: number;
  lowC10: number;
  highC10: number;
}

/** The weather of the week of a day, for reading. */
export function weekAt(s: Section, day: number): WeekWeather | undefined {
  const w = s.weather;
  const i = Math.floor((day - dayNumber(s.from)) / 7);
  if (!w || i < 0 || i >= w.meanC10.length) return undefined;
  return {
    recorded: i < w.recordedWeeks,
    frostPercent: w.frostPercent[i] ?? 0,
    rainMm: w.rainMm[i] ?? 0,
    meanC10: w.meanC10[i] ?? 0,
    lowC10: w.meanLowC10[i] ?? 0,
    highC10: w.meanHighC10[i] ?? 0,
  };
}

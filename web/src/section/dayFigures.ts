import { courseAt, type Section } from './model';
import { dayNumber } from '../ui/days';
import { feetOfM, inchesOfMm, lbAcOfKgHa } from '../ui/convert';

/** One figure of the ground on a day, with its band where it has one. */
export interface DayFigure {
  key: string;
  label: string;
  value: number;
  low?: number;
  high?: number;
  kind: 'mass' | 'height' | 'percent' | 'water' | 'nitrogen';
  /** What stands beside it in words. */
  said?: string;
}

/** Stages by a hundred times the simulation's scale: 100 is anthesis or early bloom (Etlo's own words and anchors). */
export function stageWord(stage100: number): string {
  if (stage100 >= 200) return 'ripe';
  if (stage100 >= 130) return 'seed set';
  if (stage100 >= 100) return 'in bloom';
  if (stage100 >= 80) return 'before bloom';
  if (stage100 >= 45) return 'stems';
  return 'leafy';
}

/** Weekly values run from a first day to a last one, which need not fall on a week. */
const at = (weekly: number[], days: number) => courseAt(weekly, days);

/** What the simulation says of a day: plants by mass, then the ground. */
export function dayFigures(s: Section, day: number): DayFigure[] {
  const plants: DayFigure[] = s.stands
    .filter((x) => dayNumber(x.from) <= day && day <= dayNumber(x.to))
    .flatMap((x) =>
      x.parts.flatMap((p) => {
        const g = p.grown;
        const days = day - dayNumber(x.from);
        if (!g || at(g.massKgHa, days) < 1) return [];
        const alive = at(g.alivePercent, days);
        return [
          {
            key: `${x.id} ${p.id}`,
            label: p.name,
            value: at(g.massKgHa, days),
            low: at(g.massLowKgHa, days),
            high: at(g.massHighKgHa, days),
            kind: 'mass' as const,
            said:
              alive < 95
                ? `alive in ${Math.round(alive / 10)} years of 10`
                : stageWord(at(g.stage100, days)),
          },
        ];
      }),
    )
    .sort((a, b) => b.value - a.value);
  return [...plants, ...groundFigures(s, day)];
}

function groundFigures(s: Section, day: number): DayFigure[] {
  const g = s.ground;
  const days = day - dayNumber(s.from);
  if (!g || g.livingCoverPercent.length === 0 || days < 0) return [];
  const cover =
    100 *
    (1 - (1 - at(g.livingCoverPercent, days) / 100) * (1 - at(g.residueCoverPercent, days) / 100));
  return [
    { key: 'cover', label: 'ground covered', value: cover, kind: 'percent' },
    {
      key: 'residue',
      label: 'residue on it',
      value: at(g.residueKgHa, days),
      low: at(g.residueLowKgHa, days),
      high: at(g.residueHighKgHa, days),
      kind: 'mass',
    },
    {
      key: 'water',
      label: 'water for roots',
      value: at(g.availableMm, days),
      low: at(g.availableLowMm, days),
      high: at(g.availableHighMm, days),
      kind: 'water',
    },
    {
      key: 'nitrogen',
      label: 'mineral nitrogen',
      value: at(g.mineralNKgHa, days),
      kind: 'nitrogen',
    },
  ];
}

/** What a later day has more than an earlier one, figure by figure; what was not there counts as none. */
export function differences(s: Section, a: number, b: number): DayFigure[] {
  const [from, to] = a <= b ? [a, b] : [b, a];
  const before = new Map(dayFigures(s, from).map((f) => [f.key, f]));
  const after = dayFigures(s, to);
  const gone = [...before.values()].filter((f) => !after.some((x) => x.key === f.key));
  return [
    ...after.map((f) => ({
      key: f.key,
      label: f.label,
      kind: f.kind,
      value: f.value - (before.get(f.key)?.value ?? 0),
    })),
    ...gone.map((f) => ({ key: f.key, label: f.label, kind: f.kind, value: -f.value })),
  ];
}

/** A figure in words and the farm's units; a difference shows its sign. */
export function inWordsOf(f: DayFigure, us: boolean, sign = false): string {
  const number = (v: number) => {
    switch (f.kind) {
      case 'mass':
        return us
          ? String(Math.round(lbAcOfKgHa(v) / 50) * 50)
          : (v / 1000).toFixed(Math.abs(v) < 1000 ? 2 : 1);
      case 'water':
        return us ? inchesOfMm(v).toFixed(1) : String(Math.round(v));
      case 'nitrogen':
        return String(Math.round(us ? lbAcOfKgHa(v) : v));
      case 'height':
        return us ? feetOfM(v).toFixed(1) : v.toFixed(2);
      default:
        return String(Math.round(v));
    }
  };
  const unit = {
    mass: us ? 'lb/ac' : 't/ha',
    water: us ? 'in' : 'mm',
    nitrogen: us ? 'lb/ac' : 'kg/ha',
    height: us ? 'ft' : 'm',
    percent: '%',
  }[f.kind];
  const plus = sign && f.value > 0 ? '+' : '';
  const text = `${f.label} ${plus}${number(f.value)}`.replace(' -', ' −');
  const band =
    f.low !== undefined && f.high !== undefined && number(f.low) !== number(f.high)
      ? ` (${number(f.low)}…${number(f.high)})`
      : '';
  return `${text}${band} ${unit}${f.said ? `, ${f.said}` : ''}`;
}

import { drawRoots, drawStand, type Bed } from '../section/forms';
import { inkOf, Patterns } from '../section/ink';

const W = 1920;
const SKY = 130;
const SOIL = 150;

const STANDS = [
  { form: 'cereal', group: 'cool-grass', height: 104, depth: 120, tap: false, from: 40, to: 780 },
  { form: 'vetch', group: 'cool-legume', height: 52, depth: 70, tap: true, from: 40, to: 780 },
  { form: 'clover', group: 'cool-legume', height: 30, depth: 60, tap: true, from: 860, to: 1240 },
  { form: 'radish', group: 'brassica', height: 44, depth: 130, tap: true, from: 1300, to: 1880 },
] as const;

/** Covers on a horizon with their roots below: the way every field is drawn, here for the eye only. */
export function Horizon() {
  const bed = (s: (typeof STANDS)[number], high: number): Bed => ({
    x0: s.from,
    x1: s.to,
    ground: SKY,
    origin: 0,
    at: (x) => high * Math.min(1, 0.15 + (x - s.from) / 260),
  });
  return (
    <svg
      viewBox={`0 0 ${W} ${SKY + SOIL}`}
      preserveAspectRatio="xMinYMin slice"
      className="block h-[280px] w-full"
      aria-hidden
    >
      <Patterns prefix="horizon" />
      <rect y={SKY} width={W} height={SOIL} fill="var(--soil)" />
      {STANDS.map((s) => {
        const d = drawStand(s.form, bed(s, s.height), s.form);
        return (
          <g key={s.form}>
            <path
              d={drawRoots(bed(s, s.depth), s.tap, s.form)}
              fill="none"
              stroke="var(--root)"
              strokeWidth={s.tap ? 1.1 : 0.65}
            />
            <path d={d.body} fill={`var(--${s.group}-wash)`} />
            <path
              d={d.body}
              fill={`url(#horizon-${s.group})`}
              stroke={inkOf(s.group)}
              strokeWidth="0.9"
            />
          </g>
        );
      })}
      <path d={`M0 ${SKY}H${W}`} stroke="var(--ink)" strokeWidth="2" />
    </svg>
  );
}

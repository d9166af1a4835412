import type { Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';

/** The shares by weight and by live seeds, one above the other, joined species by species. */
export function ShareBars({ coverId, rates }: { coverId: string; rates: Schemas['RateView'][] }) {
  const { state } = useOpenPlan();
  const value = (species: string, what: string) =>
    state.evaluation?.figures[`mix/${coverId}/${species}/${what}`]?.value ?? 0;
  const ordered = [...rates].sort((a, b) => Number(a.smallBox) - Number(b.smallBox));
  const W = 640;
  const spans = (what: string) => {
    let x = 0;
    return ordered.map((r) => {
      const from = x;
      x += (value(r.species, what) / 100) * W;
      return [from, x] as const;
    });
  };
  const seeds = spans('seedShare');
  const weight = spans('weightShare');
  const text = {
    fontFamily: "'Sofia Sans Semi Condensed', sans-serif",
    fontSize: 11.5,
    fill: 'var(--ink)',
  };
  return (
    <figure className="mt-3">
      <figcaption className="text-[13.5px]">
        <b>Seedbed and bag</b>{' '}
        <i className="text-ink2">
          top: % of the live seeds; foot: % of the seed weight, large box first. By biomass comes
          with the simulation.
        </i>
      </figcaption>
      <svg
        viewBox={`0 0 ${W} 116`}
        className="mt-1 w-full max-w-[760px]"
        role="img"
        aria-label={ordered
          .map(
            (r) =>
              `${r.name}: ${value(r.species, 'seedShare').toFixed(0)} % of seeds, ${value(r.species, 'weightShare').toFixed(0)} % of weight`,
          )
          .join('. ')}
      >
        {ordered.map((r, i) => {
          const s = seeds[i]!;
          const w = weight[i]!;
          const wash = `var(--${r.group}-wash)`;
          const inkOf = `var(--${r.group})`;
          return (
            <g key={r.species}>
              <path
                d={`M${s[0]} 44C${s[0]} 62 ${w[0]} 56 ${w[0]} 74H${w[1]}C${w[1]} 56 ${s[1]} 62 ${s[1]} 44Z`}
                fill={wash}
              />
              <rect x={s[0]} y={18} width={s[1] - s[0]} height={26} fill={wash} stroke={inkOf} />
              <rect x={w[0]} y={74} width={w[1] - w[0]} height={26} fill={wash} stroke={inkOf} />
              {s[1] - s[0] > 16 && (
                <text x={(s[0] + s[1]) / 2} y={35} textAnchor="middle" {...text}>
                  {value(r.species, 'seedShare').toFixed(0)}
                </text>
              )}
              {w[1] - w[0] > 16 && (
                <text x={(w[0] + w[1]) / 2} y={91} textAnchor="middle" {...text}>
                  {value(r.species, 'weightShare').toFixed(0)}
                </text>
              )}
              {s[1] - s[0] > r.name.length * 5.6 && (
                <text x={(s[0] + s[1]) / 2} y={12} textAnchor="middle" {...text}>
                  {r.name}
                </text>
              )}
              {w[1] - w[0] > r.name.length * 5.6 && s[1] - s[0] <= r.name.length * 5.6 && (
                <text x={(w[0] + w[1]) / 2} y={112} textAnchor="middle" {...text}>
                  {r.name}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}

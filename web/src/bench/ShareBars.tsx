import type { Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { FIG, inkOf } from '../section/ink';
import { hash } from '../section/forms';

type Mix = Schemas['MixChapterView'];
type Share = 'seeds' | 'seedShare' | 'weightShare' | 'standShare';

const W = 760;
const STAND_FOOT = 52;
const STAND_H = 34;
const SEED_TOP = 84;
const SEED_H = 58;
const BAG_TOP = 176;
const BAG_H = 24;
const FOOT = BAG_TOP + BAG_H + 15;
/** px without a forecast of the stand. */
const NO_STAND = 66;
/** More dots than this would be a grey field. */
const MOST_DOTS = 900;
const LETTER_PX = 5.7;

/** The seeds of one square metre as dots: their number is the number sown, their size follows the seed's. */
function Seeds({
  from,
  to,
  count,
  big,
  seed,
}: {
  from: number;
  to: number;
  count: number;
  big: boolean;
  seed: string;
}) {
  const q = big ? 2.5 : 1.15;
  let d = '';
  for (let k = 0; k < count; k++) {
    const x = from + q + 1 + hash(seed, k) * Math.max(0, to - from - 2 * q - 2);
    const y = SEED_TOP + q + 2 + hash(seed, k, 3) * (SEED_H - 2 * q - 4);
    d += `M${(x - q).toFixed(1)} ${y.toFixed(1)}a${q} ${q} 0 1 0 ${2 * q} 0a${q} ${q} 0 1 0 ${-2 * q} 0`;
  }
  return <path d={d} />;
}

/** The crest of a stand: one tuft beside the other, so that it reads as growing. */
function crest(from: number, to: number, seed: string): string {
  const pitch = 7;
  let d = `M${from.toFixed(1)} ${STAND_FOOT}V${STAND_FOOT - STAND_H * 0.8}`;
  for (let x = from, k = 0; x < to; x += pitch, k++) {
    const end = Math.min(to, x + pitch);
    const h = STAND_H * (0.86 + 0.24 * hash(seed, k, 8));
    d += `Q${((x + end) / 2).toFixed(1)} ${(STAND_FOOT - h * 1.12).toFixed(1)} ${end.toFixed(1)} ${(STAND_FOOT - STAND_H * 0.8).toFixed(1)}`;
  }
  return `${d}V${STAND_FOOT}Z`;
}

/** Bag, seedbed and stand: the shares by live seeds and by weight, one above the other, joined species by species. */
export function ShareBars({ mix }: { mix: Mix }) {
  const { us } = useOpenPlan();
  const rates = mix.rates;
  const value = (species: string, what: Share) =>
    rates.find((r) => r.species === species)?.[what]?.value ?? 0;
  // a farm that reads square feet still sees one square metre of seedbed
  const perM2 = us ? 10.7639 : 1;
  const ordered = [...rates].sort((a, b) => Number(a.smallBox) - Number(b.smallBox));
  const starts = (what: Share) => {
    const at: number[] = [0];
    ordered.forEach((r, i) => at.push((at[i] ?? 0) + (value(r.species, what) / 100) * W));
    return at;
  };
  const seeds = starts('seedShare');
  const weight = starts('weightShare');
  const stand = starts('standShare');
  const grows = (stand[ordered.length] ?? 0) > 0;
  const mass = mix.delivers?.mass;
  const total = ordered.reduce((n, r) => n + value(r.species, 'seeds') * perM2, 0);
  const thin = Math.min(1, MOST_DOTS / Math.max(1, total));
  const text = { fontFamily: FIG, fontSize: 11.5, textAnchor: 'middle' as const };
  return (
    <figure className="mt-4">
      <figcaption className="text-[13.5px]">
        <b>{grows ? 'Bag, seedbed, stand' : 'Bag and seedbed'}</b>{' '}
        <i className="text-ink2">
          {thin < 1
            ? `one dot for ${Math.round(1 / thin)} live seeds of a square metre`
            : 'every live seed of one square metre'}
          , its number % of the seeds; foot: % of the seed weight, large box first
          {grows ? `; top: % of ${mass?.text} ${mass?.unit} of dry tops forecast` : ''}.
        </i>
      </figcaption>
      <svg
        viewBox={grows ? `0 0 ${W} ${FOOT}` : `0 ${NO_STAND} ${W} ${FOOT - NO_STAND}`}
        className="mt-1 w-full max-w-[860px]"
        role="img"
        aria-label={ordered
          .map(
            (r) =>
              `${r.name}: ${value(r.species, 'seedShare').toFixed(0)} % of seeds, ${value(r.species, 'weightShare').toFixed(0)} % of weight${grows ? `, ${value(r.species, 'standShare').toFixed(0)} % of the stand` : ''}`,
          )
          .join('. ')}
      >
        <rect y={SEED_TOP} width={W} height={SEED_H} fill="var(--soil)" />
        {ordered.map((r, i) => {
          const [s0 = 0, s1 = 0] = [seeds[i], seeds[i + 1]];
          const [w0 = 0, w1 = 0] = [weight[i], weight[i + 1]];
          const foot = SEED_TOP + SEED_H;
          const bend = (foot + BAG_TOP) / 2;
          const wide = r.name.length * LETTER_PX;
          const [g0 = 0, g1 = 0] = [stand[i], stand[i + 1]];
          const rise = (STAND_FOOT + SEED_TOP) / 2;
          return (
            <g key={r.species}>
              {grows && (
                <>
                  <path
                    d={`M${g0} ${STAND_FOOT}C${g0} ${rise} ${s0} ${rise} ${s0} ${SEED_TOP}H${s1}C${s1} ${rise} ${g1} ${rise} ${g1} ${STAND_FOOT}Z`}
                    fill={`var(--${r.group}-wash)`}
                    stroke={inkOf(r.group)}
                    strokeWidth="0.6"
                  />
                  <path d={crest(g0, g1, r.species)} fill={`var(--${r.group}-wash)`} />
                  <path
                    d={crest(g0, g1, r.species)}
                    fill={`url(#section-${r.group})`}
                    stroke={inkOf(r.group)}
                  />
                  {g1 - g0 > 12 && (
                    <text x={(g0 + g1) / 2} y={11} fill="var(--ink)" {...text}>
                      {g1 - g0 > wide + 24 ? `${r.name} ` : ''}
                      {value(r.species, 'standShare').toFixed(0)}
                    </text>
                  )}
                </>
              )}
              <path
                d={`M${s0} ${foot}C${s0} ${bend} ${w0} ${bend} ${w0} ${BAG_TOP}H${w1}C${w1} ${bend} ${s1} ${bend} ${s1} ${foot}Z`}
                fill={`var(--${r.group}-wash)`}
                stroke={inkOf(r.group)}
                strokeWidth="0.6"
              />
              <g fill={inkOf(r.group)}>
                <Seeds
                  from={s0}
                  to={s1}
                  count={Math.round(value(r.species, 'seeds') * perM2 * thin)}
                  big={!r.smallBox}
                  seed={r.species}
                />
              </g>
              <rect
                x={w0}
                y={BAG_TOP}
                width={w1 - w0}
                height={BAG_H}
                fill={`var(--${r.group}-wash)`}
              />
              <rect
                x={w0}
                y={BAG_TOP}
                width={w1 - w0}
                height={BAG_H}
                fill={`url(#section-${r.group})`}
                stroke={inkOf(r.group)}
              />
              {s1 - s0 > 12 && (
                <text
                  x={(s0 + s1) / 2}
                  y={SEED_TOP + SEED_H - 5}
                  fill="var(--ink)"
                  stroke="var(--soil)"
                  strokeWidth="3"
                  paintOrder="stroke"
                  {...text}
                >
                  {s1 - s0 > wide + 24 && !grows ? `${r.name} ` : ''}
                  {value(r.species, 'seedShare').toFixed(0)}
                </text>
              )}
              {w1 - w0 > 12 && (
                <text x={(w0 + w1) / 2} y={FOOT - 3} fill="var(--ink)" {...text}>
                  {w1 - w0 > wide + 24 ? `${r.name} ` : ''}
                  {value(r.species, 'weightShare').toFixed(0)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}

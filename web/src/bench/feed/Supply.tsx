import { useOpenPlan } from '../../plan/context';
import { spokenDate } from '../../ui/days';

const H = 120;
const W = 560;

/** A crop's uptake by the week against what is free for it, what residue holds and what is fed, as simulated. */
export function Supply({ cropId }: { cropId: string }) {
  const { state, us } = useOpenPlan();
  const s = state.evaluation?.feed[cropId]?.supply;
  if (!s) return null;
  const depth = us ? '24 in' : '60 cm';
  const most = Math.max(1, ...s.weeks.flatMap((w) => [w.freeHigh, w.uptakeHigh, w.fed]));
  const y = (v: number) => H - 14 - (v / most) * (H - 24);
  const x = (i: number) => ((i + 0.5) * W) / s.weeks.length;
  const bar = W / s.weeks.length / 3;
  return (
    <section aria-label="Supply against uptake">
      <h3 className="mt-4 font-bold">Supply against uptake, by the week</h3>
      <ul className="text-[13.5px]">
        {s.says.map((t) => (
          <li key={t}>{t}</li>
        ))}
        <li>
          Before planting {s.before} ({s.beforeLow} to {s.beforeHigh}) {s.unit} is free to {depth}.
        </li>
      </ul>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="mt-1 block w-full max-w-[640px] max-[640px]:hidden"
        aria-hidden
      >
        <path
          d={`M${s.weeks.map((w, i) => `${x(i)} ${y(w.freeHigh)}`).join('L')}L${[...s.weeks]
            .reverse()
            .map((w, i) => `${x(s.weeks.length - 1 - i)} ${y(w.freeLow)}`)
            .join('L')}Z`}
          fill="var(--paper2)"
          stroke="var(--rule)"
        />
        <path
          d={`M${s.weeks.map((w, i) => `${x(i)} ${y(w.free)}`).join('L')}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="5 3"
        />
        {s.weeks.map((w, i) => (
          <g key={w.on}>
            <rect
              x={x(i) - bar / 2}
              y={y(w.uptake)}
              width={bar}
              height={H - 14 - y(w.uptake)}
              fill="var(--ink)"
            />
            {w.fed > 0 && (
              <path
                d={`M${x(i) + bar} ${H - 14}V${y(w.fed)}m-4 6l4 -6l4 6`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.6"
              />
            )}
            <text x={x(i)} y={H - 2} fontSize="11" textAnchor="middle" fill="var(--ink2)">
              {w.week}
            </text>
          </g>
        ))}
      </svg>
      <p className="text-[12.5px] text-ink2 max-[640px]:hidden">
        Bars: taken up. Dashed in its band: free to {depth}. Arrows: fed. Weeks after planting;
        those in which it takes up next to nothing are left out.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Supply by week">
        <table className="mt-1 min-w-[520px] border-collapse text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              {[
                'week',
                'by',
                `taken up, ${s.unit}`,
                `free to ${depth}`,
                'held in residue',
                'fed',
                'short',
              ].map((h) => (
                <th key={h} scope="col" className="py-1 pr-4">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {s.weeks.map((w) => (
              <tr key={w.on} className="border-b border-rule2">
                <th scope="row" className="fig py-0.5 pr-4 text-left">
                  {w.week}
                </th>
                <td className="pr-4">{spokenDate(w.on, false)}</td>
                <td className="fig pr-4">
                  {w.uptake} ({w.uptakeLow} to {w.uptakeHigh})
                </td>
                <td className="fig pr-4">
                  {w.free} ({w.freeLow} to {w.freeHigh})
                </td>
                <td className="fig pr-4">{w.held}</td>
                <td className="fig pr-4">{w.fed > 0 ? w.fed : ''}</td>
                <td>{w.shortYears > 0 ? `${w.shortYears} of ${s.years} years` : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

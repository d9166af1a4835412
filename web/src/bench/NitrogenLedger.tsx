import { scaleLinear } from 'd3-scale';

import type { Figure } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { FIG } from '../section/ink';
import { FigureText } from '../plan/FigureText';

type Line = {
  figure: Figure | undefined;
  sum?: boolean;
  label: string;
  aside: string;
  sign?: string;
};

const W = 320;
const ROW = 46;

const bandOf = (f: Figure) => ({
  low: f.lowValue ?? f.value,
  middle: f.value,
  high: f.highValue ?? f.value,
});

/** A scale of whole steps from the lowest to the highest value. */
function scaleOf(values: number[]) {
  const x = scaleLinear([Math.min(0, ...values), Math.max(1, ...values) * 1.02], [6, W - 6]).nice(
    5,
  );
  return { x, ticks: x.ticks(5) };
}

/** The fill of a line's bar: what costs nitrogen is straw, what a legume or the ground gives is cool, what is fed is plain. */
const FILL: Record<string, string> = {
  cover: 'url(#section-cool-legume)',
  'forage-stand': 'url(#section-cool-legume)',
  'previous-crop': 'url(#section-cool-legume)',
};

/** A debit as the column adds it: without its minus, its band turned round. */
const added = (f: Figure): Figure => {
  const plain = (text: string | undefined) =>
    text === undefined || /^0(\.0*)?$/.test(text)
      ? text
      : /^[−-]/.test(text)
        ? text.slice(1)
        : `−${text}`;
  return { ...f, text: plain(f.text)!, low: plain(f.high), high: plain(f.low) };
};

/** Need, every credit and what is left, each bar starting where the last balance ended; the stippled part is the band. */
export function NitrogenLedger({ cropId }: { cropId: string }) {
  const { state } = useOpenPlan();
  const feed = state.evaluation?.feed[cropId];
  const need = feed?.need;
  const left = feed?.leftToBuy;
  if (!need || !left) return null;
  const counted = feed.lines.filter((l) => l.leftOut === undefined);
  const leftOut = feed.lines.filter((l) => l.leftOut !== undefined);
  const planned = feed.planned;
  let at = need.value;
  const steps = [
    ...counted.map((l) => ({
      figure: l.amount,
      label: l.label,
      aside: `${l.sure}: ${l.says}`,
      fill: l.amount.value < 0 ? 'url(#section-straw)' : (FILL[l.kind] ?? 'var(--paper2)'),
    })),
    ...(planned
      ? [
          {
            figure: planned,
            label: 'Planned to be fed',
            aside: 'as entered below',
            fill: 'var(--rule)',
          },
        ]
      : []),
  ].map((l) => {
    const from = at;
    const b = bandOf(l.figure);
    at = from - b.middle;
    return { ...l, a: from, b: at, low: from - b.high, high: from - b.low };
  });
  const needs = bandOf(need);
  const lefts = bandOf(left);
  const lines: Line[] = [
    {
      figure: need,
      label: 'Need',
      aside: feed.schools.find((s) => s.chosen)?.name.toLowerCase() ?? '',
    },
    ...steps.map((l) => ({
      figure: l.figure.value < 0 ? added(l.figure) : l.figure,
      label: l.label,
      aside: l.aside,
      sign: l.figure.value < 0 ? '+' : '−',
    })),
    {
      figure: left,
      sum: true,
      label: 'Left to buy',
      aside: `need less credits${planned ? ' and what is planned' : ''}, never below zero`,
    },
  ];
  const bars = [
    { a: 0, b: needs.middle, low: needs.low, high: needs.high, fill: 'var(--ink)' },
    ...steps,
    { a: 0, b: lefts.middle, low: lefts.low, high: lefts.high, fill: 'none' },
  ];
  const s = scaleOf([0, ...bars.flatMap((b) => [b.a, b.b, b.low, b.high])]);
  return (
    <>
      <table className="mt-3 w-full">
        <thead>
          <tr className="border-b border-ink text-right text-[12.5px]">
            <th className="py-0.5 text-left">line</th>
            <th>low … high</th>
            <th>{need.unit}</th>
            <th className="w-[332px] pl-3 max-[900px]:hidden">
              <svg width={W} height="14" aria-hidden className="block">
                {s.ticks.map((t) => (
                  <text
                    key={t}
                    x={Math.min(W - 8, Math.max(8, s.x(t)))}
                    y="11"
                    fontFamily={FIG}
                    fontSize="11"
                    textAnchor="middle"
                    fill="var(--ink2)"
                  >
                    {t}
                  </text>
                ))}
              </svg>
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((l, i) => {
            const f = l.figure;
            const bar = bars[i]!;
            return (
              <tr
                key={`${l.label}${i}`}
                className={l.sum ? 'border-y-2 border-ink' : 'border-b border-rule2'}
                style={{ height: ROW }}
              >
                <td>
                  <b className={l.sum ? 'text-[16px]' : ''}>{l.label}</b>
                  <span className="block text-[12.5px] text-ink2 italic">{l.aside}</span>
                </td>
                <td className="fig pr-3 text-right text-[13px] whitespace-nowrap text-ink2">
                  {f?.low && `${f.low} … ${f.high}`}
                </td>
                <td className="text-right whitespace-nowrap">
                  {l.sign && <span className="fig mr-0.5 text-[18px] font-bold">{l.sign}</span>}
                  <FigureText of={f} big unit={false} />
                </td>
                <td className="pl-3 max-[900px]:hidden">
                  {f && (
                    <svg width={W} height={ROW - 4} aria-hidden className="block">
                      {s.ticks.map((t) => (
                        <path
                          key={t}
                          d={`M${s.x(t)} 0V${ROW}`}
                          stroke={t === 0 ? 'var(--ink)' : 'var(--rule2)'}
                          strokeWidth={t === 0 ? 1.25 : 0.75}
                        />
                      ))}
                      <rect
                        x={s.x(Math.min(bar.low, bar.high))}
                        y="7"
                        width={Math.abs(s.x(bar.high) - s.x(bar.low))}
                        height={ROW - 18}
                        fill="none"
                        stroke="var(--ink)"
                        strokeWidth="1"
                        strokeDasharray="1.2 3"
                      />
                      <rect
                        x={s.x(Math.min(bar.a, bar.b))}
                        y="12"
                        width={Math.abs(s.x(bar.b) - s.x(bar.a))}
                        height={ROW - 28}
                        fill={bar.fill}
                        stroke="var(--ink)"
                        strokeWidth="1.1"
                      />
                      <path
                        d={`M${s.x(bar.b)} 7v${ROW - 18}`}
                        stroke="var(--ink)"
                        strokeWidth="2.4"
                      />
                    </svg>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {leftOut.length > 0 && (
        <section aria-label="Not counted" className="mt-1 text-[13.5px]">
          <b>Not counted, so that nothing counts twice</b>
          <ul>
            {leftOut.map((l) => (
              <li key={l.kind}>
                {l.label}, <FigureText of={l.amount} />: {l.leftOut}.
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, today, type Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';

/** Figures that rest on the simulation. */
const SIMULATED =
  /^(grow|mix)\/.*(mass|nitrogen|cn|water|mineralN|residueCover|lowestCover|bareDays|livingRootDays|leached)$/;

const WIDTH = 320;
const ROW = 26;
const NAME = 0;
const BAR_FROM = 150;

/** Which inputs move a simulated figure most, one at a time, as bars about its middle. Worked out when asked for. */
export function WhatMoves({ figureId }: { figureId: string }) {
  const { state } = useOpenPlan();
  const [asked, setAsked] = useState<string>();
  const plan = state.plan;
  const found = useQuery({
    queryKey: ['what moves', figureId, plan],
    enabled: asked === figureId,
    gcTime: 0,
    retry: false,
    queryFn: async () =>
      taken(await api.POST('/api/sensitivities', { body: { plan, asOf: today(), figureId } })),
  });
  if (!SIMULATED.test(figureId)) return null;
  if (asked !== figureId) {
    return (
      <button type="button" className="btn mt-3" onClick={() => setAsked(figureId)}>
        What moves it most
      </button>
    );
  }
  return (
    <section aria-label="What moves it most" className="mt-3 border-t border-ink pt-2">
      <h3 className="font-bold">What moves it most</h3>
      {found.isPending && <p className="italic">growing it again with each input moved</p>}
      {found.isError && <p role="alert">It could not be worked out: {found.error.message}</p>}
      {found.data && <Bars view={found.data} />}
    </section>
  );
}

function Bars({ view }: { view: Schemas['SensitivityView'] }) {
  const middle = view.figure.value;
  const moves = view.moves.filter((m) => m.low !== m.high);
  const still = view.moves.filter((m) => m.low === m.high).map((m) => m.input);
  const all = [middle, ...moves.flatMap((m) => [m.low, m.high])];
  const least = Math.min(...all);
  const span = Math.max(...all) - least || 1;
  const x = (v: number) => BAR_FROM + ((v - least) / span) * (WIDTH - BAR_FROM - 4);
  return (
    <>
      <p className="text-[13.5px]">
        Confidence: <b>{view.confidence}</b>, {view.because}.
      </p>
      {moves.length > 0 && (
        <svg
          width={WIDTH}
          height={moves.length * ROW + 6}
          role="img"
          aria-label={moves
            .map((m) => `${m.input}: ${m.from} gives ${m.lowText}, ${m.to} gives ${m.highText}`)
            .join('; ')}
        >
          {moves.map((m, i) => {
            const y = i * ROW + 8;
            const a = Math.min(x(m.low), x(m.high));
            const b = Math.max(x(m.low), x(m.high));
            return (
              <g key={m.input}>
                <text x={NAME} y={y + 9} fontSize="12" fill="var(--ink)">
                  {m.input}
                </text>
                <rect
                  x={a}
                  y={y}
                  width={Math.max(1, b - a)}
                  height="12"
                  fill="var(--paper2)"
                  stroke="var(--ink)"
                  strokeWidth="1"
                />
                <circle cx={x(m.low)} cy={y + 6} r="3.5" fill="var(--paper)" stroke="var(--ink)" />
                <circle cx={x(m.high)} cy={y + 6} r="3.5" fill="var(--ink)" />
              </g>
            );
          })}
          <path
            d={`M${x(middle)} 2V${moves.length * ROW + 2}`}
            stroke="var(--hand)"
            strokeWidth="1.2"
          />
        </svg>
      )}
      <table className="w-full text-[13px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">input</th>
            <th className="text-right">○ then</th>
            <th className="text-right">● then</th>
          </tr>
        </thead>
        <tbody>
          {moves.map((m) => (
            <tr key={m.input} className="border-b border-rule2 align-baseline">
              <td className="py-0.5">{m.input}</td>
              <td className="text-right">
                <span className="text-ink2">{m.from}</span> <b className="fig">{m.lowText}</b>
              </td>
              <td className="text-right">
                <span className="text-ink2">{m.to}</span> <b className="fig">{m.highText}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {still.length > 0 && (
        <p className="mt-1 text-[12.5px] text-ink2">It does not hang on {still.join(', ')}.</p>
      )}
      <p className="mt-1 text-[12.5px] text-ink2 italic">{view.source}</p>
    </>
  );
}

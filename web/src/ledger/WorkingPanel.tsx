import { useQuery } from '@tanstack/react-query';

import { api, taken, today, type Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { Panel } from '../ui/Panel';
import { WhatMoves } from './WhatMoves';

/** How far a source was checked, in words for whoever asks. */
const CHECKED: Record<Schemas['WorkingView']['status'], string> = {
  seen: 'The publication was opened and the values compared.',
  identity: 'Exact by definition: there is nothing to look up.',
  'from memory': 'A published source, quoted from memory; it was not opened again to compare.',
  own: 'A rule or value of Etlo’s own; no publication stands behind it.',
  'common practice': 'Common practice among practitioners; no single publication stands behind it.',
};

/** How a figure was reached: rule, numbers put in with where each came from, result and source. */
export function WorkingPanel({
  figureId,
  onFigure,
}: {
  figureId: string | undefined;
  onFigure: (id: string | undefined) => void;
}) {
  const { state } = useOpenPlan();
  const plan = state.plan;
  const working = useQuery({
    queryKey: ['working', figureId, plan],
    enabled: figureId !== undefined,
    gcTime: 0,
    queryFn: async () =>
      taken(
        await api.POST('/api/workings', {
          body: { plan, asOf: today(), figureId: figureId ?? '' },
        }),
      ),
  });
  const w = working.data;
  return (
    <Panel
      side
      title={w ? w.figure.label : 'Working'}
      open={figureId !== undefined}
      onOpenChange={(o) => !o && onFigure(undefined)}
    >
      {working.isPending && <p className="italic">loading the working</p>}
      {working.isError && (
        <p role="alert">The working could not be loaded: {working.error.message}</p>
      )}
      {w && (
        <>
          <p className="fig text-[32px] leading-none font-bold">
            {w.figure.text} <span className="text-[15px] font-normal">{w.figure.unit}</span>
          </p>
          {w.figure.low && (
            <p className="fig text-ink2">
              {w.figure.low} … {w.figure.high} {w.figure.unit}
            </p>
          )}
          <h3 className="mt-3 border-t border-ink pt-2 font-bold">{w.name}</h3>
          <p className="fig py-1 text-[15px] break-words">= {w.expression}</p>
          <table className="w-full">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px]">
                <th className="py-1">input</th>
                <th className="text-right">value</th>
                <th className="pl-3">source</th>
              </tr>
            </thead>
            <tbody>
              {w.inputs.map((i) => (
                <tr key={i.symbol} className="border-b border-rule2 align-baseline">
                  <td className="py-1 pr-2">
                    {i.figureId ? (
                      <button
                        type="button"
                        className="link text-left"
                        onClick={() => onFigure(i.figureId)}
                      >
                        {i.label}
                      </button>
                    ) : (
                      i.label
                    )}
                    <span className="fig block text-[12px] text-ink2">{i.symbol}</span>
                  </td>
                  <td className="fig text-right whitespace-nowrap">
                    <span className={`origin-${i.origin}`}>{i.text}</span>{' '}
                    <span className="text-[12px]">{i.unit}</span>
                    {i.also && <span className="block text-[12px] text-ink2">{i.also}</span>}
                  </td>
                  <td className="pl-3 text-[13px] text-ink2 italic">
                    {i.origin === 'library' ? i.from : `${i.origin}: ${i.from}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2">
            Result <b className="fig">{w.resultText}</b> {w.unit}
          </p>
          {w.remark && <p className="text-[13px] text-ink2">{w.remark}</p>}
          <p className="mt-2 text-[13px]">
            <b>Source</b> {w.source}
          </p>
          <details className="text-[13px] text-ink2">
            <summary className="cursor-pointer underline underline-offset-2">
              how far this was checked
            </summary>
            {CHECKED[w.status]}
          </details>
          <WhatMoves figureId={w.figure.id} />
        </>
      )}
    </Panel>
  );
}

import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { problemAt, QuantityField } from '../../ui/inputs';
import { DayOfYear } from '../field/DayOfYear';

type Nitrogen = Schemas['NitrogenEntry'];

/** What law allows this crop, typed by the adviser: a maximum and a closed period. */
export function Law({ n, at, set }: { n: Nitrogen; at: string; set: (change: Nitrogen) => void }) {
  const { state, us } = useOpenPlan();
  return (
    <details className="mt-3" open={n.ceiling !== undefined || n.closedFrom !== undefined}>
      <summary className="link min-h-[24px] text-[13.5px]">Limits of law for this crop</summary>
      <div className="mt-1 flex flex-wrap items-end gap-x-5 gap-y-2">
        <QuantityField
          label="Legal maximum of all nitrogen"
          value={n.ceiling}
          units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
          onChange={(q) => set({ ceiling: q })}
          problem={problemAt(state.problems, `${at}/ceiling`)}
        />
        <DayOfYear
          label="Closed from"
          value={n.closedFrom}
          onChange={(v) => set({ closedFrom: v })}
          problem={problemAt(state.problems, `${at}/closedFrom`)}
        />
        <DayOfYear
          label="Closed until"
          value={n.closedTo}
          onChange={(v) => set({ closedTo: v })}
          problem={problemAt(state.problems, `${at}/closedTo`)}
        />
      </div>
    </details>
  );
}

import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';

/** The consequences that never leave the screen, crop by crop. */
export function Ledger() {
  const { state } = useOpenPlan();
  const e = state.evaluation;
  const crops = e?.crops.filter((c) => e.ledger.some((l) => l.cropId === c.id)) ?? [];
  return (
    <section aria-label="Ledger">
      <h2 className="border-b border-ink pb-1">Ledger</h2>
      {crops.length === 0 && <p className="py-2 text-ink2 italic">fills as the plan is made</p>}
      {crops.map((c) => (
        <div key={c.id}>
          <h3 className="pt-2 text-[13px] text-ink2 italic">{c.name}</h3>
          <dl>
            {e?.ledger
              .filter((l) => l.cropId === c.id)
              .map((l) => (
                <div
                  key={l.figureId}
                  className="flex items-baseline justify-between gap-3 border-b border-rule2 py-[3px]"
                >
                  <dt className="text-[14px]">{l.label}</dt>
                  <dd className="text-[16px] font-bold">
                    <FigureText id={l.figureId} band />
                  </dd>
                </div>
              ))}
          </dl>
        </div>
      ))}
      {crops.length > 0 && (
        <p className="pt-2 text-[12.5px] text-ink2">
          Underline: <span className="origin-measured">measured</span>{' '}
          <span className="origin-entered">entered</span>{' '}
          <span className="origin-forecast">forecast</span>{' '}
          <span className="origin-default">default</span>
        </p>
      )}
    </section>
  );
}

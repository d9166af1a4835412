import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';

/** The consequences that never leave the screen, of the crop in hand; the others are a step away. */
export function Ledger() {
  const { state, inHand, takeInHand } = useOpenPlan();
  const e = state.evaluation;
  const crops = e?.crops.filter((c) => e.ledger.some((l) => l.cropId === c.id)) ?? [];
  const crop = crops.find((c) => c.id === inHand) ?? crops[0];
  return (
    <section aria-label="Ledger">
      <div className="flex items-baseline gap-2 border-b border-ink pb-1">
        <h2>Ledger</h2>
        {crop && <span className="text-[13.5px] text-ink2 italic">{crop.name.toLowerCase()}</span>}
      </div>
      {!crop && <p className="py-2 text-ink2 italic">fills as the plan is made</p>}
      <dl>
        {e?.ledger
          .filter((l) => l.cropId === crop?.id)
          .map((l) => (
            <div
              key={l.label}
              className="flex min-h-[27px] items-baseline justify-between gap-3 border-b border-rule2"
            >
              <dt className="text-[13.5px]">{l.label}</dt>
              <dd className="text-[17px] font-bold">
                <FigureText of={l.figure} band />
              </dd>
            </div>
          ))}
      </dl>
      {crops.length > 1 && (
        <p className="pt-1.5 text-[13px] text-ink2">
          others:{' '}
          {crops
            .filter((c) => c.id !== crop?.id)
            .map((c) => (
              <button
                key={c.id}
                type="button"
                className="link mr-2"
                onClick={() => takeInHand(c.id)}
              >
                {c.name.toLowerCase()}
              </button>
            ))}
        </p>
      )}
      {crop && (
        <p className="pt-1 text-[12.5px] text-ink2">
          underline: <span className="origin-measured">measured</span>{' '}
          <span className="origin-entered">entered</span>{' '}
          <span className="origin-forecast">forecast</span>{' '}
          <span className="origin-default">default</span>{' '}
          <span className="origin-library">library</span>
        </p>
      )}
    </section>
  );
}

import { addDoing, removeOperation, setDoing } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { DateField } from '../ui/DateField';
import { problemAt, QuantityField } from '../ui/inputs';

/** Water on a stand: as often as it is given, each time with its day and depth. */
export function Waterings({ subject, day }: { subject: string; /** to begin with */ day: string }) {
  const { session, state, us } = useOpenPlan();
  const mine = state.plan.operations.flatMap((o, i) =>
    o.kind === 'irrigate' && o.subject === subject ? [{ o, at: `/operations/${i}` }] : [],
  );
  return (
    <section aria-label="Water given">
      <h3 className="mt-4 font-bold">Water given</h3>
      {mine.map(({ o, at }) => (
        <div key={o.id} className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
          <DateField
            label="Watered on"
            value={o.when.on}
            onChange={(d) => d && session.change((p) => setDoing(p, o.id, { day: d }))}
          />
          <QuantityField
            label="Water"
            value={o.depth}
            units={us ? ['in', 'mm'] : ['mm', 'in']}
            onChange={(v) => v && session.change((p) => setDoing(p, o.id, { what: { depth: v } }))}
            problem={problemAt(state.problems, `${at}/depth`)}
          />
          <button
            type="button"
            className="link pb-1 text-[13px]"
            aria-label={`Remove the watering of ${spokenDate(o.when.on ?? '')}`}
            onClick={() => session.change((p) => removeOperation(p, o.id))}
          >
            remove
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn mt-2"
        onClick={() =>
          session.change((p) =>
            addDoing(p, subject, day, {
              kind: 'irrigate',
              depth: us ? { value: 1, unit: 'in' } : { value: 25, unit: 'mm' },
            }),
          )
        }
      >
        Irrigate
      </button>
    </section>
  );
}

import { addDoing, removeOperation, setDoing, type Doing } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField } from '../ui/inputs';

const USUAL_EATEN = 50;

/** Stock on a cover, or water on a stand: as often as it is done, each with its day and how much. */
export function Doings({
  kind,
  subject,
  day,
}: {
  kind: 'graze' | 'irrigate';
  subject: string;
  /** A day to begin with. */
  day: string;
}) {
  const { session, state, us } = useOpenPlan();
  const graze = kind === 'graze';
  const mine = state.plan.operations
    .map((o, i) => ({ o, at: `/operations/${i}` }))
    .filter(({ o }) => o.kind === kind && o.subject === subject);
  const usual: Doing = graze
    ? { kind: 'graze', takePercent: USUAL_EATEN }
    : { kind: 'irrigate', depth: us ? { value: 1, unit: 'in' } : { value: 25, unit: 'mm' } };
  return (
    <section aria-label={graze ? 'Grazing' : 'Water given'}>
      <h3 className="mt-4 font-bold">{graze ? 'Grazed before it ends' : 'Water given'}</h3>
      {mine.map(({ o, at }) => (
        <div key={o.id} className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
          <DateField
            label={graze ? 'Grazed on' : 'Watered on'}
            value={o.when.on}
            onChange={(d) => d && session.change((p) => setDoing(p, o.id, { day: d }))}
          />
          {o.kind === 'graze' && (
            <NumberField
              label="Of the tops eaten"
              value={o.takePercent}
              max={100}
              suffix="%"
              onChange={(v) =>
                v !== undefined &&
                session.change((p) => setDoing(p, o.id, { what: { takePercent: v } }))
              }
              problem={problemAt(state.problems, `${at}/takePercent`)}
            />
          )}
          {o.kind === 'irrigate' && (
            <QuantityField
              label="Water"
              value={o.depth}
              units={us ? ['in', 'mm'] : ['mm', 'in']}
              onChange={(v) =>
                v && session.change((p) => setDoing(p, o.id, { what: { depth: v } }))
              }
              problem={problemAt(state.problems, `${at}/depth`)}
            />
          )}
          <button
            type="button"
            className="link pb-1 text-[13px]"
            aria-label={`Remove ${graze ? 'the grazing' : 'the watering'} of ${spokenDate(o.when.on ?? '')}`}
            onClick={() => session.change((p) => removeOperation(p, o.id))}
          >
            remove
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn mt-2"
        onClick={() => session.change((p) => addDoing(p, subject, day, usual))}
      >
        {graze ? 'Graze it' : 'Irrigate'}
      </button>
      {graze && mine.length > 0 && (
        <p className="mt-1 text-[13px] text-ink2 italic">
          Eight parts in ten of the nitrogen eaten come back. Leave leaves enough to cover the
          ground; keep stock off wet soil, and see the notes on what may harm them.
        </p>
      )}
    </section>
  );
}

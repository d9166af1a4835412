import { addDoing, removeOperation, setDoing } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../section/scale';
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
    .map((o, i) => ({ o, at: `/operations/${i}/params` }))
    .filter(({ o }) => o.kind === kind && o.subject === subject);
  const usual = graze
    ? { sharePercent: USUAL_EATEN }
    : { depth: us ? { value: 1, unit: 'in' as const } : { value: 25, unit: 'mm' as const } };
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
          {graze ? (
            <NumberField
              label="Of the tops eaten"
              value={o.params?.sharePercent}
              max={100}
              suffix="%"
              onChange={(v) =>
                v !== undefined &&
                session.change((p) => setDoing(p, o.id, { params: { sharePercent: v } }))
              }
              problem={problemAt(state.problems, `${at}/sharePercent`)}
            />
          ) : (
            <QuantityField
              label="Water"
              value={o.params?.depth}
              units={us ? ['in', 'mm'] : ['mm', 'in']}
              onChange={(v) =>
                v && session.change((p) => setDoing(p, o.id, { params: { depth: v } }))
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
        onClick={() => session.change((p) => addDoing(p, kind, subject, day, usual))}
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

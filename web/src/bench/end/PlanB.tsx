import type { Plan, Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { setCover } from '../../plan/edit';
import { spokenDate } from '../../ui/days';
import { newId } from '../../ui/tidy';

type Fallback = Schemas['FallbackView'];
type Cover = Schemas['CoverEntry'];

const taken = (plan: Plan, cover: Cover, f: Fallback): Plan =>
  setCover(plan, cover.id, {
    fallbacks: [
      ...(cover.fallbacks ?? []),
      {
        id: newId('b'),
        if: f.id,
        by: f.by ?? f.look,
        passes: [{ id: newId('e'), method: f.method ?? '' }],
      },
    ],
  });

const dropped = (plan: Plan, cover: Cover, f: Fallback): Plan => {
  const left = (cover.fallbacks ?? []).filter((b) => b.if !== f.id);
  return setCover(plan, cover.id, { fallbacks: left.length > 0 ? left : undefined });
};

/** What is done if the end does not go as planned, with its days and cost. */
export function PlanB({ cover }: { cover: Cover }) {
  const { session, state } = useOpenPlan();
  const all = state.evaluation?.end[cover.id]?.fallbacks ?? [];
  if (all.length === 0) return null;
  return (
    <section aria-label="Plan B" className="mt-4">
      <h3 className="font-bold">
        Plan B{' '}
        <i className="text-[13px] font-medium text-ink2">
          looked at on a day, done by a day; also in the calendar of step Rotation
        </i>
      </h3>
      <ul>
        {all.map((f) => (
          <li key={f.id} className="border-b border-rule2 py-1 text-[13.5px]">
            <b>If {f.when}</b>
            <span className="block">
              look on <b className="fig">{spokenDate(f.look)}</b>,{' '}
              {f.by ? (
                <>
                  done by <b className="fig">{spokenDate(f.by)}</b>
                </>
              ) : (
                <b className="text-hand">too late to mend after it</b>
              )}
              {f.cost && <span className="fig text-ink2"> · pass {f.cost}</span>}
            </span>
            <span className="block">{f.then}</span>
            {f.method && f.by && (
              <button
                type="button"
                className="link text-[13px]"
                aria-label={`${f.planned ? 'Take out of the plan' : 'Take into the plan'}: ${f.when}`}
                onClick={() =>
                  session.change((p) => (f.planned ? dropped(p, cover, f) : taken(p, cover, f)))
                }
              >
                {f.planned ? 'in the plan, take it out' : 'take it into the plan'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-ink2 italic">
        What is in the plan stands among the schools as well, worked out. Passes by the library’s
        custom rates, not at yours.
      </p>
    </section>
  );
}

import { moved, setCover } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { useAims } from './aims/asked';
import { Reached } from './aims/Reached';
import { BenchHead } from './BenchHead';
import { useCover } from './pick';

export function AimsStep() {
  const { session, state, knowledge } = useOpenPlan();
  const { cover, chooser } = useCover();
  const seen = state.evaluation?.covers.find((c) => c.id === cover?.id);
  const judged = seen?.judged ?? false;
  const asked = useAims(state.plan, cover?.id ?? '', judged);
  const ranked = cover?.aims ?? [];
  const reached = asked.data;
  const reach = (id: string) => reached?.aims.find((a) => a.aim === id);
  const set = (aims: string[]) =>
    cover && session.change((p) => setCover(p, cover.id, { aims: aims.length ? aims : undefined }));
  const start = reached?.start ?? [];
  const taken = start.length > 0 && start.every((s, i) => ranked[i] === s.aim);
  return (
    <>
      <BenchHead
        title="Aims"
        aside="what the cover is for, ranked, before any species is named"
        about="cover"
      >
        {chooser}
      </BenchHead>
      {cover && (
        <>
          <p className="text-[13px] text-ink2" aria-live="polite">
            {reached
              ? `What can be reached from ${spokenDate(reached.from)} to ${spokenDate(reached.to)}, by species sown alone at their full rate; in a mix each aim gets less than the best species for it would give.`
              : judged && asked.isPending
                ? 'Growing every species in this window'
                : asked.error
                  ? asked.error.message
                  : 'What can be reached is said once it is known where the field lies (step Field) and when the cover grows: its dates, or a window.'}
          </p>
          {start.length > 0 && !taken && (
            <section aria-label="An order to start from" className="mt-2 bg-paper2 px-3 py-2">
              <h3 className="text-[14px] font-bold">An order to start from</h3>
              <ol className="ml-5 list-decimal text-[14px]">
                {start.map((s) => (
                  <li key={s.aim}>
                    <b>{s.name}</b>: {s.because}
                  </li>
                ))}
              </ol>
              <button
                type="button"
                className="btn mt-1"
                onClick={() =>
                  set([
                    ...start.map((s) => s.aim),
                    ...ranked.filter((a) => start.every((s) => s.aim !== a)),
                  ])
                }
              >
                Take this order
              </button>
            </section>
          )}
          {reached && reached.pulls.length > 0 && (
            <section aria-label="What pulls apart" className="mt-2 border-l-4 border-hand pl-3">
              <h3 className="text-[14px] font-bold">
                Pull against each other{' '}
                <i className="text-[13px] font-medium text-ink2">
                  sow for both and each gets about its share; rank first what matters
                </i>
              </h3>
              <ul className="text-[14px]">
                {reached.pulls.map((p) => (
                  <li key={p.words}>{p.words}</li>
                ))}
              </ul>
            </section>
          )}
          <div className="mt-3 grid grid-cols-2 gap-8 max-[760px]:grid-cols-1">
            <ol aria-label="Ranked aims">
              {ranked.length === 0 && <li className="text-ink2 italic">none chosen yet</li>}
              {ranked.map((id, i) => {
                const name = knowledge.aims.find((a) => a.id === id)?.name ?? id;
                return (
                  <li key={id} className="border-b border-rule2 py-1">
                    <span className="flex items-center gap-3">
                      <span className="fig w-6 text-[22px] font-bold">{i + 1}</span>
                      <span className="flex-1 font-bold">{name}</span>
                      <button
                        type="button"
                        className="btn"
                        aria-label={`${name} up`}
                        disabled={i === 0}
                        onClick={() => set(moved(ranked, i, -1))}
                      >
                        ↑
                      </button>
                      <button
                        type="button"
                        className="btn"
                        aria-label={`${name} down`}
                        disabled={i === ranked.length - 1}
                        onClick={() => set(moved(ranked, i, 1))}
                      >
                        ↓
                      </button>
                      <button
                        type="button"
                        className="link"
                        aria-label={`Remove ${name}`}
                        onClick={() => set(ranked.filter((a) => a !== id))}
                      >
                        remove
                      </button>
                    </span>
                    <span className="block pl-9">
                      <Reached reach={reach(id)} />
                    </span>
                  </li>
                );
              })}
            </ol>
            <ul aria-label="Aims to choose">
              {knowledge.aims
                .filter((a) => !ranked.includes(a.id))
                .map((a) => (
                  <li key={a.id} className="border-b border-rule2 py-0.5">
                    <button
                      type="button"
                      className="min-h-[28px] w-full text-left hover:bg-paper2"
                      onClick={() => set([...ranked, a.id])}
                    >
                      + {a.name}
                    </button>
                    <Reached reach={reach(a.id)} />
                  </li>
                ))}
            </ul>
          </div>
        </>
      )}
    </>
  );
}

import { moved, setCover } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { BenchHead } from './BenchHead';
import { useCover } from './pick';

export function AimsStep() {
  const { session, knowledge } = useOpenPlan();
  const { cover, chooser } = useCover();
  const ranked = cover?.aims ?? [];
  const set = (aims: string[]) =>
    cover && session.change((p) => setCover(p, cover.id, { aims: aims.length ? aims : undefined }));
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
        <div className="grid grid-cols-2 gap-8 max-[760px]:grid-cols-1">
          <ol aria-label="Ranked aims">
            {ranked.length === 0 && <li className="text-ink2 italic">none chosen yet</li>}
            {ranked.map((id, i) => {
              const name = knowledge.aims.find((a) => a.id === id)?.name ?? id;
              return (
                <li key={id} className="flex items-center gap-3 border-b border-rule2 py-1">
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
                </li>
              );
            })}
          </ol>
          <ul aria-label="Aims to choose">
            {knowledge.aims
              .filter((a) => !ranked.includes(a.id))
              .map((a) => (
                <li key={a.id} className="border-b border-rule2">
                  <button
                    type="button"
                    className="min-h-[28px] w-full text-left hover:bg-paper2"
                    onClick={() => set([...ranked, a.id])}
                  >
                    + {a.name}
                  </button>
                </li>
              ))}
          </ul>
        </div>
      )}
    </>
  );
}

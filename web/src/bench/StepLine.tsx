import { Link, useSearchParams } from 'react-router';

import { useOpenPlan } from '../plan/context';
import { STEPS, type StepId } from '../plan/steps';

/** The steps of the work as stations on a line: filled when decided, a block where one is. */
export function StepLine({ step, done }: { step: StepId; done: Record<StepId, boolean> }) {
  const { field, inHand } = useOpenPlan();
  const [search] = useSearchParams();
  // a copy that is open stays open from step to step
  const names = new URLSearchParams(search);
  if (inHand) names.set('crop', inHand);
  const kept = names.size > 0 ? `?${names.toString()}` : '';
  return (
    <nav aria-label="Steps" className="relative self-start max-[700px]:mb-3">
      <div
        aria-hidden
        className="absolute top-4 bottom-4 left-[11px] w-[2px] bg-ink max-[700px]:hidden"
      />
      <ol className="relative flex flex-col max-[700px]:flex-row max-[700px]:flex-wrap">
        {STEPS.map((s) => {
          const here = s.id === step;
          return (
            <li key={s.id}>
              <Link
                to={`/fields/${field.id}/${s.id}${kept}`}
                aria-current={here ? 'step' : undefined}
                className={`flex h-[33px] items-center gap-2.5 pr-3 pl-[5px] text-[15px] ${
                  here ? 'bg-ink font-bold text-paper' : 'hover:font-bold'
                }`}
              >
                <svg width="14" height="14" aria-hidden className="shrink-0">
                  <circle
                    cx="7"
                    cy="7"
                    r="4.6"
                    fill={here ? 'var(--hand)' : done[s.id] ? 'var(--ink)' : 'var(--paper)'}
                    stroke={here ? 'var(--paper)' : 'var(--ink)'}
                    strokeWidth="1.7"
                  />
                </svg>
                {s.name}
                <span className="sr-only">{done[s.id] ? ', decided' : ', open'}</span>
              </Link>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

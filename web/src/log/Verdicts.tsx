import type { Schemas } from '../api/client';
import { spokenDate } from '../ui/days';

type Verdict = Schemas['GrowVerdict'];

/** What a check says: its word, the numbers behind it, likely causes, and the next date. */
export function Verdicts({ verdicts }: { verdicts: Verdict[] }) {
  if (verdicts.length === 0) return null;
  return (
    <ul aria-label="Verdicts" className="mt-1 border-l-4 border-ink pl-3 text-[14px]">
      {verdicts.map((v) => (
        <li key={v.about + v.word} className="py-0.5">
          <b>
            {ABOUT[v.about] ?? v.about}: {v.word}.
          </b>{' '}
          {v.said}
          {v.causes.length > 0 && (
            <ol
              className="ml-5 list-decimal text-[13.5px]"
              aria-label="Likely causes, first the likeliest"
            >
              {v.causes.map((c) => (
                <li key={c}>{c}</li>
              ))}
            </ol>
          )}
          {v.next && (
            <span className="block">
              <b className="fig">By {spokenDate(v.next)}</b>
              {v.toDo && `: ${v.toDo}`}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

const ABOUT: Record<string, string> = {
  stand: 'Stand',
  autumn: 'Autumn gate',
  nodules: 'Nodules',
  balance: 'Balance',
  bloom: 'Bloom',
  pollen: 'Heads',
  mulch: 'Mulch',
  mat: 'Mat',
  soil: 'Soil',
  kill: 'Kill',
  regrowth: 'Regrowth',
  winter: 'Winter',
};

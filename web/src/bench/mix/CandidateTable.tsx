import { useState } from 'react';

import { useOpenPlan } from '../../plan/context';
import { spokenDate } from '../../ui/days';
import { GroupMark } from '../../ui/GroupMark';
import { Stack } from '../../ui/Stack';
import { useCandidates, type Candidate } from './asked';

/** How many are shown before all are asked for. */
const FIRST = 12;

function Verdict({ c, inMix }: { c: Candidate; inMix: boolean }) {
  const hard = c.findings.filter((f) => f.excludes);
  const soft = c.findings.filter((f) => !f.excludes);
  const words = (hard.length > 0 ? hard : soft).map((f) => f.text).join('; ');
  return (
    <td className="py-0.5 pl-2 text-left text-[13px] leading-tight">
      <div>
        <b
          className={`fig mr-1.5 inline-block text-[12px] ${inMix ? 'bg-ink px-1 text-paper' : ''}`}
        >
          {inMix
            ? 'in the mix'
            : c.excluded
              ? 'not suitable'
              : soft.length > 0
                ? 'with care'
                : 'suitable'}
        </b>
        <span className={c.excluded ? 'text-ink2' : ''}>
          {words || (inMix ? 'no concerns' : '')}
        </span>
      </div>
    </td>
  );
}

/** Every species judged for this window: what each would deliver alone, and why it is left out or in doubt. */
export function CandidateTable({
  coverId,
  taken,
  onTake,
}: {
  coverId: string;
  taken: string[];
  onTake: (species: string) => void;
}) {
  const { state, openWorking } = useOpenPlan();
  const judged = state.evaluation?.covers.find((c) => c.id === coverId)?.judged ?? false;
  const asked = useCandidates(state.plan, coverId, judged);
  const [all, setAll] = useState(false);
  const [find, setFind] = useState('');
  const list = asked.data;
  if (!state.evaluation) return <p className="mt-3 italic">judging the species</p>;
  if (!judged)
    return (
      <p className="mt-3 text-ink2 italic">
        Candidates are judged once it is known where the field lies (step Field) and when the cover
        grows: its dates, or a window.
      </p>
    );
  if (asked.isPending) return <p className="mt-3 italic">judging the species</p>;
  if (!list)
    return (
      <p className="mt-3 text-ink2 italic" role="status">
        Candidates: {asked.error?.message}
      </p>
    );
  const words = find.trim().toLowerCase();
  const ordered = [
    ...list.candidates.filter((c) => taken.includes(c.species)),
    ...list.candidates.filter((c) => !taken.includes(c.species)),
  ].filter((c) => c.name.toLowerCase().includes(words));
  const shown = all || words ? ordered : ordered.slice(0, Math.max(FIRST, taken.length + 6));
  const out = list.candidates.filter((c) => c.excluded).length;
  return (
    <section aria-label="Candidates" className="mt-4">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="text-[15px] font-bold">Candidates</h3>
        <i className="text-[13px] text-ink2">
          what each would deliver alone at its full rate, {spokenDate(list.from)} to{' '}
          {spokenDate(list.to)}
        </i>
        <span className="fig ml-auto text-[12.5px] text-ink2">
          {list.candidates.length - out} suitable, {out} not
        </span>
        <label className="text-[13px] text-ink2">
          find <input className="w-28" value={find} onChange={(e) => setFind(e.target.value)} />
        </label>
      </div>
      {list.aims.length === 0 && (
        <p className="text-[13px] text-ink2 italic">
          Rank the aims first (step Aims): the species are then ordered by what they deliver.
        </p>
      )}
      <Stack label="Table of candidates">
        <table className="w-full text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-right align-bottom text-[12px] leading-tight">
              <th className="text-left">species</th>
              <th className="px-1" data-name={`dry tops, ${list.candidates[0]?.mass.unit}`}>
                dry tops
                <span className="fig block text-[11px]">{list.candidates[0]?.mass.unit}</span>
              </th>
              {list.aims.map((a) => (
                <th
                  key={a.id}
                  className="max-w-[88px] px-1"
                  title={a.name}
                  data-name={`${a.measure.toLowerCase()}, ${a.unit}`}
                >
                  {a.measure.toLowerCase()}
                  <span className="fig block text-[11px]">
                    {a.unit} · weight {a.weight.toFixed(2)}
                  </span>
                </th>
              ))}
              <th className="px-1" data-name="lives, years in 10">
                lives
                <span className="fig block text-[11px]">years in 10</span>
              </th>
              <th className="pl-2 text-left">verdict and why</th>
              <th data-name="">
                <span className="sr-only">add</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((c) => (
              <tr key={c.species} className="border-b border-rule2 text-right">
                <td className={`text-left ${taken.includes(c.species) ? 'font-bold' : ''}`}>
                  <span className="flex items-center gap-1.5 whitespace-nowrap">
                    <GroupMark group={c.group} /> {c.name}
                  </span>
                </td>
                {[c.mass, ...c.delivers].map((f) => (
                  <td key={f.id} className="fig px-1">
                    <button
                      type="button"
                      className={`origin-${f.origin} min-h-[24px] min-w-[24px] hover:bg-paper2`}
                      aria-label={`${f.label} ${f.text} ${f.unit}: open the working`}
                      title={f.low ? `${f.low} to ${f.high}` : undefined}
                      onClick={() => openWorking(f.id)}
                    >
                      {f.text}
                    </button>
                  </td>
                ))}
                <td className="fig px-1">{Math.round(c.alive * 10)}</td>
                <Verdict c={c} inMix={taken.includes(c.species)} />
                <td>
                  {!taken.includes(c.species) && (
                    <button
                      type="button"
                      className="link text-[13px] whitespace-nowrap"
                      aria-label={`Take ${c.name} in`}
                      onClick={() => onTake(c.species)}
                    >
                      {c.excluded ? 'add anyway' : 'add'}
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Stack>
      {!words && ordered.length > shown.length && (
        <button type="button" className="link mt-1 text-[13px]" onClick={() => setAll(true)}>
          show all {ordered.length}
        </button>
      )}
      {all && (
        <button type="button" className="link mt-1 text-[13px]" onClick={() => setAll(false)}>
          show fewer
        </button>
      )}
    </section>
  );
}

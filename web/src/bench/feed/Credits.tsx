import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import { NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { tidy } from '../../ui/tidy';

type Nitrogen = Schemas['NitrogenEntry'];

const FORAGE = ['alfalfa', 'grass-clover-ley'];

/** How credits are taken: the cover's by one of three schools, the stand before it, the reference of organic matter. */
export function Credits({
  cropId,
  n,
  at,
  set,
}: {
  cropId: string;
  n: Nitrogen;
  at: string;
  set: (change: Nitrogen) => void;
}) {
  const { state, us } = useOpenPlan();
  const feed = state.evaluation?.feed[cropId];
  const schools = feed?.coverSchools ?? [];
  const stand = n.standBefore;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
      {FORAGE.includes(feed?.cropBefore ?? '') && (
        <>
          <SelectField
            label="Legume stand before it"
            value={stand?.stand ?? ''}
            empty="not said"
            options={[
              { id: 'good', name: 'good, over 70 %' },
              { id: 'fair', name: 'fair' },
              { id: 'poor', name: 'poor' },
            ]}
            onChange={(v) => set({ standBefore: v ? { ...stand, stand: v } : undefined })}
          />
          {stand && (
            <QuantityField
              label="Regrowth when killed"
              value={stand.regrowth}
              units={us ? ['in', 'cm'] : ['cm', 'in']}
              onChange={(q) => set({ standBefore: tidy({ ...stand, regrowth: q }) })}
              problem={problemAt(state.problems, `${at}/standBefore/regrowth`)}
            />
          )}
        </>
      )}
      <NumberField
        label="Organic matter the recommendation rests on"
        value={n.organicMatterReference}
        suffix="%"
        max={20}
        onChange={(v) => set({ organicMatterReference: v })}
        problem={problemAt(state.problems, `${at}/organicMatterReference`)}
      />
      {schools.length > 0 && (
        <>
          <SelectField
            label="Cover's credit by"
            value={n.coverCredit ?? 'content'}
            options={[
              { id: 'content', name: 'mass and nitrogen content' },
              { id: 'table', name: 'table of green manures' },
              { id: 'simulated', name: 'release simulated' },
            ]}
            onChange={(v) => set({ coverCredit: v === 'content' ? undefined : v })}
          />
          <ul aria-label="The cover's credit by each school" className="pb-1 text-[13.5px]">
            {schools.map((s) => (
              <li key={s.id}>
                {s.chosen ? <b>{s.name}</b> : s.name}: <FigureText of={s.amount} />
              </li>
            ))}
            {feed?.coverFixed && feed.coverMoved && (
              <li className="text-ink2">
                In its tops <FigureText of={feed.coverFixed} /> fixed from the air and{' '}
                <FigureText of={feed.coverMoved} /> taken from the soil: moved, not made.
              </li>
            )}
          </ul>
        </>
      )}
    </div>
  );
}

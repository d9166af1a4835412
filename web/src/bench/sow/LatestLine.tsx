import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import { spokenDate } from '../../ui/days';
import { useLatestSowings } from '../useLatestSowings';

/** Until when the species of a cover may usefully be sown, and what a later sowing is sown thicker by. */
export function LatestLine({
  coverId,
  lateness,
  onTake,
}: {
  coverId: string;
  lateness: number | undefined;
  onTake: (factor: number) => void;
}) {
  const { openWorking } = useOpenPlan();
  const asked = useLatestSowings(coverId);
  if (asked.isPending) {
    return (
      <p className="mt-1 text-[13.5px] italic" role="status">
        working out how late it may be sown
      </p>
    );
  }
  // the sentence of a plan that cannot be computed stands with the plan already
  if (!asked.data || asked.data.species.length === 0) return null;
  const late = asked.data.lateness;
  return (
    <>
      <p className="mt-1 text-[13.5px]" aria-busy={asked.isFetching}>
        Latest useful sowing:{' '}
        {asked.data.species.map((s, i) => (
          <span key={s.species}>
            {i > 0 && ', '}
            {s.name.toLowerCase()}{' '}
            {s.mostYears && s.figureId ? (
              <button type="button" className="link" onClick={() => openWorking(s.figureId ?? '')}>
                {spokenDate(s.mostYears)}
              </button>
            ) : (
              `reaches a useful stand in ${s.years} years at best`
            )}
          </span>
        ))}
        . From it 8 years in 10 still grow to a useful stand.
      </p>
      {late && (
        <p className="mt-1 text-[13.5px]">
          Later than useful: a factor of <FigureText of={late} /> is usual.{' '}
          {lateness === undefined && (
            <button
              type="button"
              className="link"
              onClick={() => onTake(Math.round(late.value * 100) / 100)}
            >
              use it
            </button>
          )}
        </p>
      )}
    </>
  );
}

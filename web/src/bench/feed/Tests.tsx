import { useOpenPlan } from '../../plan/context';
import { spokenDate } from '../../ui/days';

/** The tests that decide on a crop's nitrogen, with the days on which they say something. */
export function Tests({ cropId }: { cropId: string }) {
  const { state } = useOpenPlan();
  const tests = state.evaluation?.feed[cropId]?.tests ?? [];
  if (tests.length === 0) return null;
  return (
    <section aria-label="Tests to take">
      <h3 className="mt-4 font-bold">Tests to take</h3>
      <ul className="text-[13.5px]">
        {tests.map((t) => (
          <li key={t.id} className="mt-1">
            <b>{t.what}</b>, {spokenDate(t.from)} to {spokenDate(t.to)}
            {t.done ? ': entered, and counted above.' : '.'} {t.says}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-ink2">
        A result is entered in step Field, under Soil tests: its day decides what it counts as.
      </p>
    </section>
  );
}

import { useOpenPlan } from '../../plan/context';
import { spokenDate } from '../../ui/days';

const mark = (holds: boolean) => (
  <b className={holds ? '' : 'text-hand'}>{holds ? '✓ holds' : '✗ does not hold'}</b>
);

/** What must lie between passes, planting and stock, and the rules that the farm switched on. */
export function Gaps({ coverId }: { coverId: string }) {
  const { state } = useOpenPlan();
  const end = state.evaluation?.end[coverId];
  if (!end || end.gaps.length + end.rules.length === 0) return null;
  return (
    <section aria-label="Intervals and rules" className="mt-4">
      <h3 className="font-bold">Intervals and rules</h3>
      <ul className="text-[13.5px]">
        {end.rules.map((r) => (
          <li key={r.id} className="border-b border-rule2 py-0.5">
            {mark(r.holds)}: {r.says}
            <span className="block text-[12.5px] text-ink2">
              {r.found}; decided by {r.decides}
            </span>
          </li>
        ))}
        {end.gaps.map((g) => (
          <li
            key={`${g.from}${g.to}${g.fromOn}${g.wanted}`}
            className="border-b border-rule2 py-0.5"
          >
            {mark(g.holds)}: {g.from} on {spokenDate(g.fromOn)} to {g.to} on {spokenDate(g.toOn)},{' '}
            <span className="fig">{g.days}</span> d; {g.ofLabel ? 'label' : 'practice'}: {g.wanted}
            <span className="block text-[12.5px] text-ink2">{g.why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

import { Copies } from '../plan/Copies';
import { useOpenPlan } from '../plan/context';
import { GROUPS, GroupMark } from '../ui/GroupMark';

/** The field's name and facts, and the key to the patterns. */
export function TitleRow() {
  const { state, field, farm } = useOpenPlan();
  const area = state.evaluation?.field.area;
  const facts = [field.texture, field.drainage].filter(Boolean).join(' · ');
  return (
    <div className="flex min-h-[34px] flex-wrap items-baseline gap-x-4 gap-y-0.5 pt-1">
      <h1 className="text-[21px] leading-tight font-bold">{field.name}</h1>
      <span className="italic">
        {farm.name}
        {/* the area comes a moment later; what stands beside it keeps its place under the pointer */}
        <span className="fig inline-block min-w-[5.5rem] not-italic">
          {area && `, ${area.text} ${area.unit}`}
        </span>
      </span>
      <span className="text-[13.5px] text-ink2 max-[900px]:hidden">{facts}</span>
      <Copies />
      <ul
        aria-label="Functional groups"
        className="ml-auto flex flex-wrap gap-x-3 text-[12.5px] text-ink2 max-[1000px]:hidden"
      >
        {GROUPS.map((g) => (
          <li key={g.id} className="fig flex items-center gap-1">
            <svg width="15" height="12" aria-hidden>
              <rect width="15" height="12" fill={`var(--${g.id}-wash)`} />
              <rect
                x="0.5"
                y="0.5"
                width="14"
                height="11"
                fill={`url(#section-${g.id})`}
                stroke={`var(--${g.id})`}
                strokeWidth="0.9"
              />
            </svg>
            <GroupMark group={g.id} /> {g.name}
          </li>
        ))}
      </ul>
    </div>
  );
}

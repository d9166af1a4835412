import type { DisplayList } from './displayList';
import { Word } from './ink';

const HALF = 6;

/** The days of plan B on the surface: a ring where it is looked, a lozenge where it must be done. */
export function PlanBMarks({ d }: { d: DisplayList }) {
  const y = d.ground + 12;
  return (
    <>
      {d.planB.map((m) => (
        <g key={m.key}>
          <title>{m.text}</title>
          {m.last ? (
            <path
              d={`M${m.x} ${y - HALF - 2}L${m.x + HALF + 2} ${y}L${m.x} ${y + HALF + 2}L${m.x - HALF - 2} ${y}Z`}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1.2"
            />
          ) : (
            <circle
              cx={m.x}
              cy={y}
              r={HALF}
              fill="var(--paper)"
              stroke="var(--ink)"
              strokeWidth="1"
              strokeDasharray="2 1.5"
            />
          )}
          <Word x={m.x} y={y + 4} size={11} weight={700} anchor="middle">
            B
          </Word>
        </g>
      ))}
    </>
  );
}

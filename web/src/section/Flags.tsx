import type { DisplayList } from './displayList';
import type { Note } from './model';
import { WeightMark, Word } from './ink';

/** Notes planted in their place: a mark and its word on a pole; opening one shows it in the margin. */
export function Flags({ d, onNote }: { d: DisplayList; onNote: (note: Note) => void }) {
  return (
    <>
      {d.flags.map((f) => {
        const first = f.notes[0]!;
        const more = f.notes.length - 1;
        const x = f.left ? f.x - 12 : f.x + 12;
        const anchor = f.left ? 'end' : 'start';
        return (
          <g
            key={f.key}
            role="button"
            tabIndex={0}
            aria-label={`${first.weight}: ${first.text}${more > 0 ? ` And ${more} more here.` : ''}`}
            className="cursor-pointer"
            onClick={(e) => {
              e.stopPropagation();
              onNote(first);
            }}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onNote(first);
            }}
          >
            <path
              d={`M${f.x} ${d.flagY}V${d.ground}`}
              stroke="var(--ink)"
              strokeWidth="0.75"
              fill="none"
            />
            <circle cx={f.x} cy={d.ground - 3} r="2" fill="var(--ink)" />
            <rect
              x={f.x - 12}
              y={d.flagY - 12}
              width="24"
              height="24"
              fill="none"
              pointerEvents="all"
            />
            <WeightMark weight={f.weight} x={f.x} y={d.flagY} />
            {more > 0 && f.lines.length === 0 && (
              <Word x={f.x + 9} y={d.flagY - 4} size={11} weight={700} halo>
                {f.notes.length}
              </Word>
            )}
            {f.lines.length > 0 && (
              <>
                <Word
                  x={x}
                  y={d.flagY - 1}
                  size={11}
                  weight={700}
                  anchor={anchor}
                  fill={f.weight === 'stop' ? 'var(--hand)' : 'var(--ink)'}
                  halo
                >
                  {first.weight.toUpperCase()}
                  {more > 0 ? ` +${more}` : ''}
                </Word>
                {f.lines.map((l, i) => (
                  <Word
                    key={l}
                    x={x}
                    y={d.flagY + 11.5 + i * 12}
                    text
                    size={12.5}
                    weight={500}
                    italic={f.answered}
                    anchor={anchor}
                    halo
                  >
                    {l}
                  </Word>
                ))}
              </>
            )}
          </g>
        );
      })}
    </>
  );
}

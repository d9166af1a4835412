import { useId, useState } from 'react';

import type { Schemas } from '../api/client';
import { NumberField } from '../ui/inputs';

type Transect = Schemas['TransectEntry'];

const USUAL_POINTS = 100;
const MOST_LINES = 40;

/** Hits by line as they are typed: whole numbers with spaces or commas between them. */
export function hitsOf(text: string): number[] | undefined {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  if (words.some((w) => !/^\d{1,4}$/.test(w)) || words.length > MOST_LINES) return undefined;
  return words.map(Number);
}

/** What the box shows: what is typed, unless the hits came to be others meanwhile, by undo or from another place. */
export function shownText(typed: string, kept: number[]): string {
  const hits = hitsOf(typed);
  return hits === undefined || hits.join() === kept.join() ? typed : kept.join(' ');
}

/** Beads on lines laid over the rows, instead of a cover judged by eye. */
export function TransectFields({
  value,
  problem,
  onChange,
}: {
  value?: Transect;
  problem: (what: string) => string | undefined;
  onChange: (t: Transect | undefined) => void;
}) {
  const id = useId();
  const [typed, setText] = useState(() => value?.hits.join(' ') ?? '');
  const [usual, setPoints] = useState(USUAL_POINTS);
  const text = shownText(typed, value?.hits ?? []);
  const points = value?.points ?? usual;
  const hits = hitsOf(text);
  const wrong =
    hits === undefined
      ? `whole numbers, one for each line, at most ${MOST_LINES}`
      : value?.hits.map((_, i) => problem(`transect/hits/${i}`)).find(Boolean);
  const send = (next: string, perLine: number) => {
    const found = hitsOf(next);
    if (found) onChange(found.length > 0 ? { points: perLine, hits: found } : undefined);
  };
  return (
    <>
      <NumberField
        label="Beads on a line"
        value={points}
        max={1000}
        onChange={(v) => {
          if (v === undefined || v < 10) return;
          const whole = Math.round(v);
          setPoints(whole);
          send(text, whole);
        }}
        problem={problem('transect/points')}
      />
      <span className="inline-flex flex-col">
        <label htmlFor={id} className="text-[13px] text-ink2">
          Beads over a living leaf, line by line
        </label>
        <input
          id={id}
          className="w-56"
          value={text}
          placeholder="38 44 41"
          inputMode="numeric"
          aria-invalid={wrong ? true : undefined}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(e) => {
            setText(e.target.value);
            send(e.target.value, points);
          }}
        />
        {wrong && (
          <span id={`${id}-wrong`} role="alert" className="text-[12.5px] text-hand">
            {wrong}
          </span>
        )}
      </span>
    </>
  );
}

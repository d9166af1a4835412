import { useState } from 'react';

import { addDays, spokenDate } from '../ui/days';
import { SelectField } from '../ui/inputs';
import type { Ask, Choice } from './api';

const WAITS = [3, 7, 14];

/** Something that is due: do it, or put it off. */
function Due({ ask, day, choose }: { ask: Ask; day: string; choose: (c: Choice) => void }) {
  const [method, setMethod] = useState(ask.methods[0]?.id ?? '');
  const with_ = ask.methods.length > 0 && method !== ask.methods[0]?.id ? { method } : {};
  const choice = (to: string): Choice => ({
    made: day,
    kind: ask.kind,
    subject: ask.subject,
    to,
    ...with_,
  });
  return (
    <div
      className="border-2 border-hand bg-handwash p-3"
      role="group"
      aria-label={`Decide: ${ask.what}`}
    >
      <p className="text-[16px] leading-tight font-bold">Today the plan says: {ask.what}</p>
      {ask.methods.length > 0 && (
        <div className="mt-1">
          <SelectField
            label="Ended by"
            value={method}
            onChange={setMethod}
            options={ask.methods.map((m) => ({ id: m.id, name: m.name }))}
          />
        </div>
      )}
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={() => choose(choice(day))}>
          Do it today
        </button>
        {WAITS.map((d) => (
          <button
            key={d}
            type="button"
            className="btn"
            onClick={() => choose(choice(addDays(day, d)))}
          >
            Wait {d} days
          </button>
        ))}
      </p>
    </div>
  );
}

/** What is to be decided on a day, and what could be brought forward to it. */
export function Decide({
  day,
  asks,
  soon,
  choices,
  choose,
  takeBack,
}: {
  day: string;
  asks: Ask[];
  soon: Ask[];
  choices: Choice[];
  choose: (c: Choice) => void;
  takeBack: () => void;
}) {
  const last = choices[choices.length - 1];
  return (
    <div aria-live="polite">
      {asks.map((a) => (
        <Due key={`${a.kind} ${a.subject} ${day}`} ask={a} day={day} choose={choose} />
      ))}
      {asks.length === 0 && <p className="text-ink2 italic">Nothing is due today.</p>}
      {soon.map((a) => (
        <p key={`${a.kind} ${a.subject}`} className="mt-2 text-[13.5px]">
          <span className="inline-block first-letter:uppercase">{a.what}</span>: planned for{' '}
          <span className="fig">{spokenDate(a.planned, false)}</span>.{' '}
          <button
            type="button"
            className="link"
            aria-label={`Bring forward: ${a.what} today`}
            onClick={() => choose({ made: day, kind: a.kind, subject: a.subject, to: day })}
          >
            do it today instead
          </button>
        </p>
      ))}
      {last && (
        <p className="mt-2 border-t border-rule2 pt-1 text-[13px] text-ink2">
          {choices.length} {choices.length === 1 ? 'choice' : 'choices'} made; the last on{' '}
          <span className="fig">{spokenDate(last.made, false)}</span>:{' '}
          {last.kind === 'end' ? 'end' : 'sow'}{' '}
          {last.to === last.made ? 'that day' : `put off to ${spokenDate(last.to, false)}`}.{' '}
          <button type="button" className="link" onClick={takeBack}>
            take it back
          </button>
        </p>
      )}
    </div>
  );
}

import { useState } from 'react';

import type { Schemas } from '../api/client';
import { spokenDate } from '../section/scale';
import { useOpenPlan } from '../plan/context';
import type { StepId } from '../bench/steps';

type Note = Schemas['NoteView'];

const MARKS = {
  stop: 'M5 1H11L15 5V11L11 15H5L1 11V5Z',
  think: 'M8 1L15 8L8 15L1 8Z',
  tip: 'M8 1.500A6.500 6.500 0 1 1 8 14.500A6.500 6.500 0 1 1 8 1.500Z',
};

function Mark({ weight }: { weight: Note['weight'] }) {
  const stop = weight === 'stop';
  return (
    <svg width="16" height="16" aria-hidden className="mt-0.5 shrink-0">
      <path
        d={MARKS[weight]}
        fill={stop ? 'var(--hand)' : 'none'}
        stroke={stop ? 'var(--hand)' : 'var(--ink)'}
        strokeWidth="1.300"
      />
      {weight === 'think' && <path d="M8 1V15L1 8Z" fill="var(--ink)" />}
      {stop && <path d="M4 8H12" stroke="var(--paper)" strokeWidth="2" />}
      {weight === 'tip' && <circle cx="8" cy="8" r="1.800" fill="var(--ink)" />}
    </svg>
  );
}

function NoteItem({ note }: { note: Note }) {
  const { session } = useOpenPlan();
  const [answering, setAnswering] = useState(false);
  const [reason, setReason] = useState('');
  const same = (a: { rule: string; subject: string }) =>
    a.rule === note.rule && a.subject === note.subject;
  const answer = () => {
    if (!reason.trim()) return;
    session.change((p) => ({
      ...p,
      answers: [
        ...p.answers.filter((a) => !same(a)),
        {
          rule: note.rule,
          subject: note.subject,
          factsHash: note.factsHash,
          decision: 'accepted',
          reason: reason.trim(),
        },
      ],
    }));
    setAnswering(false);
  };
  return (
    <li className="border-b border-rule2 py-2">
      <div className="flex gap-2">
        <Mark weight={note.weight} />
        <div className="min-w-0">
          <p className="fig text-[12px] font-bold tracking-wide uppercase">
            <span className={note.weight === 'stop' ? 'text-hand' : ''}>{note.weight}</span>
            {note.at && (
              <span className="ml-2 font-normal text-ink2 normal-case">{spokenDate(note.at)}</span>
            )}
          </p>
          <p className="text-[13.5px] leading-snug">{note.text}</p>
          {note.answer ? (
            <p className="text-[13px] text-ink2 italic">
              accepted: {note.answer.reason}{' '}
              <button
                type="button"
                className="link not-italic"
                onClick={() =>
                  session.change((p) => ({ ...p, answers: p.answers.filter((a) => !same(a)) }))
                }
              >
                open again
              </button>
            </p>
          ) : (
            <details>
              <summary className="cursor-pointer text-[13px] underline underline-offset-2">
                why, and answer
              </summary>
              <p className="text-[13px] text-ink2">
                What would change it: {note.wouldChange}. Sure: {note.sure}. <i>{note.source}</i> (
                {note.status}).
              </p>
              {!answering && (
                <button
                  type="button"
                  className="link text-[13px]"
                  onClick={() => setAnswering(true)}
                >
                  accept it with a reason
                </button>
              )}
              {answering && (
                <form
                  className="mt-1 flex gap-2"
                  onSubmit={(e) => {
                    e.preventDefault();
                    answer();
                  }}
                >
                  <input
                    aria-label="Reason"
                    className="w-full"
                    maxLength={500}
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                  />
                  <button type="submit" className="btn">
                    Keep
                  </button>
                </form>
              )}
            </details>
          )}
        </div>
      </div>
    </li>
  );
}

/** Judgements on the plan; those of the step in hand come first. */
export function Notes({ step }: { step: StepId }) {
  const { state } = useOpenPlan();
  const notes = state.evaluation?.notes ?? [];
  const here = notes.filter((n) => n.step === step);
  const elsewhere = notes.filter((n) => n.step !== step);
  return (
    <section aria-label="Notes" className="mt-4">
      <h2 className="border-b border-ink pb-1">
        Notes <span className="fig text-[13px] font-normal text-ink2">{notes.length || ''}</span>
      </h2>
      {notes.length === 0 && <p className="py-2 text-ink2 italic">nothing to say so far</p>}
      <ul>
        {[...here, ...elsewhere].map((n) => (
          <NoteItem key={`${n.rule} ${n.subject} ${n.factsHash}`} note={n} />
        ))}
      </ul>
    </section>
  );
}

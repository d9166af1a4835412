import { useEffect, useRef, useState } from 'react';

import type { Schemas } from '../api/client';
import { spokenDate } from '../ui/days';
import { WeightMark } from '../section/ink';
import { useOpenPlan } from '../plan/context';
import type { StepId } from '../plan/steps';
import { NoteAsk } from './NoteAsk';

type Note = Schemas['NoteView'];

export const noteKey = (n: Note) => `${n.rule} ${n.subject}`;

function Answer({ note }: { note: Note }) {
  const { session } = useOpenPlan();
  const [answering, setAnswering] = useState(false);
  const [reason, setReason] = useState('');
  const answer = () => {
    if (!reason.trim()) return;
    const { rule, subject, factsHash } = note;
    session.change((p) => ({
      ...p,
      answers: [
        ...p.answers.filter((a) => a.rule !== rule || a.subject !== subject),
        { rule, subject, factsHash, decision: 'accepted', reason: reason.trim() },
      ],
    }));
    setAnswering(false);
  };
  if (!answering) {
    return (
      <button type="button" className="link text-[13px]" onClick={() => setAnswering(true)}>
        accept it with a reason
      </button>
    );
  }
  return (
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
        Save
      </button>
    </form>
  );
}

function NoteItem({ note, open, onOpen }: { note: Note; open: boolean; onOpen: () => void }) {
  const { session } = useOpenPlan();
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (!open) return;
    ref.current?.scrollIntoView({ block: 'nearest' });
    ref.current?.querySelector<HTMLElement>('summary, button')?.focus({ preventScroll: true });
  }, [open]);
  const { rule, subject } = note;
  return (
    <li
      ref={ref}
      className={`border-b border-rule2 py-1.5 ${open ? '-ml-2 border-l-[3px] border-l-hand pl-[5px]' : ''}`}
    >
      <div className="flex gap-2">
        <svg width="16" height="16" aria-hidden className="mt-0.5 shrink-0">
          <WeightMark weight={note.weight} x={8} y={8} />
        </svg>
        <div className="min-w-0">
          <p className="fig text-[12px] font-bold tracking-wide uppercase">
            <span className={note.weight === 'stop' ? 'text-hand' : ''}>{note.weight}</span>
            {note.at && (
              <span className="ml-2 font-normal tracking-normal text-ink2 normal-case">
                {spokenDate(note.at)}
              </span>
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
                  session.change((p) => ({
                    ...p,
                    answers: p.answers.filter((a) => a.rule !== rule || a.subject !== subject),
                  }))
                }
              >
                open again
              </button>
            </p>
          ) : (
            <>
              {note.ask && <NoteAsk ask={note.ask} />}
              <details open={open} onToggle={(e) => e.currentTarget.open && !open && onOpen()}>
                <summary className="cursor-pointer text-[13px] underline underline-offset-2">
                  why, and answer
                </summary>
                <ul className="fig text-[13px] text-ink2">
                  {note.facts.map((f) => (
                    <li key={f}>{f}</li>
                  ))}
                </ul>
                <p className="text-[13px] text-ink2">
                  What would change it: {note.wouldChange}. Confidence: {note.confidence}.{' '}
                  <i>{note.source}</i>.
                </p>
                <Answer note={note} />
              </details>
            </>
          )}
        </div>
      </div>
    </li>
  );
}

const WEIGHT: Record<Note['weight'], number> = { stop: 0, think: 1, tip: 2 };

/** Notes by what they are about, the group with the gravest first. */
function grouped(notes: Note[]): [string, Note[]][] {
  const sorted = [...notes].sort((a, b) => WEIGHT[a.weight] - WEIGHT[b.weight]);
  const groups = new Map<string, Note[]>();
  for (const n of sorted) groups.set(n.about, [...(groups.get(n.about) ?? []), n]);
  return [...groups];
}

/** Judgements on the plan: those of the open step first, by crop or cover; answered ones are folded away and not counted. */
export function Notes({
  step,
  opened,
  onOpen,
}: {
  step: StepId;
  opened: string | undefined;
  onOpen: (key: string) => void;
}) {
  const { state } = useOpenPlan();
  const notes = state.evaluation?.notes ?? [];
  const open = notes.filter((n) => !n.answer);
  const answered = notes.filter((n) => n.answer);
  const list = (some: Note[]) =>
    grouped(some).map(([about, of]) => (
      <div key={about}>
        <h4 className="mt-2 text-[13px] font-bold">{about}</h4>
        <ul>
          {of.map((n) => (
            <NoteItem
              key={noteKey(n)}
              note={n}
              open={opened === noteKey(n)}
              onOpen={() => onOpen(noteKey(n))}
            />
          ))}
        </ul>
      </div>
    ));
  const here = open.filter((n) => n.step === step);
  const elsewhere = open.filter((n) => n.step !== step);
  return (
    <section aria-label="Notes" className="mt-4">
      <h2 className="border-b border-ink pb-1">
        Notes <span className="fig text-[13px] font-normal text-ink2">{open.length || ''}</span>
      </h2>
      {open.length === 0 && <p className="py-2 text-ink2 italic">no open notes</p>}
      {list(here)}
      {elsewhere.length > 0 && (
        <>
          <h3 className="mt-3 border-b border-rule text-[13px] text-ink2">At other steps</h3>
          {list(elsewhere)}
        </>
      )}
      {answered.length > 0 && (
        <details className="mt-3" open={answered.some((n) => noteKey(n) === opened) || undefined}>
          <summary className="cursor-pointer text-[13px] text-ink2">
            <span className="fig">{answered.length}</span> answered
          </summary>
          {list(answered)}
        </details>
      )}
    </section>
  );
}

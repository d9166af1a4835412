import { useId, useRef, useState } from 'react';

import { today } from '../api/client';
import { addDays } from './days';
import { parseDay, shownDay } from './dates';

/**
 * A day, written without doubt (12 May 2027) and taken on blur or Enter; [ and ] step it by a day, with Shift by a week. What
 * is no date stays typed, with what is wrong beside it; what can be read two ways is asked about.
 */
export function DateField(props: {
  label: string;
  value: string | undefined;
  onChange: (day: string) => void;
  hideLabel?: boolean;
  disabled?: boolean;
}) {
  const id = useId();
  const picker = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(shownDay(props.value));
  const [known, setKnown] = useState(props.value);
  const [wrong, setWrong] = useState('');
  const [either, setEither] = useState<string[]>([]);
  if (known !== props.value) {
    setKnown(props.value);
    setText(shownDay(props.value));
    setWrong('');
    setEither([]);
  }
  const put = (day: string) => {
    setWrong('');
    setEither([]);
    setText(shownDay(day));
    if (day !== (props.value ?? '')) props.onChange(day);
  };
  const take = () => {
    if (text.trim() === '') {
      put('');
      return;
    }
    const p = parseDay(text, today());
    if ('day' in p) put(p.day);
    else {
      setWrong(p.wrong);
      setEither(p.either ?? []);
    }
  };
  const steps: Record<string, number> = { '[': -1, ']': 1, '{': -7, '}': 7 };
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-ink2'}>
        {props.label}
      </label>
      <span className="relative inline-flex">
        <input
          id={id}
          autoComplete="off"
          placeholder="12 May 2027"
          value={text}
          disabled={props.disabled}
          aria-invalid={wrong ? true : undefined}
          aria-describedby={wrong ? `${id}-p` : undefined}
          className="w-[104px]"
          onChange={(e) => setText(e.target.value)}
          onBlur={take}
          onKeyDown={(e) => {
            const by = steps[e.key];
            if (e.key === 'Enter') take();
            else if (by !== undefined && props.value) {
              e.preventDefault();
              put(addDays(props.value, by));
            }
          }}
        />
        <button
          type="button"
          aria-label={`${props.label}: calendar`}
          disabled={props.disabled}
          className="min-w-6 bg-paper2 text-ink2 disabled:hidden"
          onClick={() => picker.current?.showPicker()}
        >
          <svg width="12" height="12" aria-hidden className="mx-auto">
            <path
              d="M1 2.5H11V11H1ZM1 5H11M4 0.5V3M8 0.5V3"
              fill="none"
              stroke="currentColor"
              strokeWidth="1.2"
            />
          </svg>
        </button>
        <input
          ref={picker}
          type="date"
          tabIndex={-1}
          aria-hidden
          value={props.value ?? ''}
          className="pointer-events-none absolute bottom-0 left-0 h-0 min-h-0 w-0 border-0 p-0 opacity-0"
          onChange={(e) => e.target.value && put(e.target.value)}
        />
      </span>
      {wrong && (
        <span id={`${id}-p`} role="alert" className="max-w-52 text-[12.5px] text-hand">
          {wrong}
        </span>
      )}
      {either.length > 0 && (
        <span className="inline-flex gap-2">
          {either.map((d) => (
            <button key={d} type="button" className="link text-[13px]" onClick={() => put(d)}>
              {shownDay(d)}
            </button>
          ))}
        </span>
      )}
    </span>
  );
}

import { Select, type Choice } from './Select';
import { useId, useState, type ReactNode } from 'react';

import type { Problem, Quantity, UnitSymbol } from '../api/client';
import { readNumber, unitText, useDecimalSign } from './numbers';
import { converted, otherUnits } from './otherUnits';

const written = (v: number | undefined) => (v === undefined ? '' : String(v));

export function problemAt(problems: Problem[] | undefined, pointer: string | undefined) {
  if (!pointer) return undefined;
  return problems?.find((p) => p.pointer === pointer || p.pointer.startsWith(`${pointer}/`))
    ?.message;
}

interface NumberProps {
  label: string;
  value: number | undefined;
  onChange: (v: number | undefined) => void;
  problem?: string;
  hideLabel?: boolean;
  width?: string;
  /** Lowest number taken; 0 where nothing is said. */
  min?: number;
  max?: number;
  suffix?: ReactNode;
  /** A line below: the number in another unit. */
  under?: string;
  placeholder?: string;
  disabled?: boolean;
}

/**
 * A number typed as text and taken on blur or Enter. What is not a number stays typed, with what is wrong beside it; what can be
 * read two ways is asked about.
 */
export function NumberField(props: NumberProps) {
  const id = useId();
  const [text, setText] = useState(written(props.value));
  const [known, setKnown] = useState(props.value);
  const [wrong, setWrong] = useState('');
  const [either, setEither] = useState<number[]>([]);
  const sign = useDecimalSign();
  const least = props.min ?? 0;
  const most = props.max ?? 1e9;
  if (known !== props.value) {
    setKnown(props.value);
    setText(written(props.value));
    setWrong('');
    setEither([]);
  }
  const take = () => {
    setEither([]);
    // what stands there as it was written by this page is no new number
    if (text === written(props.value)) {
      setWrong('');
      return;
    }
    if (text.trim() === '') {
      setWrong('');
      if (props.value !== undefined) props.onChange(undefined);
      return;
    }
    const read = readNumber(text, sign);
    if (read.kind === 'none') setWrong(`“${text.slice(0, 20)}” is not a number`);
    else if (read.kind === 'either') {
      const possible = [read.grouped, read.decimal].filter((v) => v >= least && v <= most);
      if (possible.length === 1) {
        keep(possible[0]!);
        return;
      }
      setWrong(`“${text.slice(0, 20)}” can be read two ways. Which do you mean?`);
      setEither([read.grouped, read.decimal]);
    } else keep(read.value);
  };
  const keep = (v: number) => {
    setEither([]);
    setText(written(v));
    if (v < least) setWrong(least ? `at least ${least}` : 'not below zero');
    else if (v > most) setWrong(`at most ${most}`);
    else {
      setWrong('');
      if (v !== props.value) props.onChange(v);
    }
  };
  const problem = wrong || props.problem;
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-ink2'}>
        {props.label}
      </label>
      <span className="inline-flex items-center gap-1">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          disabled={props.disabled}
          placeholder={props.placeholder}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? `${id}-p` : undefined}
          className={`${props.width ?? 'w-16'} text-right`}
          onChange={(e) => setText(e.target.value)}
          onBlur={take}
          onKeyDown={(e) => e.key === 'Enter' && take()}
        />
        {props.suffix}
      </span>
      {props.under && <span className="fig text-right text-[12px] text-ink2">{props.under}</span>}
      {problem && (
        <span id={`${id}-p`} role="alert" className="max-w-52 text-[12.5px] text-hand">
          {problem}
        </span>
      )}
      {either.length > 0 && (
        <span className="inline-flex gap-2">
          {either.map((v) => (
            <button key={v} type="button" className="link text-[13px]" onClick={() => keep(v)}>
              {v}
            </button>
          ))}
        </span>
      )}
    </span>
  );
}

interface QuantityProps extends Omit<NumberProps, 'value' | 'onChange' | 'suffix'> {
  value: Quantity | undefined;
  units: UnitSymbol[];
  onChange: (q: Quantity | undefined) => void;
  /** The currency in place of the sign ¤. */
  currency?: string;
}

/** A number with its unit; both are kept as typed. */
export function QuantityField({ value, units, onChange, currency, ...rest }: QuantityProps) {
  const [unit, setUnit] = useState<UnitSymbol>(value?.unit ?? units[0]!);
  const shown = value?.unit ?? unit;
  const all = [...units, ...otherUnits(units)];
  const choices = all.includes(shown) ? all : [shown, ...all];
  const name = (u: string) => unitText(u, currency);
  const read = value && !units.includes(value.unit) ? converted(value, units[0]!) : undefined;
  return (
    <NumberField
      {...rest}
      value={value?.value}
      onChange={(v) => onChange(v === undefined ? undefined : { value: v, unit: shown })}
      under={read && `= ${read} ${name(units[0]!)}`}
      suffix={
        <Select
          label={`${rest.label}, unit`}
          value={shown}
          disabled={rest.disabled}
          options={choices.map((u) => ({ id: u, name: name(u) }))}
          onChange={(v) => {
            const u = v as UnitSymbol;
            setUnit(u);
            if (value) onChange({ ...value, unit: u });
          }}
        />
      }
    />
  );
}

interface SelectProps {
  label: string;
  value: string;
  options: Choice[];
  onChange: (v: string) => void;
  empty?: string;
  hideLabel?: boolean;
  width?: string;
  disabled?: boolean;
  problem?: string;
}

/** One of a list; options that stand under a heading are grouped. */
export function SelectField(props: SelectProps) {
  const id = useId();
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-ink2'}>
        {props.label}
      </label>
      <Select
        id={id}
        value={props.value}
        empty={props.empty}
        disabled={props.disabled}
        invalid={props.problem !== undefined}
        describedBy={props.problem ? `${id}-p` : undefined}
        className={props.width}
        options={props.options}
        onChange={props.onChange}
      />
      {props.problem && (
        <span id={`${id}-p`} role="alert" className="max-w-52 text-[12.5px] text-hand">
          {props.problem}
        </span>
      )}
    </span>
  );
}

export function TextField(props: {
  label: string;
  hideLabel?: boolean;
  value: string;
  onChange: (v: string) => void;
  problem?: string;
  type?: string;
  width?: string;
  autoComplete?: string;
  placeholder?: string;
  /** Called when the text is done with: on leaving it and on Enter. */
  onDone?: () => void;
}) {
  const id = useId();
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'text-[13px] text-ink2'}>
        {props.label}
      </label>
      <input
        id={id}
        type={props.type ?? 'text'}
        value={props.value}
        autoComplete={props.autoComplete ?? 'off'}
        placeholder={props.placeholder}
        aria-invalid={props.problem ? true : undefined}
        className={props.width ?? 'w-56'}
        onChange={(e) => props.onChange(e.target.value)}
        onBlur={props.onDone}
        onKeyDown={(e) => e.key === 'Enter' && props.onDone?.()}
      />
      {props.problem && (
        <span role="alert" className="max-w-64 text-[12.5px] text-hand">
          {props.problem}
        </span>
      )}
    </span>
  );
}

/** A number that may lie below zero, such as a latitude. */
export function SignedField(props: {
  label: string;
  value: number | undefined;
  least: number;
  most: number;
  onChange: (v: number) => void;
  problem?: string;
}) {
  return (
    <NumberField
      label={props.label}
      value={props.value}
      min={props.least}
      max={props.most}
      width="w-20"
      onChange={(v) => v !== undefined && props.onChange(v)}
      problem={props.problem}
    />
  );
}

/** A text that is kept on leaving it or on Enter. */
export function KeptText(props: {
  label: string;
  value: string | undefined;
  onChange: (v: string | undefined) => void;
  problem?: string;
  width?: string;
}) {
  const [text, setText] = useState(props.value ?? '');
  const [known, setKnown] = useState(props.value);
  if (known !== props.value) {
    setKnown(props.value);
    setText(props.value ?? '');
  }
  return (
    <TextField
      label={props.label}
      value={text}
      width={props.width}
      problem={props.problem}
      onChange={setText}
      onDone={() => {
        const v = text.trim();
        if (v !== (props.value ?? '')) props.onChange(v || undefined);
      }}
    />
  );
}

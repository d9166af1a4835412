import { useState } from 'react';

import { NumberField, SelectField } from '../../ui/inputs';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** A day of the year; written MM-dd. */
export function DayOfYear({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value?: string;
  onChange: (v?: string) => void;
  problem?: string;
}) {
  const [month, setMonth] = useState(value?.slice(0, 2) ?? '');
  const [day, setDay] = useState<number | undefined>(value ? Number(value.slice(3)) : undefined);
  const take = (m: string, d: number | undefined) => {
    setMonth(m);
    setDay(d);
    if (m && d) onChange(`${m}-${String(d).padStart(2, '0')}`);
    else if (value) onChange(undefined);
  };
  return (
    <fieldset className="inline-flex flex-col">
      <legend className="text-[13px] text-ink2">{label}</legend>
      <span className="inline-flex gap-1">
        <NumberField
          hideLabel
          label={`${label}, day`}
          width="w-10"
          value={day}
          max={31}
          onChange={(d) => take(month, d)}
          problem={problem}
        />
        <SelectField
          hideLabel
          label={`${label}, month`}
          value={month}
          empty="month"
          options={MONTHS.map((name, i) => ({ id: String(i + 1).padStart(2, '0'), name }))}
          onChange={(m) => take(m, day)}
        />
      </span>
    </fieldset>
  );
}

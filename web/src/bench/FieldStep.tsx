import { useState } from 'react';

import { BoundaryFile } from '../fields/Boundary';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { NumberField, problemAt, QuantityField, SelectField, TextField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { SharedHistory } from '../ui/SharedHistory';

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
function DayOfYear({
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

export function FieldStep() {
  const { field, farm, knowledge, us, fieldSave } = useOpenPlan();
  const [name, setName] = useState(field.name);
  const [known, setKnown] = useState(field.name);
  if (known !== field.name) {
    setKnown(field.name);
    setName(field.name);
  }
  const { save, change } = fieldSave;
  const problems = save.problems;
  const options = (list: string[]) => list.map((t) => ({ id: t, name: t }));
  return (
    <>
      <BenchHead title="Field" aside="nothing is needed here but a name and an area">
        <SharedHistory
          kind="field"
          id={field.id}
          title={`History of ${field.name}`}
          label="History of the field"
          onRestored={() => window.location.reload()}
        />
        <SharedHistory
          kind="farm"
          id={farm.id}
          title={`History of ${farm.name}`}
          label="History of the farm"
          onRestored={() => window.location.reload()}
        />
      </BenchHead>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
        <TextField
          label="Name"
          value={name}
          onChange={setName}
          problem={problemAt(problems, '/name')}
          onDone={() => name !== field.name && change({ name })}
        />
        <span>
          <span className="block text-[13px] text-ink2">Area</span>
          <FigureText id="field/area" big />
        </span>
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3">
        <BoundaryFile us={us} onFound={(f) => change({ boundary: f.boundary, area: undefined })} />
        {!field.boundary && (
          <QuantityField
            label="or its area"
            value={field.area}
            units={us ? ['ac', 'ha'] : ['ha', 'ac']}
            onChange={(area) => area && change({ area })}
            problem={problemAt(problems, '/area')}
          />
        )}
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3">
        <SelectField
          label="Soil"
          value={field.texture ?? ''}
          empty="not entered"
          options={options(knowledge.textures)}
          onChange={(v) => change({ texture: v || undefined })}
        />
        <SelectField
          label="Drainage"
          value={field.drainage ?? ''}
          empty="not entered"
          options={options(knowledge.drainages)}
          onChange={(v) => change({ drainage: v || undefined })}
        />
        <QuantityField
          label="Depth of tile drains"
          value={field.tileDepth}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          onChange={(tileDepth) => change({ tileDepth })}
          problem={problemAt(problems, '/tileDepth')}
        />
        <NumberField
          label="Organic matter"
          value={field.organicMatterPercent}
          max={100}
          suffix="%"
          onChange={(organicMatterPercent) => change({ organicMatterPercent })}
        />
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-3">
        <DayOfYear
          label="Usual last spring frost"
          value={field.lastSpringFrost}
          onChange={(lastSpringFrost) => change({ lastSpringFrost })}
          problem={problemAt(problems, '/lastSpringFrost')}
        />
        <DayOfYear
          label="Usual first autumn frost"
          value={field.firstAutumnFrost}
          onChange={(firstAutumnFrost) => change({ firstAutumnFrost })}
          problem={problemAt(problems, '/firstAutumnFrost')}
        />
      </div>
      <p role="status" className={`mt-2 italic ${save.failing ? 'text-hand' : 'text-ink2'}`}>
        {save.failing
          ? `not saved: ${save.failing}`
          : save.busy
            ? 'saving'
            : save.done && 'field saved'}
      </p>
    </>
  );
}

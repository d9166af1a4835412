import { useState, type ReactNode } from 'react';

import type { Field, Problem } from '../api/client';
import { BoundaryFile } from '../fields/Boundary';
import { FieldMap } from '../fields/FieldMap';
import { SoilTests } from '../fields/SoilTests';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { newId } from '../plan/edit';
import { DateField } from '../ui/DateField';
import {
  KeptText,
  NumberField,
  problemAt,
  QuantityField,
  SelectField,
  SignedField,
  TextField,
} from '../ui/inputs';
import { RowsField } from '../ui/RowsField';
import { SharedHistory } from '../ui/SharedHistory';
import { StationField } from '../weather/StationField';
import { BenchHead } from './BenchHead';
import { SoilTable } from './SoilTable';

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

type Save = { field: Field; change: (to: Partial<Field>) => void; problems: Problem[] };

const options = (list: string[]) => list.map((t) => ({ id: t, name: t }));

/** A part of the step that can be folded away; what it holds is said when it is. */
function Part({
  title,
  holds,
  open,
  children,
}: {
  title: string;
  holds?: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <details open={open} className="mt-3 border-t border-rule pt-1.5">
      <summary className="cursor-pointer text-[15px] font-bold">
        {title} {holds && <span className="text-[13px] font-medium text-ink2 italic">{holds}</span>}
      </summary>
      {children}
    </details>
  );
}

const ROW = 'mt-2 flex flex-wrap items-end gap-x-5 gap-y-3';

function PlacePart({ field, change, problems }: Save) {
  const { us } = useOpenPlan();
  const point = (to: { lat?: number; lon?: number }) => {
    const lat = to.lat ?? field.point?.lat;
    const lon = to.lon ?? field.point?.lon;
    if (lat !== undefined && lon !== undefined) change({ point: { lat, lon } });
  };
  return (
    <div className={ROW}>
      {!field.boundary && (
        <>
          <SignedField
            label="Latitude, ° north"
            value={field.point?.lat}
            least={-90}
            most={90}
            onChange={(lat) => point({ lat, lon: field.point?.lon ?? 0 })}
            problem={problemAt(problems, '/point/lat')}
          />
          <SignedField
            label="Longitude, ° east"
            value={field.point?.lon}
            least={-180}
            most={180}
            onChange={(lon) => point({ lon })}
            problem={problemAt(problems, '/point/lon')}
          />
        </>
      )}
      <QuantityField
        label="Height above the sea"
        value={field.elevation}
        units={us ? ['ft', 'm'] : ['m', 'ft']}
        onChange={(elevation) => change({ elevation })}
        problem={problemAt(problems, '/elevation')}
      />
      <NumberField
        label="Nights colder than the screen by"
        value={field.coldHollowC}
        max={10}
        placeholder="0"
        suffix={<span className="text-[11.5px] text-ink2">°C</span>}
        onChange={(coldHollowC) => change({ coldHollowC })}
      />
      <NumberField
        label="Evapotranspiration ×"
        value={field.evapotranspirationScale}
        max={2}
        placeholder="1"
        onChange={(evapotranspirationScale) => change({ evapotranspirationScale })}
        problem={problemAt(problems, '/evapotranspirationScale')}
      />
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
  );
}

function SoilPart({ field, change, problems }: Save) {
  const { us, knowledge } = useOpenPlan();
  const short = us ? (['in', 'cm'] as const) : (['cm', 'in'] as const);
  const ofPercent = (
    v: number | undefined,
    key: 'organicMatterPercent' | 'stonePercent',
    label: string,
  ) => (
    <NumberField
      label={label}
      value={v}
      max={100}
      suffix="%"
      onChange={(n) => change({ [key]: n })}
      problem={problemAt(problems, `/${key}`)}
    />
  );
  return (
    <>
      <div className={ROW}>
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
        {ofPercent(field.organicMatterPercent, 'organicMatterPercent', 'Organic matter')}
        {ofPercent(field.stonePercent, 'stonePercent', 'Stones')}
        <NumberField
          label="pH"
          value={field.ph}
          max={11}
          onChange={(ph) => change({ ph })}
          problem={problemAt(problems, '/ph')}
        />
        <QuantityField
          label="Roots end at"
          value={field.rootingLimit}
          units={[...short]}
          onChange={(rootingLimit) => change({ rootingLimit })}
          problem={problemAt(problems, '/rootingLimit')}
        />
        <QuantityField
          label="Depth of tile drains"
          value={field.tileDepth}
          units={[...short]}
          onChange={(tileDepth) => change({ tileDepth })}
          problem={problemAt(problems, '/tileDepth')}
        />
        <QuantityField
          label="Depth of a pan"
          value={field.panDepth}
          units={[...short]}
          onChange={(panDepth) => change({ panDepth })}
          problem={problemAt(problems, '/panDepth')}
        />
        <QuantityField
          label="Penetrometer there"
          value={field.penetrometer}
          units={us ? ['psi', 'MPa'] : ['MPa', 'psi']}
          onChange={(penetrometer) => change({ penetrometer })}
          problem={problemAt(problems, '/penetrometer')}
        />
      </div>
      <RowsField
        title="Layers"
        one="layer"
        pointer="/layers"
        problems={problems}
        rows={field.layers}
        fresh={{}}
        columns={[
          { key: 'depth', label: 'down to', kind: 'quantity', units: [...short], needed: true },
          { key: 'texture', label: 'texture', kind: 'choice', options: knowledge.textures },
          { key: 'sandPercent', label: 'or sand', kind: 'number', max: 100, suffix: '%' },
          { key: 'clayPercent', label: 'and clay', kind: 'number', max: 100, suffix: '%' },
          {
            key: 'organicMatterPercent',
            label: 'organic matter',
            kind: 'number',
            max: 100,
            suffix: '%',
          },
          { key: 'stonePercent', label: 'stones', kind: 'number', max: 95, suffix: '%' },
          { key: 'ph', label: 'pH', kind: 'number', max: 11 },
        ]}
        onChange={(layers) => change({ layers })}
      />
      <SoilTable />
      <SoilTests tests={field.soilTests} onChange={(soilTests) => change({ soilTests })} />
    </>
  );
}

function GroundPart({ field, change, problems }: Save) {
  const { us } = useOpenPlan();
  return (
    <div className={ROW}>
      <NumberField
        label="Slope"
        value={field.slopePercent}
        max={100}
        suffix="%"
        onChange={(slopePercent) => change({ slopePercent })}
        problem={problemAt(problems, '/slopePercent')}
      />
      <QuantityField
        label="Length of the slope"
        value={field.slopeLength}
        units={us ? ['ft', 'm'] : ['m', 'ft']}
        onChange={(slopeLength) => change({ slopeLength })}
        problem={problemAt(problems, '/slopeLength')}
      />
      <NumberField
        label="Falls towards, ° from north"
        value={field.slopeTowards}
        max={360}
        onChange={(slopeTowards) => change({ slopeTowards })}
        problem={problemAt(problems, '/slopeTowards')}
      />
      <ZoneFile
        us={us}
        zones={field.zones}
        problems={problems}
        onChange={(zones) => change({ zones })}
      />
    </div>
  );
}

/** Zones of the field, each from an outline file. */
function ZoneFile({
  us,
  zones,
  problems,
  onChange,
}: {
  us: boolean;
  zones: Field['zones'];
  problems: Problem[];
  onChange: (zones: Field['zones']) => void;
}) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState('wet-hollow');
  const kinds = ['wet-hollow', 'cold-hollow', 'compacted', 'weed-patch', 'buffer', 'other'];
  return (
    <div className="basis-full">
      <RowsField
        title="Zones"
        one="zone by its outline below"
        pointer="/zones"
        problems={problems}
        rows={zones}
        fresh={{}}
        adds={false}
        columns={[
          { key: 'name', label: 'name', kind: 'text', needed: true },
          { key: 'kind', label: 'kind', kind: 'choice', options: kinds, needed: true },
        ]}
        onChange={onChange}
      />
      <div className={ROW}>
        <TextField label="Name of a new zone" width="w-36" value={name} onChange={setName} />
        <SelectField
          label="Its kind"
          value={kind}
          options={kinds.map((k) => ({ id: k, name: k.replace('-', ' ') }))}
          onChange={setKind}
        />
        {name.trim() && (
          <BoundaryFile
            us={us}
            label="Its outline (GeoJSON)"
            onFound={(f) => {
              onChange([
                ...(zones ?? []),
                { id: newId('z'), name: name.trim(), kind, outline: f.boundary },
              ]);
              setName('');
            }}
          />
        )}
      </div>
    </div>
  );
}

function LifePart({ field, change, problems }: Save) {
  return (
    <>
      <RowsField
        title="Weeds"
        one="weed"
        pointer="/weeds"
        problems={problems}
        rows={field.weeds}
        fresh={{ pressure: 'medium' }}
        columns={[
          { key: 'name', label: 'name', kind: 'text', needed: true },
          {
            key: 'pressure',
            label: 'pressure',
            kind: 'choice',
            options: ['low', 'medium', 'high'],
            needed: true,
          },
          { key: 'perennial', label: 'perennial', kind: 'tick' },
          { key: 'underControl', label: 'under control', kind: 'tick' },
        ]}
        onChange={(weeds) => change({ weeds })}
      />
      <RowsField
        title="Pests seen"
        one="pest"
        pointer="/pests"
        problems={problems}
        rows={field.pests}
        fresh={{}}
        columns={[
          { key: 'name', label: 'name', kind: 'text', needed: true },
          { key: 'year', label: 'year', kind: 'number', max: 2099 },
        ]}
        onChange={(pests) => change({ pests })}
      />
      <div className={ROW}>
        {(
          [
            ['livestock', 'Stock that have access'],
            ['wildlife', 'Wildlife'],
            ['waterSupply', 'Water for stock or spraying'],
          ] as const
        ).map(([key, label]) => (
          <KeptText
            key={key}
            label={label}
            value={field[key]}
            problem={problemAt(problems, `/${key}`)}
            onChange={(v) => change({ [key]: v })}
          />
        ))}
      </div>
      <RowsField
        title="Crops of the past"
        one="year"
        pointer="/history"
        problems={problems}
        rows={field.history}
        fresh={{}}
        columns={[
          { key: 'year', label: 'year', kind: 'number', max: 2099, needed: true },
          { key: 'crop', label: 'crop', kind: 'text', needed: true },
        ]}
        onChange={(history) => change({ history })}
      />
      <RowsField
        title="Herbicides that may still act"
        one="herbicide"
        pointer="/residuals"
        problems={problems}
        rows={field.residuals}
        fresh={{}}
        columns={[
          { key: 'activeIngredient', label: 'active ingredient', kind: 'text', needed: true },
          { key: 'appliedOn', label: 'applied', kind: 'day', needed: true },
          {
            key: 'intervalMonths',
            label: 'interval on the label',
            kind: 'number',
            max: 60,
            suffix: 'months',
          },
        ]}
        onChange={(residuals) => change({ residuals })}
      />
      <p className="text-[12.5px] text-ink2 italic">
        The interval is the label’s, for what is sown next; Etlo knows none of its own.
      </p>
    </>
  );
}

function WorkPart({ field, change, problems }: Save) {
  const { us } = useOpenPlan();
  return (
    <>
      <div className={ROW}>
        <SelectField
          label="Certification"
          value={field.certification ?? ''}
          empty="not entered"
          options={options(['conventional', 'organic', 'in transition'])}
          onChange={(v) => change({ certification: v || undefined })}
        />
        {field.certification === 'in transition' && (
          <DateField
            label="In transition since"
            value={field.inTransitionSince}
            onChange={(d) => change({ inTransitionSince: d || undefined })}
          />
        )}
        <QuantityField
          label="The drill does in a day"
          value={field.drillHaPerDay}
          units={us ? ['ac/d', 'ha/d'] : ['ha/d', 'ac/d']}
          placeholder={us ? '35' : '14'}
          onChange={(drillHaPerDay) => change({ drillHaPerDay })}
          problem={problemAt(problems, '/drillHaPerDay')}
        />
      </div>
      <RowsField
        title="Machines that can reach it"
        one="machine"
        pointer="/equipment"
        problems={problems}
        rows={field.equipment}
        fresh={{ kind: 'drill' }}
        columns={[
          { key: 'name', label: 'name', kind: 'text', needed: true },
          {
            key: 'kind',
            label: 'kind',
            kind: 'choice',
            needed: true,
            options: [
              'drill',
              'planter',
              'sprayer',
              'roller-crimper',
              'strip-till',
              'spreader',
              'combine',
              'other',
            ],
          },
          { key: 'width', label: 'width', kind: 'quantity', units: us ? ['ft', 'm'] : ['m', 'ft'] },
        ]}
        onChange={(equipment) => change({ equipment })}
      />
      <RowsField
        title="Programmes"
        one="programme"
        pointer="/programmes"
        problems={problems}
        rows={field.programmes}
        fresh={{}}
        columns={[
          { key: 'name', label: 'name', kind: 'text', needed: true },
          { key: 'until', label: 'until', kind: 'day' },
          { key: 'rules', label: 'what it asks', kind: 'text', width: 'w-72' },
        ]}
        onChange={(programmes) => change({ programmes })}
      />
    </>
  );
}

const counted = (n: number | undefined, one: string, many: string) =>
  n ? `${n} ${n === 1 ? one : many}` : '';
const said = (...parts: (string | undefined | false)[]) => parts.filter(Boolean).join(', ');

export function FieldStep() {
  const { field, farm, us, fieldSave, state } = useOpenPlan();
  const { save, change } = fieldSave;
  const problems = save.problems;
  const part = { field, change, problems };
  const area = state.evaluation?.figures['field/area'];
  return (
    <>
      <BenchHead title="Field" aside="nothing is needed but a place and an area">
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
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <div className="min-w-64 flex-1">
          <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
            <KeptText
              label="Name"
              value={field.name}
              problem={problemAt(problems, '/name')}
              onChange={(name) => change({ name: name ?? '' })}
            />
            <span>
              <span className="block text-[13px] text-ink2">Area</span>
              <FigureText id="field/area" big />
            </span>
          </div>
          <div className={ROW}>
            <BoundaryFile
              us={us}
              onFound={(f) => change({ boundary: f.boundary, area: undefined })}
            />
            {!field.boundary && (
              <QuantityField
                label="or its area"
                value={field.area}
                units={us ? ['ac', 'ha'] : ['ha', 'ac']}
                onChange={(a) => a && change({ area: a })}
                problem={problemAt(problems, '/area')}
              />
            )}
          </div>
          <StationField field={field} change={change} />
          <p role="status" className={`mt-2 italic ${save.failing ? 'text-hand' : 'text-ink2'}`}>
            {save.failing
              ? `not saved: ${save.failing}`
              : save.busy
                ? 'saving'
                : save.done && 'field saved'}
          </p>
        </div>
        <FieldMap field={field} us={us} area={area ? `${area.text} ${area.unit}` : ''} />
      </div>
      <Part
        title="Soil"
        open
        holds={said(
          field.texture ?? 'no texture entered: reckoned as loam',
          counted(field.layers?.length, 'layer', 'layers'),
          counted(field.soilTests?.length, 'test', 'tests'),
        )}
      >
        <SoilPart {...part} />
      </Part>
      <Part
        title="Place and frost"
        holds={said(
          field.boundary ? 'from the boundary' : field.point ? 'by a point' : 'no place yet',
          field.lastSpringFrost ? 'frost dates entered' : 'frost dates from the weather',
        )}
        open={!field.boundary && !field.point}
      >
        <PlacePart {...part} />
      </Part>
      <Part
        title="Lie of the land"
        holds={said(
          field.slopePercent === undefined ? 'slope not entered' : `slope ${field.slopePercent} %`,
          counted(field.zones?.length, 'zone', 'zones'),
        )}
      >
        <GroundPart {...part} />
      </Part>
      <Part
        title="Weeds, pests, stock, history"
        holds={said(
          counted(field.weeds?.length, 'weed', 'weeds'),
          counted(field.pests?.length, 'pest', 'pests'),
          counted(field.residuals?.length, 'herbicide', 'herbicides'),
          counted(field.history?.length, 'year', 'years'),
        )}
      >
        <LifePart {...part} />
      </Part>
      <Part
        title="Certification, machines, programmes"
        holds={said(
          field.certification,
          counted(field.equipment?.length, 'machine', 'machines'),
          counted(field.programmes?.length, 'programme', 'programmes'),
        )}
      >
        <WorkPart {...part} />
      </Part>
    </>
  );
}

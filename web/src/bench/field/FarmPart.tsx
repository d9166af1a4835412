import { useOpenPlan } from '../../plan/context';
import { useFarmSave } from '../../plan/useFarmSave';
import { NumberField, SelectField } from '../../ui/inputs';
import { Refusal } from '../../api/client';
import { Check } from '../../ui/Check';
import { RowsField } from '../../ui/RowsField';
import { DayOfYear } from './DayOfYear';
import { ROW } from './part';

const GAP_FAMILIES = [
  { id: 'Brassicaceae', name: 'Brassicas' },
  { id: 'Fabaceae', name: 'Legumes' },
  { id: 'Asteraceae', name: 'Sunflower family' },
  { id: 'Solanaceae', name: 'Potato family' },
  { id: 'Amaryllidaceae', name: 'Onion family' },
  { id: 'Cucurbitaceae', name: 'Squash family' },
  { id: 'Amaranthaceae', name: 'Beet family' },
];

/** How the farm of this field mixes, where good practitioners differ. */
export function FarmPart() {
  const { farm, knowledge } = useOpenPlan();
  const save = useFarmSave();
  const chosen = farm.schools ?? {};
  const rules = farm.endRules ?? {};
  const rule = (name: string, value: string | undefined) => {
    const others = Object.entries(rules).filter(([k]) => k !== name);
    save.mutate({
      endRules: Object.fromEntries(value === undefined ? others : [...others, [name, value]]),
    });
  };
  return (
    <>
      <p className="mt-1 text-[13px] text-ink2">
        For all fields of {farm.name}. Each point is disputed; the bench shows the side chosen here
        beside the other with its conditions, never something between.
      </p>
      <div className={ROW}>
        {knowledge.schools.map((s) => (
          <SelectField
            key={s.id}
            label={s.name}
            value={chosen[s.id] ?? ''}
            empty="not chosen"
            options={s.sides.map((side) => ({ id: side.id, name: `${side.name}: ${side.band}` }))}
            onChange={(side) => {
              const others = Object.entries(chosen).filter(([question]) => question !== s.id);
              save.mutate({
                schools: Object.fromEntries(side ? [...others, [s.id, side]] : others),
              });
            }}
          />
        ))}
      </div>
      <div className={ROW}>
        <SelectField
          label="Experience with covers and no-till"
          value={farm.experience ?? ''}
          empty="not entered"
          options={[
            { id: 'beginner', name: 'beginner' },
            { id: 'intermediate', name: 'some years' },
            { id: 'expert', name: 'expert' },
          ]}
          onChange={(v) => save.mutate({ experience: v || undefined })}
        />
      </div>
      <h4 className="mt-3 text-[14px] font-bold">
        Years from one to the next{' '}
        <i className="text-[13px] font-medium text-ink2">
          crops and covers of a plant family; 4 for brassicas where nothing is entered
        </i>
      </h4>
      <div className={ROW}>
        {GAP_FAMILIES.filter((f) => knowledge.families.includes(f.id)).map((f) => (
          <NumberField
            key={f.id}
            label={f.name}
            width="w-14"
            min={1}
            max={12}
            suffix="years"
            placeholder={f.id === 'Brassicaceae' ? '4' : undefined}
            value={farm.familyGapYears?.[f.id]}
            onChange={(v) => {
              const others = Object.entries(farm.familyGapYears ?? {}).filter(([k]) => k !== f.id);
              save.mutate({
                familyGapYears: Object.fromEntries(
                  v === undefined ? others : [...others, [f.id, Math.round(v)]],
                ),
              });
            }}
          />
        ))}
      </div>
      <h4 className="mt-3 text-[14px] font-bold">
        Rules that bind the end of a cover{' '}
        <i className="text-[13px] font-medium text-ink2">
          switched on where they hold; who decides them has the last word
        </i>
      </h4>
      <div className={ROW}>
        <SelectField
          label="Insurance or programme zone"
          value={rules.zone ?? ''}
          empty="none"
          options={knowledge.endZones}
          onChange={(v) => rule('zone', v || undefined)}
        />
        <DayOfYear
          label="No end before"
          value={rules.earliest}
          onChange={(v) => rule('earliest', v)}
        />
        <DayOfYear
          label="Birds nest from"
          value={rules['nesting-from']}
          onChange={(v) => rule('nesting-from', v)}
        />
        <DayOfYear
          label="Birds nest until"
          value={rules['nesting-until']}
          onChange={(v) => rule('nesting-until', v)}
        />
        <Check
          checked={rules.bees !== undefined}
          onChange={(on) => rule('bees', on ? 'yes' : undefined)}
        >
          nothing is sprayed or mown in bloom
        </Check>
      </div>
      <RowsField
        title="Intervals from labels"
        one="interval"
        pointer="/labelIntervals"
        problems={save.error instanceof Refusal ? save.error.problems : []}
        rows={farm.labelIntervals}
        fresh={{ event: 'planting' }}
        columns={[
          { key: 'product', label: 'product', kind: 'text', needed: true },
          {
            key: 'event',
            label: 'to',
            kind: 'choice',
            needed: true,
            options: ['planting', 'rolling', 'grazing', 'feeding', 're-entry'],
          },
          { key: 'crop', label: 'of', kind: 'choice', options: knowledge.crops },
          { key: 'days', label: 'days at least', kind: 'number', max: 1500, needed: true },
          { key: 'mostDays', label: 'at most', kind: 'number', max: 1500 },
        ]}
        onChange={(labelIntervals) => save.mutate({ labelIntervals })}
      />
      {save.isError && (
        <p role="alert" className="text-hand">
          not saved: {save.error.message}
        </p>
      )}
    </>
  );
}

import { useOpenPlan } from '../../plan/context';
import { DateField } from '../../ui/DateField';
import { problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { RowsField } from '../../ui/RowsField';
import { options, ROW, type PartProps } from './part';

/** Certification, machines and programmes. */
export function WorkPart({ field, change, problems }: PartProps) {
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
              'mower',
              'undercutter',
              'tillage',
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
          {
            key: 'allowedSpecies',
            label: 'species it allows, separated by semicolons (any if empty)',
            kind: 'text',
            width: 'w-72',
          },
        ]}
        onChange={(programmes) => change({ programmes })}
      />
    </>
  );
}

import { KeptText, NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { useOpenPlan } from '../../plan/context';
import { GROUPS } from '../../ui/GroupMark';
import { RowsField } from '../../ui/RowsField';
import { ROW, type PartProps } from './part';

/** What lives and lived there: weeds, pests, stock, crops of the past, herbicides that may still act. */
export function LifePart({ field, change, problems }: PartProps) {
  const { knowledge, us } = useOpenPlan();
  const ingredients = [...new Set((field.residuals ?? []).map((r) => r.activeIngredient))];
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
        <NumberField
          label="Nitrate nitrogen in that water"
          value={field.waterNitrateMgL}
          suffix="mg/L"
          max={200}
          onChange={(v) => change({ waterNitrateMgL: v })}
          problem={problemAt(problems, '/waterNitrateMgL')}
        />
        <SelectField
          label="Fence"
          value={field.fence ?? ''}
          empty="not entered"
          options={[
            { id: 'none', name: 'none' },
            { id: 'electric', name: 'electric' },
            { id: 'permanent', name: 'permanent' },
          ]}
          onChange={(v) => change({ fence: v || undefined })}
        />
        <QuantityField
          label="Way to where stock are kept"
          value={field.stockDistance}
          units={us ? ['mi', 'km'] : ['km', 'mi']}
          onChange={(v) => change({ stockDistance: v })}
          problem={problemAt(problems, '/stockDistance')}
        />
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
            label: 'interval to all others',
            kind: 'number',
            max: 60,
            suffix: 'months',
          },
        ]}
        onChange={(residuals) => change({ residuals })}
      />
      {ingredients.length > 0 && (
        <RowsField
          title="Intervals on the label to single plants, groups and feeding"
          one="interval"
          pointer="/residualIntervals"
          problems={problems}
          rows={field.residualIntervals}
          fresh={{ activeIngredient: ingredients[0] ?? '' }}
          columns={[
            {
              key: 'activeIngredient',
              label: 'active ingredient',
              kind: 'choice',
              options: ingredients,
              needed: true,
            },
            {
              key: 'of',
              label: 'to',
              kind: 'choice',
              options: [
                { id: 'feeding', name: 'grazing and cutting for feed' },
                ...GROUPS.map((g) => ({ id: g.id, name: `all ${g.name}s` })),
                ...knowledge.species.map((s) => ({
                  id: s.id,
                  name: s.name,
                  under: 'cover species',
                })),
                ...knowledge.crops.map((c) => ({ id: c.id, name: c.name, under: 'crops' })),
              ],
            },
            {
              key: 'months',
              label: 'months',
              kind: 'number',
              max: 60,
              suffix: 'months',
              needed: true,
            },
          ]}
          onChange={(residualIntervals) => change({ residualIntervals })}
        />
      )}
      {field.residuals === undefined && (
        <button type="button" className="btn" onClick={() => change({ residuals: [] })}>
          No residual herbicide was used
        </button>
      )}
      {field.residuals?.length === 0 && (
        <p className="text-[13.5px]">
          None was used, as entered.{' '}
          <button type="button" className="link" onClick={() => change({ residuals: undefined })}>
            take that back
          </button>
        </p>
      )}
      <div className={ROW}>
        <KeptText
          label="Plants the law lists as noxious, separated by semicolons"
          value={field.noxiousList}
          problem={problemAt(problems, '/noxiousList')}
          onChange={(v) => change({ noxiousList: v })}
        />
      </div>
      <p className="text-[12.5px] text-ink2 italic">
        Species and the weeds on seed tags are compared with this list. Etlo keeps none of its own:
        copy it from the law in force here.
      </p>
      <p className="text-[12.5px] text-ink2 italic">
        The interval is the label’s, under crop rotation restrictions; Etlo knows none of its own. A
        pass planned in the crop ahead counts too: enter it with its day.
      </p>
    </>
  );
}

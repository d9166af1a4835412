import { SoilTests } from '../../fields/SoilTests';
import { useOpenPlan } from '../../plan/context';
import { NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { RowsField } from '../../ui/RowsField';
import { SoilTable } from './SoilTable';
import { options, ROW, type PartProps } from './part';

/** The soil by layers, its drains and pan, and its tests. */
export function SoilPart({ field, change, problems }: PartProps) {
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
        <NumberField
          label={us ? 'Points over 300 psi' : 'Points over 2 MPa'}
          value={field.penetrometerPercent}
          max={100}
          suffix="%"
          onChange={(penetrometerPercent) => change({ penetrometerPercent })}
          problem={problemAt(problems, '/penetrometerPercent')}
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
      <RowsField
        title="Spade tests"
        one="layer of a spade test"
        pointer="/spadeTests"
        problems={problems}
        rows={field.spadeTests}
        fresh={{}}
        columns={[
          { key: 'on', label: 'dug on', kind: 'day', needed: true },
          { key: 'depth', label: 'down to', kind: 'quantity', units: [...short], needed: true },
          {
            key: 'score',
            label: 'score, 1 crumbles, 5 is compact',
            kind: 'number',
            max: 5,
            needed: true,
          },
        ]}
        onChange={(spadeTests) => change({ spadeTests })}
      />
      <SoilTests
        tests={field.soilTests}
        us={us}
        problems={problems}
        onChange={(soilTests) => change({ soilTests })}
      />
    </>
  );
}

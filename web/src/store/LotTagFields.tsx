import type { Problem } from '../api/client';
import { Check } from '../ui/Check';
import { RowsField } from '../ui/RowsField';
import { DateField } from '../ui/DateField';
import { NumberField, QuantityField, SelectField, TextField } from '../ui/inputs';
import type { LotPart } from './lotDraft';

/** What the tag says of a lot. */
export function LotTagFields({
  lot,
  set,
  at,
  us,
  species,
  problems,
}: LotPart & { species: { id: string; name: string }[]; problems: Problem[] }) {
  const bag = lot.parts !== undefined;
  return (
    <>
      {!bag && (
        <SelectField
          label="Species"
          value={lot.species ?? ''}
          empty="choose"
          options={species}
          onChange={(species) => set({ species })}
          problem={at('/species')}
        />
      )}
      <TextField
        label="Name of the lot"
        width="w-36"
        value={lot.label ?? ''}
        onChange={(label) => set({ label })}
        problem={at('/label')}
      />
      <Check
        className="w-full"
        checked={bag}
        onChange={(on) =>
          set(
            on
              ? { parts: [], species: species[0]?.id, purityPercent: 100, germinationPercent: 100 }
              : { parts: undefined, species: undefined },
          )
        }
      >
        a ready-made bag of several species
      </Check>
      {bag ? (
        <div className="w-full">
          <RowsField
            title="Species on the tag"
            one="species"
            pointer="/parts"
            problems={problems}
            rows={lot.parts}
            fresh={{}}
            columns={[
              {
                key: 'species',
                label: 'species',
                kind: 'choice',
                options: species,
              },
              {
                key: 'percent',
                label: 'pure seed',
                kind: 'number',
                max: 100,
                suffix: '% of the bag',
                needed: true,
              },
              {
                key: 'germinationPercent',
                label: 'germination',
                kind: 'number',
                max: 100,
                suffix: '%',
                needed: true,
              },
              { key: 'hardSeedPercent', label: 'hard seed', kind: 'number', max: 100, suffix: '%' },
            ]}
            onChange={(parts) => set({ parts: parts ?? [] })}
          />
          {at('/parts') && (
            <p role="alert" className="text-[12.5px] text-hand">
              {at('/parts')}
            </p>
          )}
        </div>
      ) : (
        <>
          <NumberField
            label="Purity"
            max={100}
            suffix="%"
            value={lot.purityPercent}
            onChange={(v) => set({ purityPercent: v })}
            problem={at('/purityPercent')}
          />
          <NumberField
            label="Germination"
            max={100}
            suffix="%"
            value={lot.germinationPercent}
            onChange={(v) => set({ germinationPercent: v })}
            problem={at('/germinationPercent')}
          />
          <NumberField
            label="Hard seed"
            max={100}
            suffix="%"
            value={lot.hardSeedPercent}
            onChange={(v) => set({ hardSeedPercent: v })}
            problem={at('/hardSeedPercent')}
          />
          <Check
            className="w-full"
            checked={lot.germinationIncludesHardSeed ?? false}
            onChange={(on) => set({ germinationIncludesHardSeed: on || undefined })}
          >
            germination on the tag includes hard seed
          </Check>
        </>
      )}
      <QuantityField
        label="Seed count on the tag"
        width="w-24"
        value={lot.seedCount}
        units={us ? ['/lb seed', '/kg seed'] : ['/kg seed', '/lb seed']}
        onChange={(q) => set({ seedCount: q })}
        problem={at('/seedCount')}
      />
      <DateField
        label="Tested"
        value={lot.testedOn}
        onChange={(d) => set({ testedOn: d || undefined })}
      />
      <NumberField
        label="Dormant"
        max={100}
        suffix="%"
        value={lot.dormantPercent}
        onChange={(v) => set({ dormantPercent: v })}
        problem={at('/dormantPercent')}
      />
      <NumberField
        label="Weed seed"
        max={100}
        suffix="%"
        value={lot.weedSeedPercent}
        onChange={(v) => set({ weedSeedPercent: v })}
        problem={at('/weedSeedPercent')}
      />
      <TextField
        label="Listed or resistant weeds on the tag"
        width="w-56"
        value={lot.noxious ?? ''}
        onChange={(v) => set({ noxious: v || undefined })}
        problem={at('/noxious')}
      />
      <button
        type="button"
        className="link text-[13px]"
        onClick={() => set({ noxious: 'none found' })}
      >
        none found
      </button>
      <TextField
        label="Treated with"
        width="w-36"
        value={lot.treatedWith ?? ''}
        onChange={(v) => set({ treatedWith: v || undefined })}
        problem={at('/treatedWith')}
      />
      <SelectField
        label="Winter hardiness"
        value={lot.hardiness ?? ''}
        empty="not said"
        options={['winter', 'intermediate', 'spring'].map((id) => ({ id, name: id }))}
        onChange={(v) => set({ hardiness: v || undefined })}
      />
      <Check checked={lot.coated ?? false} onChange={(on) => set({ coated: on || undefined })}>
        coated (its purity is net of the coat)
      </Check>
      <Check
        checked={lot.inoculated ?? false}
        onChange={(on) => set({ inoculated: on || undefined })}
      >
        comes inoculated
      </Check>
      {lot.inoculated && (
        <DateField
          label="Inoculant to be used by"
          value={lot.inoculantUseBy}
          onChange={(d) => set({ inoculantUseBy: d || undefined })}
        />
      )}
    </>
  );
}

import { Check } from '../ui/Check';
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
}: LotPart & { species: { id: string; name: string }[] }) {
  return (
    <>
      <SelectField
        label="Species"
        value={lot.species ?? ''}
        empty="choose"
        options={species}
        onChange={(species) => set({ species })}
        problem={at('/species')}
      />
      <TextField
        label="Name of the lot"
        width="w-36"
        value={lot.label ?? ''}
        onChange={(label) => set({ label })}
        problem={at('/label')}
      />
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
    </>
  );
}

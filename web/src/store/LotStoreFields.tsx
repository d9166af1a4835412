import { Check } from '../ui/Check';
import { NumberField, QuantityField, TextField } from '../ui/inputs';
import type { LotPart } from './lotDraft';

/** What a lot costs, how much of it there is and where it comes from. */
export function LotStoreFields({ lot, set, at, us }: LotPart) {
  return (
    <>
      <QuantityField
        label="Price, in the farm’s currency"
        value={lot.price}
        units={us ? ['¤/lb', '¤/ton', '¤/kg'] : ['¤/kg', '¤/t', '¤/lb']}
        currency=""
        onChange={(q) => set({ price: q })}
        problem={at('/price')}
      />
      <QuantityField
        label="Bag"
        value={lot.bagSize}
        units={us ? ['lb', 'kg'] : ['kg', 'lb']}
        onChange={(q) => set({ bagSize: q })}
        problem={at('/bagSize')}
      />
      <QuantityField
        label="In store"
        value={lot.stock}
        units={us ? ['lb', 'kg'] : ['kg', 't', 'lb']}
        onChange={(q) => set({ stock: q })}
        problem={at('/stock')}
      />
      <QuantityField
        label="Stored at"
        value={lot.storedAt}
        units={us ? ['°F', '°C'] : ['°C', '°F']}
        onChange={(q) => set({ storedAt: q })}
        problem={at('/storedAt')}
      />
      <NumberField
        label="Moisture of the seed"
        max={40}
        suffix="%"
        value={lot.moisturePercent}
        onChange={(v) => set({ moisturePercent: v })}
        problem={at('/moisturePercent')}
      />
      <Check checked={lot.ownGrown ?? false} onChange={(on) => set({ ownGrown: on || undefined })}>
        own grown
      </Check>
      {lot.ownGrown && (
        <QuantityField
          label="Cleaning and test"
          value={lot.cleaningCost}
          units={us ? ['¤/lb', '¤/ton', '¤/kg'] : ['¤/kg', '¤/t', '¤/lb']}
          currency=""
          onChange={(q) => set({ cleaningCost: q })}
          problem={at('/cleaningCost')}
        />
      )}
      <TextField
        label="Supplier"
        width="w-36"
        value={lot.supplier ?? ''}
        onChange={(v) => set({ supplier: v || undefined })}
        problem={at('/supplier')}
      />
    </>
  );
}

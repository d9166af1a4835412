import { useState } from 'react';

import type { Lot, Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { setCover } from '../plan/edit';
import { Check } from '../ui/Check';
import { GROUPS } from '../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { tidy } from '../ui/tidy';
import { CopyMix } from './mix/CopyMix';

type Mix = Schemas['MixEntry'];

const ZONES: Mix['zones'] = {
  rowWidth: { value: 75, unit: 'cm' },
  bandWidth: { value: 25, unit: 'cm' },
};
const ZONES_US: Mix['zones'] = {
  rowWidth: { value: 30, unit: 'in' },
  bandWidth: { value: 10, unit: 'in' },
};

/** How a mix is blended: by what, in which zones, with how much waste, and of which species. */
export function BlendControls({
  cover,
  mix,
  lots,
  change,
}: {
  lots: Lot[];
  cover: Schemas['CoverEntry'];
  mix: Mix;
  change: (edit: (m: Mix) => Mix) => void;
}) {
  const { session, state, knowledge, us } = useOpenPlan();
  const [next, setNext] = useState('');
  const bags = lots.filter((l) => (l.parts?.length ?? 0) > 0);
  return (
    <div className="flex flex-wrap items-end gap-4">
      <SelectField
        label="Blend by"
        value={mix.method}
        onChange={(v) => change((m) => ({ ...m, method: v }))}
        options={[
          { id: 'share', name: 'share of the full rate' },
          { id: 'density', name: 'live seeds per area' },
          { id: 'recipe', name: 'a local recipe' },
        ]}
      />
      <SelectField
        label="Sown for"
        value={cover.purpose ?? 'cover'}
        options={knowledge.purposes}
        onChange={(v) =>
          session.change((p) => setCover(p, cover.id, { purpose: v === 'cover' ? undefined : v }))
        }
      />
      <Check
        checked={mix.zones !== undefined}
        onChange={(on) =>
          change((m) => tidy({ ...m, zones: on ? (us ? ZONES_US : ZONES) : undefined }))
        }
      >
        row zones
      </Check>
      {mix.zones && (
        <>
          <QuantityField
            label="Row width"
            value={mix.zones.rowWidth}
            units={us ? ['in', 'cm'] : ['cm', 'in']}
            onChange={(q) =>
              q && change((m) => (m.zones ? { ...m, zones: { ...m.zones, rowWidth: q } } : m))
            }
          />
          <QuantityField
            label="Row zone"
            value={mix.zones.bandWidth}
            units={us ? ['in', 'cm'] : ['cm', 'in']}
            onChange={(q) =>
              q && change((m) => (m.zones ? { ...m, zones: { ...m.zones, bandWidth: q } } : m))
            }
            problem={problemAt(
              state.problems,
              `/covers/${state.plan.covers.indexOf(cover)}/mix/zones`,
            )}
          />
        </>
      )}
      {(bags.length > 0 || mix.bag) && (
        <SelectField
          label="Ready-made bag"
          value={mix.bag?.lotId ?? ''}
          empty="none"
          options={bags.map((l) => ({ id: l.id, name: l.label }))}
          onChange={(lotId) =>
            change((m) =>
              tidy({
                ...m,
                bag: lotId
                  ? {
                      lotId,
                      rate: m.bag?.rate ?? {
                        value: us ? 30 : 35,
                        unit: us ? ('lb/ac' as const) : ('kg/ha' as const),
                      },
                    }
                  : undefined,
              }),
            )
          }
        />
      )}
      {mix.bag && (
        <QuantityField
          label="of it, drilled"
          value={mix.bag.rate}
          units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
          onChange={(q) => q && change((m) => (m.bag ? { ...m, bag: { ...m.bag, rate: q } } : m))}
          problem={problemAt(state.problems, `/covers/${state.plan.covers.indexOf(cover)}/mix/bag`)}
        />
      )}
      <NumberField
        label="Waste"
        value={mix.wastePercent}
        placeholder="3"
        max={100}
        suffix="%"
        onChange={(v) => change((m) => tidy({ ...m, wastePercent: v }))}
      />
      <SelectField
        label="Species"
        value={next}
        empty="choose"
        onChange={setNext}
        options={GROUPS.flatMap((g) =>
          knowledge.species
            .filter((s) => s.group === g.id)
            .filter((s) => !mix.components.some((c) => c.species === s.id))
            .map((s) => ({ id: s.id, name: s.name, under: g.name })),
        )}
      />
      <button
        type="button"
        className="btn"
        disabled={!next}
        onClick={() => {
          change((m) => ({ ...m, components: [...m.components, { species: next }] }));
          setNext('');
        }}
      >
        Add species
      </button>
      <CopyMix own={cover.mix} onTake={(m) => change(() => m)} />
    </div>
  );
}

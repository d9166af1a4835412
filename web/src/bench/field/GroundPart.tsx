import { useState } from 'react';

import type { Field, Problem } from '../../api/client';
import { BoundaryFile } from '../../fields/Boundary';
import { useOpenPlan } from '../../plan/context';
import { newId } from '../../ui/tidy';
import { NumberField, problemAt, QuantityField, SelectField, TextField } from '../../ui/inputs';
import { RowsField } from '../../ui/RowsField';
import { ROW, type PartProps } from './part';

/** How the land lies: slope and zones. */
export function GroundPart({ field, change, problems }: PartProps) {
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

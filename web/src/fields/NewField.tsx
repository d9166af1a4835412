import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';

import { api, Refusal, taken, type Farm, type Field, type Quantity } from '../api/client';
import { DecimalSignContext, decimalSignOf } from '../ui/numbers';
import { newId, tidy } from '../ui/tidy';
import { problemAt, QuantityField, SelectField, SignedField, TextField } from '../ui/inputs';
import { BoundaryFile } from './Boundary';
import { NewForm } from './NewForm';

export function NewField({ farms }: { farms: Farm[] }) {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [farmId, setFarmId] = useState(farms[0]?.id ?? '');
  const [area, setArea] = useState<Quantity>();
  const [latitude, setLatitude] = useState<number>();
  const [boundary, setBoundary] = useState<Field['boundary']>();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const us = farms.find((f) => f.id === farmId)?.units === 'us';
  const make = useMutation({
    mutationFn: async () => {
      const id = newId('field-');
      const mine: Field = tidy({
        id,
        farmId,
        name,
        boundary,
        area: boundary ? undefined : area,
        point: boundary || latitude === undefined ? undefined : { lat: latitude, lon: 0 },
      });
      const path = { fieldId: id };
      return taken(await api.PUT('/api/fields/{fieldId}', { params: { path }, body: { mine } }));
    },
    onSuccess: async (field) => {
      setOpen(false);
      await queries.invalidateQueries({ queryKey: ['fields'] });
      void navigate(`/fields/${field.id}/field`);
    },
  });
  const problems = make.error instanceof Refusal ? make.error.problems : [];
  return (
    <NewForm
      title="New field"
      main
      open={open}
      onOpenChange={setOpen}
      make="Make the field"
      isPending={make.isPending}
      problem={problems.length === 0 ? make.error?.message : undefined}
      onMake={() => make.mutate()}
    >
      <DecimalSignContext value={decimalSignOf(us)}>
        <SelectField label="Farm" value={farmId} onChange={setFarmId} options={farms} />
        <TextField
          label="Name of the field"
          value={name}
          onChange={setName}
          problem={problemAt(problems, '/name')}
        />
        <BoundaryFile us={us} onFound={(f) => setBoundary(f.boundary)} />
        <QuantityField
          label={boundary ? 'Area (taken from the boundary)' : 'or the area'}
          value={area}
          units={us ? ['ac', 'ha'] : ['ha', 'ac']}
          onChange={setArea}
          disabled={boundary !== undefined}
          problem={problemAt(problems, '/area')}
        />
        {!boundary && (
          <SignedField
            label="Latitude, ° north (for its weather; south below 0)"
            value={latitude}
            least={-90}
            most={90}
            onChange={setLatitude}
            problem={problemAt(problems, '/point/lat')}
          />
        )}
      </DecimalSignContext>
    </NewForm>
  );
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, Refusal, taken, type Farm } from '../api/client';
import { useUnits } from '../api/units';
import { newId } from '../ui/tidy';
import { problemAt, SelectField, TextField } from '../ui/inputs';
import { NewForm } from './NewForm';

export function NewFarm() {
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [units, setUnits] = useState<Farm['units']>(useUnits());
  const [currency, setCurrency] = useState(units === 'us' ? 'USD' : 'EUR');
  const queries = useQueryClient();
  const make = useMutation({
    mutationFn: async () => {
      const id = newId('farm-');
      const mine: Farm = { id, name, units, currency: currency.toUpperCase() };
      const path = { farmId: id };
      return taken(await api.PUT('/api/farms/{farmId}', { params: { path }, body: { mine } }));
    },
    onSuccess: async () => {
      setOpen(false);
      setName('');
      await queries.invalidateQueries({ queryKey: ['farms'] });
    },
  });
  const problems = make.error instanceof Refusal ? make.error.problems : [];
  return (
    <NewForm
      title="New farm"
      open={open}
      onOpenChange={setOpen}
      make="Make the farm"
      isPending={make.isPending}
      problem={problems.length === 0 ? make.error?.message : undefined}
      onMake={() => make.mutate()}
    >
      <TextField
        label="Name of the farm"
        value={name}
        onChange={setName}
        problem={problemAt(problems, '/name')}
      />
      <SelectField
        label="Units"
        value={units}
        onChange={(v) => setUnits(v as Farm['units'])}
        options={[
          { id: 'metric', name: 'kg/ha, metric' },
          { id: 'us', name: 'lb/ac, US customary' },
        ]}
      />
      <TextField
        label="Currency, three letters"
        width="w-20"
        value={currency}
        onChange={setCurrency}
        problem={problemAt(problems, '/currency')}
      />
    </NewForm>
  );
}

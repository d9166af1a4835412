import { useMutation } from '@tanstack/react-query';

import { api, taken, type Farm } from '../api/client';
import { useOpenPlan } from './context';

/** Saves what is changed of the farm; the server brings it together with what others changed. */
export function useFarmSave() {
  const { session, farm, onFarm } = useOpenPlan();
  return useMutation({
    mutationFn: async (to: Partial<Farm>) => {
      const body = { base: farm, mine: { ...farm, ...to } };
      const path = { farmId: farm.id };
      return taken(await api.PUT('/api/farms/{farmId}', { params: { path }, body }));
    },
    onSuccess: (f) => {
      onFarm(f);
      void session.evaluate();
    },
  });
}

import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';

import { api, Refusal, taken, type Field } from '../api/client';
import { tidy } from '../plan/edit';
import { useOpenPlan } from '../plan/context';

const RETRY_MS = 3000;

/**
 * Saves what is changed of a field, one save after the other, each with all that was changed before it; a server that does
 * not answer is asked again until it does.
 */
export function useFieldSave(onField: (field: Field) => void) {
  const { session, field } = useOpenPlan();
  const latest = useRef(field);
  useEffect(() => {
    latest.current = field;
  }, [field]);
  const save = useMutation({
    scope: { id: `field ${field.id}` },
    retry: (_, e) => !(e instanceof Refusal) || e.status >= 500,
    retryDelay: RETRY_MS,
    mutationFn: async () => {
      const body = latest.current;
      return taken(await api.PUT('/api/fields/{id}', { params: { path: { id: body.id } }, body }));
    },
    onSuccess: () => void session.evaluate(),
  });
  const change = (to: Partial<Field>) => {
    latest.current = tidy({ ...latest.current, ...to });
    onField(latest.current);
    save.mutate();
  };
  return { save, change };
}

import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';

import { Refusal } from '../api/client';

/** Sends one of the forms by which people come in; afterwards they are signed in and see their fields. */
export function useEntrance(send: () => Promise<unknown>) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const enter = useMutation({
    mutationFn: send,
    onSuccess: () => {
      // an invitation just used up is not to be looked at again
      queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'invitation' });
      void navigate('/fields');
    },
  });
  const problems = enter.error instanceof Refusal ? enter.error.problems : [];
  const general =
    enter.error && problems.length === 0
      ? enter.error instanceof Refusal
        ? enter.error.message
        : 'The server does not answer. Nothing you typed is lost.'
      : '';
  return { enter, problems, general };
}

import { useQuery } from '@tanstack/react-query';

import { api, taken } from './client';

/** Who is signed in. */
export const useSession = () =>
  useQuery({
    queryKey: ['session'],
    queryFn: async () => taken(await api.GET('/api/session')),
    staleTime: 60_000,
  });

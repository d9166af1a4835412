import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { api, taken, today, type Plan, type Schemas } from '../../api/client';

export type Reach = Schemas['ReachView'];

/** Which aims a cover can reach. What is asked again while it changes shows its last answer meanwhile. */
export const useAims = (plan: Plan, coverId: string, judged: boolean) =>
  useQuery({
    enabled: judged,
    queryKey: ['aims', coverId, plan],
    gcTime: 0,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      taken(await api.POST('/api/mixes/aims', { body: { plan, asOf: today(), coverId } })),
  });

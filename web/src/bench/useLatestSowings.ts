import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { api, taken, today } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { useResting } from '../ui/useResting';

/** The latest useful sowing of a cover's species: each is grown for many days, so it is asked for once the plan rests. */
export function useLatestSowings(coverId: string | undefined) {
  const { state } = useOpenPlan();
  const plan = useResting(state.plan);
  return useQuery({
    queryKey: ['cover-latest', coverId, plan],
    enabled: coverId !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: async () =>
      taken(
        await api.POST('/api/covers/latest', {
          body: { plan, asOf: today(), coverId: coverId ?? '' },
        }),
      ),
  });
}

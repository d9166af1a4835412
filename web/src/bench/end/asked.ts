import { useQuery } from '@tanstack/react-query';

import { api, taken, today, type Plan, type Schemas } from '../../api/client';

export type Dates = Schemas['DatesView'];
export type Row = Schemas['RowView'];
export type Point = Schemas['PointView'];

/** The plan without the day on which a cover ends: the table is the same whichever it is, so a drag asks for nothing. */
const withoutDay = (plan: Plan, coverId: string) => ({
  ...plan,
  operations: plan.operations.map((o) =>
    o.kind === 'end' && o.subject === coverId ? { ...o, when: {} } : o,
  ),
});

/** What each day of ending a cover comes to: first what lives, then the ground. */
export function useEndDates(plan: Plan, coverId: string, asks: boolean) {
  const key = JSON.stringify(withoutDay(plan, coverId));
  const ask = (coarse: boolean) => ({
    queryKey: ['end-dates', coverId, coarse, key],
    gcTime: 60_000,
    staleTime: Infinity,
    retry: false,
    placeholderData: (before: Schemas['DatesAnswer'] | undefined) =>
      before?.dates?.coverId === coverId ? before : undefined,
    queryFn: async ({ signal }: { signal: AbortSignal }) =>
      taken(
        await api.POST('/api/covers/end-dates', {
          body: { plan, asOf: today(), coverId, coarse },
          signal,
        }),
      ),
  });
  const whole = useQuery({ ...ask(false), enabled: asks });
  const first = useQuery({ ...ask(true), enabled: asks && !whole.data });
  return {
    dates: whole.data?.dates ?? first.data?.dates,
    why: (whole.data ?? first.data)?.why,
    problem: whole.error ?? first.error,
    busy: whole.isFetching,
  };
}

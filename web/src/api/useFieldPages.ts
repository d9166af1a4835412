import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';

import { api, taken, type Schemas } from './client';

const PAGE = 50;
const AGAIN_MS = 2500;

export type FieldRow = Schemas['FieldRow'];
/** What the list is asked for; the server searches, filters and sorts. */
export type Wanted = { show: string; order: string; find: string };

/** The list of fields by pages; those that changed are computed in the background, so it is read again meanwhile. */
export function useFieldPages(wanted: Wanted) {
  return useInfiniteQuery({
    queryKey: ['fields', wanted],
    initialPageParam: '',
    queryFn: async ({ pageParam: after }) =>
      taken(await api.GET('/api/fields', { params: { query: { ...wanted, after, limit: PAGE } } })),
    getNextPageParam: (last) => last.next,
    placeholderData: keepPreviousData,
    refetchInterval: (query) =>
      (query.state.data?.pages.at(-1)?.pending ?? 0) > 0 ? AGAIN_MS : false,
  });
}

/** Fields whose name, farm or stand holds a text, by name: to choose from. */
export function useFieldNames(find: string, open: boolean, limit: number) {
  return useQuery({
    queryKey: ['fields', 'names', find, limit],
    enabled: open,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      taken(await api.GET('/api/fields', { params: { query: { find, order: 'name', limit } } })),
  });
}

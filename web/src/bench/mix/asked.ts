import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { api, taken, today, type Plan, type Schemas } from '../../api/client';

export type Candidate = Schemas['CandidateView'];
export type MixView = Schemas['MixView'];
export type Wishes = Schemas['WishesEntry'];

const asked = (plan: Plan, coverId: string) => ({ plan, asOf: today(), coverId });

/** Species judged for a cover. What is asked again while it changes shows its last answer meanwhile. */
export const useCandidates = (plan: Plan, coverId: string, judged: boolean) =>
  useQuery({
    enabled: judged,
    queryKey: ['candidates', coverId, plan],
    gcTime: 0,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      taken(await api.POST('/api/mixes/candidates', { body: asked(plan, coverId) })),
  });

/** What each species buys, and one more would; beside one of them alone where a base is given. */
export const useBuys = (plan: Plan, coverId: string, base: string | undefined, on: boolean) =>
  useQuery({
    queryKey: ['buys', coverId, base, plan],
    enabled: on,
    gcTime: 0,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      taken(
        await api.POST('/api/mixes/buys', {
          body: { ...asked(plan, coverId), ...(base ? { base } : {}) },
        }),
      ),
  });

export const useAlternatives = (plan: Plan, coverId: string, on: boolean) =>
  useQuery({
    queryKey: ['alternatives', coverId, plan],
    enabled: on,
    gcTime: 0,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: async () =>
      taken(await api.POST('/api/mixes/alternatives', { body: asked(plan, coverId) })),
  });

/** A mix with the shares and lots of a proposal; a lot stays where the species does. */
export function mixOf(
  shares: MixView['shares'],
  old: Schemas['MixEntry'] | undefined,
): Schemas['MixEntry'] {
  return {
    ...(old?.wastePercent === undefined ? {} : { wastePercent: old.wastePercent }),
    method: 'share',
    components: shares.map((s) => {
      const lotId = old?.components.find((c) => c.species === s.species)?.lotId ?? s.lotId;
      return { species: s.species, sharePercent: s.percent, ...(lotId ? { lotId } : {}) };
    }),
  };
}

/** The lines of a stream of JSON as they come in. */
export async function* jsonLines<T>(body: ReadableStream<Uint8Array>): AsyncGenerator<T> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split('\n');
    rest = done ? '' : (lines.pop() ?? '');
    for (const line of lines) if (line.trim()) yield JSON.parse(line) as T;
    if (done) return;
  }
}

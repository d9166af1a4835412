import { useMutation, useQuery, keepPreviousData } from '@tanstack/react-query';

import { api, taken, today, type Plan, type Schemas } from '../api/client';

export type Choice = Schemas['ReplayChoice'];
export type Ask = Schemas['Ask'];
export type DayView = Schemas['DayView'];
export type EndView = Schemas['EndView'];

export const useYears = (plan: Plan | undefined, coverId: string) =>
  useQuery({
    queryKey: ['replay-years', plan?.id, coverId],
    enabled: plan !== undefined && coverId !== '',
    retry: false,
    gcTime: 0,
    queryFn: async () =>
      taken(
        await api.POST('/api/replays/years', { body: { plan: plan!, asOf: today(), coverId } }),
      ),
  });

export interface Season {
  plan: Plan;
  coverId: string;
  year: number;
}

/** A day of a replay; the day before it stays in sight until it is there. */
export const useDay = (season: Season, day: string, choices: Choice[]) =>
  useQuery({
    queryKey: ['replay-day', season.plan.id, season.coverId, season.year, day, choices],
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
    staleTime: Infinity,
    queryFn: async ({ signal }) =>
      taken(
        await api.POST('/api/replays/days', {
          signal,
          body: { ...season, asOf: today(), day, choices },
        }),
      ),
  });

export const useEnd = (season: Season, choices: Choice[]) =>
  useMutation({
    mutationFn: async () =>
      taken(await api.POST('/api/replays/ends', { body: { ...season, asOf: today(), choices } })),
  });

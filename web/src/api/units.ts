import type { Farm } from './client';
import { useSession } from './useSession';

export type Units = Farm['units'];

/** Countries whose farms read US customary units: the United States, Liberia, Myanmar. Common knowledge. */
const CUSTOMARY = new Set(['US', 'LR', 'MM']);

/** The units that the country of this browser's language reads. */
export function ownUnits(language: string = navigator.language): Units {
  const country = /[-_]([A-Za-z]{2})\b/.exec(language)?.[1]?.toUpperCase();
  return country && CUSTOMARY.has(country) ? 'us' : 'metric';
}

/** The units the person reads where no farm is meant. */
export function useUnits(): Units {
  return useSession().data?.units ?? 'metric';
}

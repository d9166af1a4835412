import type { CatchTest } from './test';

/** A catch test saved in the yard that the server does not have yet. */
export interface Waiting {
  id: string;
  test: CatchTest;
}

const PLACE = 'etlo-catches-waiting';

/** Those that wait, the oldest first; what cannot be read is no list. */
export function waiting(): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(PLACE) ?? '[]') as Waiting[];
  } catch {
    return [];
  }
}

export const keepWaiting = (all: Waiting[]) => localStorage.setItem(PLACE, JSON.stringify(all));

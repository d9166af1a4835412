import type { Schemas } from '../api/client';

/** An entry written in the field that the server does not have yet. */
export interface WaitingEntry {
  fieldId: string;
  ref: string;
  entry: Schemas['LogSave'];
}

const PLACE = 'etlo-log-waiting';

/** Those that wait, the oldest first; what cannot be read is no list. */
export function waitingEntries(): WaitingEntry[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(PLACE) ?? '[]');
    return Array.isArray(kept) ? (kept as WaitingEntry[]) : [];
  } catch {
    return [];
  }
}

export const keepEntries = (all: WaitingEntry[]) =>
  localStorage.setItem(PLACE, JSON.stringify(all));

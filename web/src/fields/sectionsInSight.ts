import { useQuery } from '@tanstack/react-query';

import { api, taken, type Schemas } from '../api/client';

type Section = Schemas['SectionView'];

/** Rows come into sight many at a time; so many pictures are asked for at once. */
const AT_ONCE = 30;
const GATHER_MS = 30;

type Waiting = {
  fieldId: string;
  done: (s: Section | null) => void;
  fail: (e: unknown) => void;
};

let waiting: Waiting[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;

async function fetchWaiting() {
  timer = undefined;
  const batch = waiting.slice(0, AT_ONCE);
  waiting = waiting.slice(AT_ONCE);
  if (waiting.length > 0) timer = setTimeout(() => void fetchWaiting(), 0);
  try {
    const field = [...new Set(batch.map((w) => w.fieldId))];
    const found = taken(await api.GET('/api/field-sections', { params: { query: { field } } }));
    batch.forEach((w) => w.done(found[w.fieldId] ?? null));
  } catch (e) {
    batch.forEach((w) => w.fail(e));
  }
}

/** The picture of one field, asked for together with those of the rows beside it. */
export function sectionOf(fieldId: string): Promise<Section | null> {
  return new Promise((done, fail) => {
    waiting.push({ fieldId, done, fail });
    timer ??= setTimeout(() => void fetchWaiting(), GATHER_MS);
  });
}

/** The picture of a row in sight; read again when the row's state has changed, the old one stays meanwhile. */
export function useSectionInSight(fieldId: string, state: string) {
  return useQuery({
    queryKey: ['section', fieldId, state],
    queryFn: () => sectionOf(fieldId),
    staleTime: Infinity,
    gcTime: 5 * 60_000,
    placeholderData: (old) => old,
  });
}

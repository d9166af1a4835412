import { useEffect, useRef, useState } from 'react';

import { api, taken, today, type Schemas } from '../api/client';
import type { Choice, Season } from './api';

type Judged = Schemas['Judged'];
export type Tried = Schemas['Tried'];

export const keyOf = (j: { kind: string; subject: string }) => `${j.kind} ${j.subject}`;

/** What other days would have given, asked for one thing after the other, so that it shows how far it is and can be stopped. */
export function useOtherDays(season: Season, choices: Choice[], judged: Judged[]) {
  const [found, setFound] = useState<Record<string, Tried[]>>({});
  const [failed, setFailed] = useState<Error>();
  const [running, setRunning] = useState(true);
  /** Not asked for again when it goes on. */
  const had = useRef(new Set<string>());
  useEffect(() => {
    if (!running) return;
    const stop = new AbortController();
    const ask = async () => {
      for (const j of judged.filter((one) => !had.current.has(keyOf(one)))) {
        const { kind, subject } = j;
        const { tried } = taken(
          await api.POST('/api/replays/other-days', {
            signal: stop.signal,
            body: { ...season, asOf: today(), choices, kind, subject },
          }),
        );
        if (stop.signal.aborted) return;
        had.current.add(keyOf(j));
        setFound((f) => ({ ...f, [keyOf(j)]: tried }));
      }
    };
    ask().catch((e: unknown) => {
      if (stop.signal.aborted) return;
      setFailed(e instanceof Error ? e : new Error(String(e)));
      setRunning(false);
    });
    return () => stop.abort();
  }, [season, choices, judged, running]);
  return {
    found,
    failed,
    running,
    stop: () => setRunning(false),
    goOn: () => {
      setFailed(undefined);
      setRunning(true);
    },
  };
}

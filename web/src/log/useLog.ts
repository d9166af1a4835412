import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';

import { api, Refusal, taken, type Problem, type Schemas } from '../api/client';
import { newId } from '../ui/tidy';
import { keepEntries, waitingEntries, type WaitingEntry } from './waiting';

type Entry = Schemas['LogSave'];

/**
 * The log of a field. An entry is kept on this device before it is sent and until the server has it, under a name of its own, so that it
 * is written down once however often it is sent.
 */
export function useLog(fieldId: string, onWritten: () => void) {
  const queries = useQueryClient();
  const log = useQuery({
    queryKey: ['log', fieldId],
    queryFn: async () =>
      taken(await api.GET('/api/fields/{fieldId}/log', { params: { path: { fieldId } } })),
  });
  const [waiting, setWaiting] = useState(waitingEntries);
  const [problems, setProblems] = useState<Problem[]>();
  const keep = useCallback((all: WaitingEntry[]) => {
    keepEntries(all);
    setWaiting(all);
  }, []);
  /** Refs that the server refused. */
  const send = useCallback(async (): Promise<string[]> => {
    let sent = false;
    const refused: string[] = [];
    for (const w of waitingEntries()) {
      try {
        taken(
          await api.PUT('/api/fields/{fieldId}/log/{ref}', {
            params: { path: { fieldId: w.fieldId, ref: w.ref } },
            body: w.entry,
          }),
        );
        sent = true;
      } catch (e) {
        if (!(e instanceof Refusal) || e.passing) break;
        // what the server refuses would be refused again: it goes back to whoever typed it
        refused.push(w.ref);
        setProblems(e.problems.length > 0 ? e.problems : [{ pointer: '', message: e.message }]);
      }
      keep(waitingEntries().filter((k) => k.ref !== w.ref));
    }
    if (sent) {
      await queries.invalidateQueries({ queryKey: ['log'] });
      onWritten();
    }
    return refused;
  }, [keep, queries, onWritten]);
  useEffect(() => {
    const start = () => void send();
    if (waitingEntries().length > 0) start();
    window.addEventListener('online', start);
    return () => window.removeEventListener('online', start);
  }, [send]);
  /** Whether it is written down, or kept here until it can be; not when the server refused it. */
  const write = async (entry: Entry): Promise<boolean> => {
    setProblems(undefined);
    const ref = newId('e');
    keep([...waitingEntries(), { fieldId, ref, entry }]);
    return !(await send()).includes(ref);
  };
  return {
    entries: log.data ?? [],
    unread: log.isError,
    waiting: waiting.filter((w) => w.fieldId === fieldId),
    problems,
    write,
  };
}

import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

import { api, Refusal, taken } from '../api/client';
import { keepWaiting, waiting } from './waiting';

/** Sends what was saved without a connection, oldest first, when the page opens and when the connection is back. */
export function useSendWaiting() {
  const queries = useQueryClient();
  useEffect(() => {
    let busy = false;
    const send = async () => {
      if (busy) return;
      busy = true;
      try {
        for (let first = waiting()[0]; first; first = waiting()[0]) {
          const { id, test } = first;
          try {
            taken(
              await api.PUT('/api/calibrations/{catchId}', {
                params: { path: { catchId: id } },
                body: test,
              }),
            );
          } catch (e) {
            // what the server refuses would be refused again; what it did not get waits
            if (!(e instanceof Refusal) || e.passing) return;
          }
          keepWaiting(waiting().filter((w) => w.id !== id));
          await queries.invalidateQueries({ queryKey: ['calibrations'] });
        }
      } finally {
        busy = false;
      }
    };
    const start = () => void send();
    start();
    window.addEventListener('online', start);
    return () => window.removeEventListener('online', start);
  }, [queries]);
}

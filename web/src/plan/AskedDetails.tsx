import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';

import type { Plan } from '../api/client';
import { useOpenPlan } from './context';

/** Something about a cover that costs the server some work: asked for when it is opened, and again when the plan changes. */
export function AskedDetails<T>({
  name,
  title,
  aside,
  waits,
  coverId,
  ask,
  children,
}: {
  /** Keeps its answers apart from others. */
  name: string;
  title: string;
  aside: string;
  /** Said while the first answer is on its way. */
  waits: string;
  coverId: string;
  ask: (plan: Plan, signal: AbortSignal) => Promise<T>;
  children: (answer: T) => ReactNode;
}) {
  const { state } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const asked = useQuery({
    queryKey: [name, coverId, state.plan],
    enabled: open,
    gcTime: 0,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => ask(state.plan, signal),
  });
  return (
    <details className="mt-4" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-[15px] font-bold">
        {title} <i className="text-[13px] font-medium text-ink2">{aside}</i>
      </summary>
      {asked.error && <p role="status">{asked.error.message}</p>}
      {asked.isPending && <p className="italic">{waits}</p>}
      {asked.data !== undefined && children(asked.data)}
    </details>
  );
}

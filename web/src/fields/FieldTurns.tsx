import { useQuery } from '@tanstack/react-query';
import { Collapsible } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';

import { api, taken, type Schemas } from '../api/client';
import { spokenDate } from '../ui/days';

type Turn = Schemas['Turn'];

const LISTS = [
  { key: 'dry', title: 'Dry spring: end first', step: 'end' },
  { key: 'wet', title: 'Wet spring: plant first', step: 'plant' },
  { key: 'graze', title: 'Stock go first to', step: 'end' },
] as const;

const FIRST = 10;

function Turns({ title, step, turns }: { title: string; step: string; turns: Turn[] }) {
  const [all, setAll] = useState(false);
  return (
    <section aria-label={title} className="min-w-0">
      <h3 className="font-bold">{title}</h3>
      {turns.length === 0 ? (
        <p className="text-[13px] text-ink2 italic">no field with such a cover ahead</p>
      ) : (
        <ol className="list-decimal pl-5 text-[13.5px]">
          {(all ? turns : turns.slice(0, FIRST)).map((t) => (
            <li key={t.fieldId} className="py-0.5">
              <Link
                className="link inline-block min-h-6 font-bold"
                to={`/fields/${t.fieldId}/${step}`}
              >
                {t.field}
              </Link>
              , {spokenDate(t.on)}: {t.why} <span className="text-ink2">({t.cover})</span>
            </li>
          ))}
        </ol>
      )}
      {turns.length > FIRST && !all && (
        <button type="button" className="link text-[13px]" onClick={() => setAll(true)}>
          all {turns.length}
        </button>
      )}
    </section>
  );
}

/** Which field first, across the practice; read when it is opened. */
export function FieldTurns({ pending }: { pending: number }) {
  const [open, setOpen] = useState(false);
  const turns = useQuery({
    queryKey: ['field-turns', pending],
    queryFn: async () => taken(await api.GET('/api/field-turns')),
    enabled: open,
    placeholderData: (before) => before,
  });
  return (
    <Collapsible.Root open={open} onOpenChange={setOpen} className="mb-2">
      <Collapsible.Trigger className="btn">
        {open ? 'Hide which field first' : 'Which field first'}
      </Collapsible.Trigger>
      <Collapsible.Content className="mt-2">
        {turns.isError && (
          <p role="alert" className="text-hand">
            The order could not be read.
          </p>
        )}
        {turns.data && (
          <>
            <div className="grid gap-x-6 gap-y-3 min-[900px]:grid-cols-3">
              {LISTS.map((l) => (
                <Turns key={l.key} title={l.title} step={l.step} turns={turns.data[l.key]} />
              ))}
            </div>
            <p className="mt-2 text-[13px] text-ink2 italic">
              By each field&apos;s simulation. In a wet spring a living cover dries the ground: end
              the thirstiest last.
            </p>
          </>
        )}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}

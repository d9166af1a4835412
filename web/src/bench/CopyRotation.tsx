import { useMutation } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';

import { api, taken } from '../api/client';
import { useFieldNames } from '../api/useFieldPages';
import { useOpenPlan } from '../plan/context';
import { Panel } from '../ui/Panel';
import { Check } from '../ui/Check';

/** More fields than this are found by name. */
const MOST_LISTED = 200;

/** Takes the rotation to other fields of the practice. */
export function CopyRotation() {
  const { session, state, field } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<string[]>([]);
  const [find, setFind] = useState('');
  const fields = useFieldNames(useDeferredValue(find.trim()), open, MOST_LISTED);
  const copy = useMutation({
    mutationFn: async (requestId: string) => {
      await session.flush();
      return taken(
        await api.POST('/api/plans/{planId}/fields', {
          params: {
            path: { planId: state.plan.id },
            header: { 'X-Request-Id': requestId },
          },
          body: { fieldIds: chosen },
        }),
      );
    },
    retry: 1,
  });
  const shown = fields.data?.fields.filter((f) => f.fieldId !== field.id);
  const more = (fields.data?.matching ?? 0) > MOST_LISTED;
  return (
    <Panel
      title="Take this rotation to other fields"
      open={open}
      onOpenChange={(o) => {
        setOpen(o);
        setChosen([]);
        copy.reset();
      }}
      trigger={
        <button type="button" className="btn" disabled={state.plan.crops.length === 0}>
          Copy to other fields
        </button>
      }
    >
      {copy.data ? (
        <ul>
          {copy.data.map((c) => (
            <li key={c.fieldId} className="py-1">
              <Link
                className="link"
                to={`/fields/${c.fieldId}/rotation${c.current ? '' : `?plan=${c.planId}`}`}
                reloadDocument
              >
                {c.fieldName}
              </Link>{' '}
              <span className="text-ink2 italic">
                {c.current ? 'is planned so now' : 'has it as a copy beside its own plan'}
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <>
          <p className="text-[13.5px] text-ink2">
            Into the plan where nothing is planned yet, as a copy beside it elsewhere. Seed lots and
            weighed stands stay here.
          </p>
          <label className="mt-2 block text-[13px] text-ink2" htmlFor="copy-find">
            Find a field or farm
          </label>
          <input id="copy-find" value={find} onChange={(e) => setFind(e.target.value)} />
          <ul className="my-2 max-h-72 overflow-y-auto">
            {shown?.map((f) => (
              <li key={f.fieldId}>
                <Check
                  checked={chosen.includes(f.fieldId)}
                  onChange={(on) =>
                    setChosen((now) =>
                      on ? [...now, f.fieldId] : now.filter((id) => id !== f.fieldId),
                    )
                  }
                >
                  {f.name} <span className="text-[13px] text-ink2 italic">{f.farmName}</span>
                </Check>
              </li>
            ))}
          </ul>
          {more && (
            <p className="text-[13px] text-ink2 italic">
              The first {MOST_LISTED} are listed; type a name to find others.
            </p>
          )}
          {copy.error && (
            <p role="alert" className="text-hand">
              Not copied: {copy.error.message}
            </p>
          )}
          <button
            type="button"
            className="btn btn-main"
            disabled={chosen.length === 0 || copy.isPending}
            onClick={() => copy.mutate(crypto.randomUUID())}
          >
            Copy to {chosen.length === 1 ? '1 field' : `${chosen.length} fields`}
          </button>
        </>
      )}
    </Panel>
  );
}

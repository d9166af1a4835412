import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';

import { useSession } from '../api/useSession';
import { api, taken } from '../api/client';
import { SelectField } from '../ui/inputs';
import { Panel } from '../ui/Panel';
import { Sure } from '../ui/Sure';
import { useOpenPlan } from './context';

/** Makes another plan of the field out of the one in hand, to change and to compare. */
function NewCopy({ made }: { made: (planId: string) => void }) {
  const { session } = useOpenPlan();
  const [open, setOpen] = useState(false);
  const [label, setLabel] = useState('');
  const copy = useMutation({
    mutationFn: () => session.copied(label.trim()),
    onSuccess: (id) => {
      setOpen(false);
      setLabel('');
      made(id);
    },
  });
  return (
    <Panel
      title="Copy this plan"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button type="button" className="link">
          copy this plan
        </button>
      }
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (label.trim()) copy.mutate();
        }}
      >
        <p className="mb-2 text-[13.5px]">
          The copy is saved next to this plan. Change it, then compare the two.
        </p>
        <label htmlFor="copy-label" className="block text-[13px] text-ink2">
          What is tried in it
        </label>
        <input
          id="copy-label"
          className="w-full"
          value={label}
          maxLength={120}
          required
          placeholder="ended two weeks later"
          onChange={(e) => setLabel(e.target.value)}
        />
        {copy.error && (
          <p role="alert" className="mt-1 text-hand">
            No copy was made: {copy.error.message}
          </p>
        )}
        <button type="submit" className="btn btn-main mt-3" disabled={copy.isPending}>
          Make the copy
        </button>
      </form>
    </Panel>
  );
}

/** The plans of the field, where it has more than one: its own, and the copies beside it. */
export function Copies() {
  const { session, state, field } = useOpenPlan();
  const who = useSession();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [removing, setRemoving] = useState(false);
  const plans = useQuery({
    queryKey: ['plans-of', field.id],
    queryFn: async () =>
      taken(
        await api.GET('/api/fields/{fieldId}/plans', { params: { path: { fieldId: field.id } } }),
      ),
  });
  const open = async (planId?: string) => {
    await session.flush();
    await queries.invalidateQueries({ queryKey: ['plans-of', field.id] });
    void navigate(planId ? `?plan=${planId}` : '?');
  };
  const path = { planId: state.plan.id };
  const make = useMutation({
    mutationFn: async () =>
      taken(await api.POST('/api/plans/{planId}/current', { params: { path } })),
    onSuccess: () => open(),
  });
  const remove = useMutation({
    mutationFn: async () => taken(await api.DELETE('/api/plans/{planId}', { params: { path } })),
    onSuccess: () => {
      setRemoving(false);
      return open();
    },
  });
  const several = (plans.data?.length ?? 0) > 1;
  const compare = [plans.data?.find((p) => p.current)?.id ?? '', state.plan.id];
  return (
    <span className="flex flex-wrap items-center gap-3 text-[13.5px]">
      <NewCopy made={(id) => void open(id)} />
      {several && (
        <>
          <SelectField
            hideLabel
            label="Plan"
            value={state.plan.id}
            onChange={(id) =>
              void open(plans.data?.find((p) => p.id === id)?.current ? undefined : id)
            }
            options={(plans.data ?? []).map((p) => ({
              id: p.id,
              name: p.current ? 'the field’s own plan' : `copy: ${p.label}`,
            }))}
          />
          <Link
            className="link"
            to={`/fields/${field.id}/compared${state.current ? '' : `?${compare.map((id) => `plan=${id}`).join('&')}&from=${state.plan.id}`}`}
          >
            compare
          </Link>
        </>
      )}
      {!state.current && (
        <>
          <button type="button" className="link" onClick={() => make.mutate()}>
            make it the field’s own
          </button>
          {who.data?.role === 'adviser' && (
            <button type="button" className="link" onClick={() => setRemoving(true)}>
              remove the copy
            </button>
          )}
        </>
      )}
      {make.error && (
        <span role="alert" className="text-hand">
          {make.error.message}
        </span>
      )}
      <Sure
        title="Remove this copy"
        doing="Remove it"
        open={removing}
        pending={remove.isPending}
        error={remove.error}
        onSure={() => remove.mutate()}
        onClose={() => setRemoving(false)}
      >
        {plans.data?.find((p) => p.id === state.plan.id)?.label ?? 'The copy'}: it goes with its
        history and cannot be brought back. Seed that it holds goes back to the store. The field’s
        own plan stays as it is.
      </Sure>
    </span>
  );
}

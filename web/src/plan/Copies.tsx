import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';

import { useSession } from '../account/useSession';
import { api, taken } from '../api/client';
import { SelectField } from '../ui/inputs';
import { useOpenPlan } from './context';

/** The plans of the field, where it has more than one: its own, and the copies beside it. */
export function Copies() {
  const { session, state, field } = useOpenPlan();
  const who = useSession();
  const queries = useQueryClient();
  const navigate = useNavigate();
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
    onSuccess: () => open(),
  });
  const failed = make.error ?? remove.error;
  if ((plans.data?.length ?? 0) < 2) return null;
  return (
    <span className="flex flex-wrap items-center gap-3 text-[13.5px]">
      <SelectField
        hideLabel
        label="Plan"
        value={state.plan.id}
        onChange={(id) => void open(plans.data?.find((p) => p.id === id)?.current ? undefined : id)}
        options={(plans.data ?? []).map((p) => ({
          id: p.id,
          name: p.current ? 'the field’s own plan' : `copy: ${p.label}`,
        }))}
      />
      {!state.current && (
        <>
          <button type="button" className="link" onClick={() => make.mutate()}>
            make it the field’s own
          </button>
          {who.data?.role === 'adviser' && (
            <button type="button" className="link" onClick={() => remove.mutate()}>
              remove the copy
            </button>
          )}
        </>
      )}
      {failed && (
        <span role="alert" className="text-hand">
          {failed.message}
        </span>
      )}
    </span>
  );
}

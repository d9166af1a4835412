import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';

import { api, taken, type Schemas } from '../../api/client';
import { useSession } from '../../api/useSession';
import { useFieldNames } from '../../api/useFieldPages';
import { newId } from '../../ui/tidy';
import { useOpenPlan } from '../../plan/context';
import { SelectField, TextField } from '../../ui/inputs';
import { Panel } from '../../ui/Panel';
import { Sure } from '../../ui/Sure';

type Mix = Schemas['MixEntry'];

/** More fields than this are found by name. */
const MOST_LISTED = 200;

/** A mix as another field may take it: its lots stay where they are. */
export const withoutLots = (mix: Mix): Mix => ({
  ...mix,
  components: mix.components.map((c) => {
    const rest = { ...c };
    delete rest.lotId;
    return rest;
  }),
});

/** Takes the mix of a cover of another field, or one that the practice keeps by name; keeps the one in hand. */
export function CopyMix({ own, onTake }: { own: Mix | undefined; onTake: (mix: Mix) => void }) {
  const { field, knowledge } = useOpenPlan();
  const who = useSession();
  const [open, setOpen] = useState(false);
  const [from, setFrom] = useState('');
  const [name, setName] = useState('');
  const queries = useQueryClient();
  const kept = useQuery({
    queryKey: ['kept mixes'],
    enabled: open,
    queryFn: async () => taken(await api.GET('/api/kept-mixes')),
  });
  const keep = useMutation({
    mutationFn: async (mix: Mix) => {
      const id = newId('m-');
      taken(
        await api.PUT('/api/kept-mixes/{mixId}', {
          params: { path: { mixId: id } },
          body: { id, name, mix: withoutLots(mix) },
        }),
      );
    },
    onSuccess: async () => {
      setName('');
      await queries.invalidateQueries({ queryKey: ['kept mixes'] });
    },
  });
  const [removing, setRemoving] = useState<{ id: string; name: string }>();
  const remove = useMutation({
    mutationFn: async (id: string) =>
      taken(await api.DELETE('/api/kept-mixes/{mixId}', { params: { path: { mixId: id } } })),
    onSuccess: () => {
      setRemoving(undefined);
      return queries.invalidateQueries({ queryKey: ['kept mixes'] });
    },
  });
  const take = (mix: Mix) => {
    onTake(withoutLots(mix));
    setOpen(false);
  };
  const [find, setFind] = useState('');
  const fields = useFieldNames(useDeferredValue(find.trim()), open, MOST_LISTED);
  const plan = useQuery({
    queryKey: ['mixes of', from],
    enabled: open && from !== '',
    queryFn: async () =>
      taken(await api.GET('/api/fields/{fieldId}/plan', { params: { path: { fieldId: from } } }))
        .plan,
  });
  const named = (m: Mix) =>
    m.components
      .map((c) => {
        const name = knowledge.species.find((s) => s.id === c.species)?.name ?? c.species;
        return c.sharePercent === undefined ? name : `${name} ${c.sharePercent} %`;
      })
      .join(', ');
  const covers = (plan.data?.covers ?? []).filter((c) => (c.mix?.components.length ?? 0) > 0);
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Mixes
      </button>
      <Panel title="Mixes of the practice" open={open} onOpenChange={setOpen}>
        <h3 className="font-bold">Kept by name</h3>
        <ul>
          {kept.data?.length === 0 && <li className="text-ink2 italic">none yet</li>}
          {kept.data?.map((k) => (
            <li key={k.id} className="border-b border-rule2 py-1">
              <b>{k.name}</b>: {named(k.mix)}
              <span className="flex gap-4">
                <button type="button" className="link text-[13.5px]" onClick={() => take(k.mix)}>
                  take this mix
                </button>
                {who.data?.role === 'adviser' && (
                  <button
                    type="button"
                    className="link text-[13.5px]"
                    aria-label={`Remove ${k.name}`}
                    onClick={() => setRemoving(k)}
                  >
                    remove
                  </button>
                )}
              </span>
            </li>
          ))}
        </ul>
        {own && own.components.length > 0 && (
          <div className="mt-2 mb-4 flex items-end gap-2">
            <TextField label="Save the current mix as" value={name} onChange={setName} />
            <button
              type="button"
              className="btn"
              disabled={!name.trim() || keep.isPending}
              onClick={() => keep.mutate(own)}
            >
              Save
            </button>
          </div>
        )}
        {keep.error && (
          <p role="alert" className="text-hand">
            {keep.error.message}
          </p>
        )}
        <h3 className="font-bold">From another field</h3>
        {((fields.data?.total ?? 0) > MOST_LISTED || find) && (
          <TextField label="Find a field or farm" value={find} onChange={setFind} />
        )}
        <SelectField
          label="Field"
          value={from}
          empty="choose"
          options={(fields.data?.fields ?? [])
            .filter((f) => f.fieldId !== field.id)
            .map((f) => ({ id: f.fieldId, name: f.name, under: f.farmName }))}
          onChange={setFrom}
        />
        {plan.isFetching && <p className="mt-2 italic">reading its plan</p>}
        {plan.isError && <p role="alert">{plan.error.message}</p>}
        {plan.data && covers.length === 0 && (
          <p className="mt-2 text-ink2 italic">No cover of that field has a mix.</p>
        )}
        <ul className="mt-2">
          {covers.map((c) => (
            <li key={c.id} className="border-b border-rule2 py-1">
              <p>{c.mix && named(c.mix)}</p>
              <button
                type="button"
                className="link text-[13.5px]"
                onClick={() => c.mix && take(c.mix)}
              >
                take this mix
              </button>
            </li>
          ))}
        </ul>
      </Panel>
      <Sure
        title={`Remove ${removing?.name ?? ''}`}
        doing="Remove it"
        open={removing !== undefined}
        pending={remove.isPending}
        error={remove.error}
        onSure={() => removing && remove.mutate(removing.id)}
        onClose={() => setRemoving(undefined)}
      >
        The mix is no longer kept by this name. Plans that took it stay as they are.
      </Sure>
    </>
  );
}

import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';

import { api, Refusal, taken, type Lot } from '../api/client';
import { useUnits } from '../api/units';
import { problemAt } from '../ui/inputs';
import { tidy } from '../ui/tidy';
import { LotConflict } from './LotConflict';
import { LOT, type LotDraft } from './lotDraft';
import { LotStoreFields } from './LotStoreFields';
import { LotTagFields } from './LotTagFields';

/** A seed lot, typed from its tag. */
export function LotForm({
  draft,
  kept,
  onDone,
}: {
  draft: LotDraft;
  kept?: Lot;
  onDone: () => void;
}) {
  const form = useForm<LotDraft>({ defaultValues: draft, resolver: zodResolver(LOT) as never });
  const [base, setBase] = useState(kept);
  const us = useUnits() === 'us';
  const queries = useQueryClient();
  const knowledge = useQuery({
    queryKey: ['knowledge'],
    queryFn: async () => taken(await api.GET('/api/knowledge')),
    staleTime: Infinity,
  });
  const save = useMutation({
    mutationFn: async (mine: Lot) =>
      taken(
        await api.PUT('/api/lots/{lotId}', {
          params: { path: { lotId: mine.id } },
          body: { base, mine },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['lots'] });
      await queries.invalidateQueries({ queryKey: ['seed'] });
      onDone();
    },
  });
  const problems = save.error instanceof Refusal ? save.error.problems : [];
  const met = save.error instanceof Refusal && save.error.status === 409 ? save.error : undefined;
  const now = met?.body.current as Lot | undefined;
  const lot = useWatch({ control: form.control }) as LotDraft;
  const errors = form.formState.errors as Record<string, { message?: string } | undefined>;
  const part = {
    lot,
    us,
    at: (pointer: string) => errors[pointer.slice(1)]?.message ?? problemAt(problems, pointer),
    set: (change: Partial<Lot>) =>
      Object.entries(change).forEach(([k, v]) =>
        form.setValue(k as keyof LotDraft, v, {
          shouldValidate: form.formState.isSubmitted,
        }),
      ),
  };
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void form.handleSubmit((typed) => save.mutate(tidy(typed) as Lot))();
      }}
    >
      <LotTagFields {...part} species={knowledge.data?.species ?? []} problems={problems} />
      <LotStoreFields {...part} />
      {met && (
        <LotConflict
          met={met}
          onMine={() => {
            setBase(now);
            save.reset();
          }}
          onTheirs={() => {
            void queries.invalidateQueries({ queryKey: ['lots'] });
            onDone();
          }}
        />
      )}
      {save.error && problems.length === 0 && !met && (
        <p role="alert" className="w-full text-hand">
          {save.error.message}
        </p>
      )}
      <button type="submit" className="btn btn-main" disabled={save.isPending}>
        Save the lot
      </button>
    </form>
  );
}

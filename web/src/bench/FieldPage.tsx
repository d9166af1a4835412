import { useQuery } from '@tanstack/react-query';
import { useParams, useSearchParams } from 'react-router';

import { useSession } from '../api/useSession';

import { api, Refusal, taken } from '../api/client';
import { TopBar } from '../app/TopBar';
import { FieldBench } from './FieldBench';

/** Loads what one field's page needs, then opens its plan. */
export function FieldPage() {
  const { fieldId = '' } = useParams();
  const [search] = useSearchParams();
  const copy = search.get('plan');
  const who = useSession().data?.email ?? '';
  const loaded = useQuery({
    queryKey: ['open-plan', fieldId, copy],
    gcTime: 0,
    staleTime: Infinity,
    retry: false,
    queryFn: async () => {
      const [saved, field, farms, knowledge, lots] = await Promise.all([
        copy
          ? api.GET('/api/plans/{planId}', { params: { path: { planId: copy } } }).then(taken)
          : api.GET('/api/fields/{fieldId}/plan', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/fields/{fieldId}', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/farms').then(taken),
        api.GET('/api/knowledge').then(taken),
        api.GET('/api/lots').then(taken),
      ]);
      return { saved, field, farms, knowledge, lots };
    },
  });
  if (loaded.isPending) {
    return (
      <>
        <TopBar />
        <main className="p-6 italic">opening the field</main>
      </>
    );
  }
  if (loaded.isError) {
    const gone = loaded.error instanceof Refusal && loaded.error.status === 404;
    return (
      <>
        <TopBar />
        <main className="p-6">
          <p role="alert">
            {gone
              ? 'There is no such field or plan in this practice.'
              : 'The field could not be opened.'}
          </p>
          <button type="button" className="btn mt-3" onClick={() => void loaded.refetch()}>
            Try again
          </button>
        </main>
      </>
    );
  }
  return (
    <FieldBench key={`${fieldId} ${loaded.data.saved.plan.id}`} loaded={loaded.data} who={who} />
  );
}

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';

import { api, Refusal, taken, today, type Schemas } from '../api/client';
import { useUnits } from '../api/units';
import { massUnit, seedMass } from '../ui/mass';
import { Stack } from '../ui/Stack';
import { spokenDate } from '../ui/days';

type Need = Schemas['NeedView'];

export const useSeed = () =>
  useQuery({
    queryKey: ['seed'],
    queryFn: async () => taken(await api.GET('/api/seed')),
    // fields that changed all at once are evaluated a share at each reading
    refetchInterval: (query) => ((query.state.data?.pending ?? 0) > 0 ? 400 : false),
  });

/** The mix of the cover a need is of. */
const mixOf = (n: Need) =>
  `/fields/${n.fieldId}/mix${n.need.cropId ? `?crop=${n.need.cropId}` : ''}`;

/** The needs of a cover together, the soonest cover first. */
export function byCover(needs: Need[]): Need[][] {
  const covers = new Map<string, Need[]>();
  for (const n of needs) {
    const key = `${n.need.planId}/${n.need.coverId}`;
    covers.set(key, [...(covers.get(key) ?? []), n]);
  }
  return [...covers.values()].sort((a, b) =>
    (a[0]?.need.neededBy ?? '9').localeCompare(b[0]?.need.neededBy ?? '9'),
  );
}

function CoverNeeds({ needs, lotName }: { needs: Need[]; lotName: (id: string) => string }) {
  const queries = useQueryClient();
  const units = useUnits();
  const first = needs[0]!;
  const path = { planId: first.need.planId, coverId: first.need.coverId };
  const again = { onSettled: () => queries.invalidateQueries({ queryKey: ['seed'] }) };
  const hold = useMutation({
    mutationFn: async () =>
      taken(
        await api.PUT('/api/plans/{planId}/covers/{coverId}/seed', {
          params: { path, query: { asOf: today() } },
        }),
      ),
    ...again,
  });
  const release = useMutation({
    mutationFn: async () =>
      taken(await api.DELETE('/api/plans/{planId}/covers/{coverId}/seed', { params: { path } })),
    ...again,
  });
  const named = needs.some((n) => n.need.lotId !== undefined);
  const held = needs.some((n) => n.heldKg > 0);
  const short = needs.some((n) => n.need.kilograms - n.heldKg > 0.05);
  const problems = hold.error instanceof Refusal ? hold.error.problems : [];
  return (
    <tbody className="border-b border-rule">
      {needs.map((n, i) => (
        <tr key={n.need.species}>
          {i === 0 && (
            <th
              scope="rowgroup"
              rowSpan={needs.length}
              className="py-1 pr-4 text-left align-top font-medium"
            >
              <Link className="link font-bold" to={mixOf(n)}>
                {n.fieldName}
              </Link>
              , {n.need.coverName}
              <span className="fig block text-[12.5px] text-ink2">
                {n.need.neededBy
                  ? `in the yard by ${spokenDate(n.need.neededBy)}`
                  : 'sowing not dated'}
              </span>
            </th>
          )}
          <td>
            {n.need.speciesName}
            {n.need.stopped && (
              <span role="note" className="block max-w-80 text-[12.5px] text-hand">
                Not yet: {n.need.stopped}
              </span>
            )}
          </td>
          <td>
            {n.need.lotId ? lotName(n.need.lotId) : <i className="text-ink2">no lot chosen</i>}
          </td>
          <td className="fig text-right">{seedMass(n.need.kilograms, units)}</td>
          <td className="fig text-right">{n.heldKg > 0 ? seedMass(n.heldKg, units) : '–'}</td>
          {i === 0 && (
            <td rowSpan={needs.length} className="pl-4 text-right align-top whitespace-nowrap">
              {short && !named && (
                <Link className="link text-[13px]" to={mixOf(first)}>
                  choose lots first
                </Link>
              )}
              {short && named && (
                <button
                  type="button"
                  className="btn"
                  disabled={hold.isPending}
                  aria-label={`Hold seed for ${n.fieldName}`}
                  onClick={() => hold.mutate()}
                >
                  Hold seed
                </button>
              )}{' '}
              {held && (
                <button
                  type="button"
                  className="link text-[13px]"
                  aria-label={`Release the seed for ${n.fieldName}`}
                  onClick={() => release.mutate()}
                >
                  release
                </button>
              )}
              {hold.error && (
                <span
                  role="alert"
                  className="block max-w-64 text-[12.5px] whitespace-normal text-hand"
                >
                  {problems.map((p) => p.message).join('; ') || hold.error.message}
                </span>
              )}
            </td>
          )}
        </tr>
      ))}
    </tbody>
  );
}

/** What all fields still need, what their covers hold, and what must be bought. */
export function SeedNeeds({ lotName }: { lotName: (id: string) => string }) {
  const seed = useSeed();
  const units = useUnits();
  if (!seed.data) return seed.isPending ? <p className="italic">loading the seed</p> : null;
  const { needs, orders, pending } = seed.data;
  return (
    <>
      {pending > 0 && (
        <p role="status" className="text-[13px] text-ink2 italic">
          <span className="fig not-italic">{pending}</span>{' '}
          {pending === 1 ? 'field is' : 'fields are'} still being updated
        </p>
      )}
      <h2 className="mt-6 text-[17px] font-bold">
        To order{' '}
        <i className="text-[13px] font-medium text-ink2">
          needs of all fields less what is held and what is free, whole bags
        </i>
        {orders.length > 0 && (
          <a
            className="link ml-3 text-[13px] font-medium"
            href="/api/seed/orders.csv"
            download="seed-orders.csv"
          >
            as a table
          </a>
        )}
      </h2>
      {orders.length === 0 ? (
        <p className="text-ink2 italic">Nothing to order.</p>
      ) : (
        <Stack>
          <table className="w-full max-w-[860px] text-[14px]">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px]">
                <th className="py-1">supplier</th>
                <th>week</th>
                <th>species</th>
                <th className="text-right">{massUnit(units)}</th>
                <th className="text-right">bags</th>
                <th className="text-right">fields</th>
              </tr>
            </thead>
            <tbody>
              {orders.map((o, i) => (
                <tr key={i} className="border-b border-rule2">
                  <td className="py-0.5">{o.supplier}</td>
                  <td className="fig">{o.week ?? 'not dated'}</td>
                  <td className="font-bold">{o.speciesName}</td>
                  <td className="fig text-right">{seedMass(o.kilograms, units)}</td>
                  <td className="fig text-right">{o.bags ?? '–'}</td>
                  <td className="fig text-right">{o.fields}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Stack>
      )}
      <h2 className="mt-6 text-[17px] font-bold">Needed by the fields</h2>
      {needs.length === 0 ? (
        <p className="text-ink2 italic">No cover with a mix is still to be sown.</p>
      ) : (
        <Stack label="Needs of the fields">
          <table className="w-full max-w-[980px] text-[14px]">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px]">
                <th className="py-1">field and cover</th>
                <th>species</th>
                <th>lot</th>
                <th className="text-right">{massUnit(units)} needed</th>
                <th className="text-right">{massUnit(units)} held</th>
                <th />
              </tr>
            </thead>
            {byCover(needs).map((c) => (
              <CoverNeeds
                key={`${c[0]?.need.planId} ${c[0]?.need.coverId}`}
                needs={c}
                lotName={lotName}
              />
            ))}
          </table>
        </Stack>
      )}
    </>
  );
}

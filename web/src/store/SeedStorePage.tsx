import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, type Lot } from '../api/client';
import { TopBar } from '../app/TopBar';
import { spokenDate } from '../ui/days';
import { useUnits } from '../api/units';
import { massUnit, seedMass } from '../ui/mass';
import { useSession } from '../api/useSession';
import { Panel } from '../ui/Panel';
import { Sure } from '../ui/Sure';
import { blankLot, type LotDraft } from './lotDraft';
import { LotForm } from './LotForm';
import { LotTable } from './LotTable';
import { SeedNeeds, useSeed } from './SeedNeeds';
import { SharedHistory } from '../ui/SharedHistory';
import { Stack } from '../ui/Stack';

export function SeedStorePage() {
  const [editing, setEditing] = useState<LotDraft>();
  const [removing, setRemoving] = useState<Lot>();
  const who = useSession();
  const queries = useQueryClient();
  const lots = useQuery({
    queryKey: ['lots'],
    queryFn: async () => taken(await api.GET('/api/lots')),
  });
  const knowledge = useQuery({
    queryKey: ['knowledge'],
    queryFn: async () => taken(await api.GET('/api/knowledge')),
    staleTime: Infinity,
  });
  const remove = useMutation({
    mutationFn: async (id: string) =>
      taken(await api.DELETE('/api/lots/{lotId}', { params: { path: { lotId: id } } })),
    onSuccess: async () => {
      setRemoving(undefined);
      await queries.invalidateQueries({ queryKey: ['lots'] });
      await queries.invalidateQueries({ queryKey: ['seed'] });
    },
  });
  const seed = useSeed();
  const units = useUnits();
  const stock = (id: string) => seed.data?.stock.find((s) => s.lotId === id);
  const name = (id: string) => knowledge.data?.species.find((s) => s.id === id)?.name ?? id;
  const money = (q: Lot['price']) =>
    q ? `${q.value} ${q.unit.replace('¤', 'per ').replace('per /', 'per ')}` : '–';
  return (
    <>
      <TopBar />
      <main className="px-4 pb-10 max-[640px]:px-2">
        <div className="flex flex-wrap items-baseline gap-4 py-3">
          <h1 className="text-[22px] font-bold">Seed store</h1>
          <button type="button" className="btn btn-main" onClick={() => setEditing(blankLot())}>
            New lot
          </button>
          <LotTable name={name} />
          {(lots.data?.length ?? 0) > 0 && (
            <a className="link text-[13px]" href="/api/lots.csv" download="seed-lots.csv">
              lots as a table
            </a>
          )}
          <span className="text-[13.5px] text-ink2 italic">
            prices are in the currency of the farm that uses the lot
          </span>
        </div>
        {lots.isError && (
          <p role="alert" className="text-hand">
            The lots could not be read.
          </p>
        )}
        {lots.isPending && <p className="italic">reading the lots</p>}
        {lots.data?.length === 0 && (
          <p className="py-4 text-ink2 italic">No lot yet. Type one from its tag.</p>
        )}
        {(lots.data?.length ?? 0) > 0 && (
          <Stack>
            <table className="w-full">
              <thead>
                <tr className="border-b border-ink text-left text-[12.5px]">
                  <th className="py-1">species</th>
                  <th>lot</th>
                  <th className="text-right">purity %</th>
                  <th className="text-right">germination %</th>
                  <th className="text-right">hard seed %</th>
                  <th className="pl-6">tested</th>
                  <th className="text-right">price</th>
                  <th className="text-right">bag</th>
                  <th className="text-right">in store</th>
                  <th className="text-right">held</th>
                  <th className="text-right">free, {massUnit(units)}</th>
                  <th className="pl-6">inoculated</th>
                  <th>supplier</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {lots.data?.map((l) => (
                  <tr key={l.id} className="border-b border-rule2">
                    <td className="py-1 font-bold">{name(l.species)}</td>
                    <td>{l.label}</td>
                    <td className="fig text-right">{l.purityPercent}</td>
                    <td className="fig text-right">{l.germinationPercent}</td>
                    <td className="fig text-right">
                      {l.hardSeedPercent ?? '–'}
                      {l.germinationIncludesHardSeed ? ' included' : ''}
                    </td>
                    <td className="fig pl-6">{l.testedOn ? spokenDate(l.testedOn) : '–'}</td>
                    <td className="fig text-right">{money(l.price)}</td>
                    <td className="fig text-right">
                      {l.bagSize ? `${l.bagSize.value} ${l.bagSize.unit}` : '–'}
                    </td>
                    <td className="fig text-right">
                      {l.stock ? `${l.stock.value} ${l.stock.unit}` : '–'}
                    </td>
                    <td className="fig text-right">
                      {stock(l.id)?.heldKg ? seedMass(stock(l.id)!.heldKg, units) : '–'}
                    </td>
                    <td className="fig text-right">
                      {l.stock ? seedMass(stock(l.id)?.freeKg ?? 0, units) : '–'}
                    </td>
                    <td className="pl-6">{l.inoculated ? 'yes' : 'no'}</td>
                    <td>{l.supplier ?? ''}</td>
                    <td className="text-right whitespace-nowrap">
                      <button
                        type="button"
                        className="link mr-3 text-[13px]"
                        aria-label={`Change ${l.label}`}
                        onClick={() => setEditing(l)}
                      >
                        change
                      </button>
                      <SharedHistory
                        kind="lot"
                        id={l.id}
                        title={`History of ${l.label}`}
                        label={`History of ${l.label}`}
                        onRestored={() => void queries.invalidateQueries({ queryKey: ['lots'] })}
                      />
                      {who.data?.role === 'adviser' && (
                        <button
                          type="button"
                          className="link ml-3 text-[13px]"
                          aria-label={`Remove ${l.label}`}
                          onClick={() => setRemoving(l)}
                        >
                          remove
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Stack>
        )}
        <SeedNeeds
          lotName={(id) => lots.data?.find((l) => l.id === id)?.label ?? 'a lot that is gone'}
        />
        <Panel
          title={editing?.label ? `Lot ${editing.label}` : 'New lot'}
          open={editing !== undefined}
          onOpenChange={(o) => !o && setEditing(undefined)}
        >
          {editing && (
            <LotForm
              key={editing.id}
              draft={editing}
              kept={lots.data?.find((l) => l.id === editing.id)}
              onDone={() => setEditing(undefined)}
            />
          )}
        </Panel>
        <Sure
          title={`Remove lot ${removing?.label ?? ''}`}
          doing="Remove the lot"
          open={removing !== undefined}
          pending={remove.isPending}
          error={remove.error}
          onSure={() => removing && remove.mutate(removing.id)}
          onClose={() => {
            setRemoving(undefined);
            remove.reset();
          }}
        >
          {removing && (
            <>
              {name(removing.species)}, {removing.label}
              {stock(removing.id)?.heldKg
                ? `: ${seedMass(stock(removing.id)!.heldKg, units)} ${massUnit(units)} are held for covers and will be released.`
                : '.'}{' '}
              Mixes that name this lot will ask for another.
            </>
          )}
        </Sure>
      </main>
    </>
  );
}

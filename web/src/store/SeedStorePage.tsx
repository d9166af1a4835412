import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, Refusal, taken, type Lot } from '../api/client';
import { TopBar } from '../app/TopBar';
import { newId, tidy } from '../ui/tidy';
import { spokenDate } from '../ui/days';
import { useUnits } from '../api/units';
import { massUnit, seedMass } from '../ui/mass';
import { useSession } from '../api/useSession';
import { Both, Side } from '../ui/Both';
import { Panel } from '../ui/Panel';
import { LotTable } from './LotTable';
import { SeedNeeds, useSeed } from './SeedNeeds';
import { SharedHistory } from '../ui/SharedHistory';
import { Stack } from '../ui/Stack';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField, TextField } from '../ui/inputs';

type Draft = Partial<Lot> & { id: string };

const blank = (): Draft => ({ id: newId('lot-') });

function LotForm({ draft, kept, onDone }: { draft: Draft; kept?: Lot; onDone: () => void }) {
  const [lot, setLot] = useState<Draft>(draft);
  const [base, setBase] = useState(kept);
  const [missing, setMissing] = useState('');
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
  const set = (change: Partial<Lot>) => setLot((l) => tidy({ ...l, ...change }));
  const at = (p: string) => problemAt(problems, p);
  const submit = () => {
    const { species, label, purityPercent, germinationPercent } = lot;
    if (!species || !label || purityPercent === undefined || germinationPercent === undefined) {
      setMissing('A lot needs species, name, purity and germination.');
      return;
    }
    setMissing('');
    save.mutate({ ...lot, species, label, purityPercent, germinationPercent });
  };
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
    >
      <SelectField
        label="Species"
        value={lot.species ?? ''}
        empty="choose"
        options={knowledge.data?.species ?? []}
        onChange={(species) => set({ species })}
      />
      <TextField
        label="Name of the lot"
        width="w-36"
        value={lot.label ?? ''}
        onChange={(label) => set({ label })}
        problem={at('/label')}
      />
      <NumberField
        label="Purity"
        max={100}
        suffix="%"
        value={lot.purityPercent}
        onChange={(v) => set({ purityPercent: v })}
        problem={at('/purityPercent')}
      />
      <NumberField
        label="Germination"
        max={100}
        suffix="%"
        value={lot.germinationPercent}
        onChange={(v) => set({ germinationPercent: v })}
        problem={at('/germinationPercent')}
      />
      <NumberField
        label="Hard seed"
        max={100}
        suffix="%"
        value={lot.hardSeedPercent}
        onChange={(v) => set({ hardSeedPercent: v })}
        problem={at('/hardSeedPercent')}
      />
      <label className="flex w-full items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          className="size-4 min-h-0"
          checked={lot.germinationIncludesHardSeed ?? false}
          onChange={(e) => set({ germinationIncludesHardSeed: e.target.checked || undefined })}
        />
        germination on the tag includes hard seed
      </label>
      <QuantityField
        label="Seed count on the tag"
        width="w-24"
        value={lot.seedCount}
        units={us ? ['/lb seed', '/kg seed'] : ['/kg seed', '/lb seed']}
        onChange={(q) => set({ seedCount: q })}
        problem={at('/seedCount')}
      />
      <DateField
        label="Tested"
        value={lot.testedOn}
        onChange={(d) => set({ testedOn: d || undefined })}
      />
      <QuantityField
        label="Price, in the farm’s currency"
        value={lot.price}
        units={us ? ['¤/lb', '¤/ton', '¤/kg'] : ['¤/kg', '¤/t', '¤/lb']}
        currency=""
        onChange={(q) => set({ price: q })}
        problem={at('/price')}
      />
      <QuantityField
        label="Bag"
        value={lot.bagSize}
        units={us ? ['lb', 'kg'] : ['kg', 'lb']}
        onChange={(q) => set({ bagSize: q })}
        problem={at('/bagSize')}
      />
      <QuantityField
        label="In store"
        value={lot.stock}
        units={us ? ['lb', 'kg'] : ['kg', 't', 'lb']}
        onChange={(q) => set({ stock: q })}
        problem={at('/stock')}
      />
      <NumberField
        label="Dormant"
        max={100}
        suffix="%"
        value={lot.dormantPercent}
        onChange={(v) => set({ dormantPercent: v })}
        problem={at('/dormantPercent')}
      />
      <NumberField
        label="Weed seed"
        max={100}
        suffix="%"
        value={lot.weedSeedPercent}
        onChange={(v) => set({ weedSeedPercent: v })}
        problem={at('/weedSeedPercent')}
      />
      <TextField
        label="Listed or resistant weeds on the tag"
        width="w-56"
        value={lot.noxious ?? ''}
        onChange={(v) => set({ noxious: v || undefined })}
        problem={at('/noxious')}
      />
      <button
        type="button"
        className="link text-[13px]"
        onClick={() => set({ noxious: 'none found' })}
      >
        none found
      </button>
      <TextField
        label="Treated with"
        width="w-36"
        value={lot.treatedWith ?? ''}
        onChange={(v) => set({ treatedWith: v || undefined })}
        problem={at('/treatedWith')}
      />
      <SelectField
        label="Winter hardiness"
        value={lot.hardiness ?? ''}
        empty="not said"
        options={['winter', 'intermediate', 'spring'].map((id) => ({ id, name: id }))}
        onChange={(v) => set({ hardiness: v || undefined })}
      />
      <label className="flex items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          className="size-4 min-h-0"
          checked={lot.ownGrown ?? false}
          onChange={(e) => set({ ownGrown: e.target.checked || undefined })}
        />
        own grown
      </label>
      {lot.ownGrown && (
        <QuantityField
          label="Cleaning and test"
          value={lot.cleaningCost}
          units={us ? ['¤/lb', '¤/ton', '¤/kg'] : ['¤/kg', '¤/t', '¤/lb']}
          currency=""
          onChange={(q) => set({ cleaningCost: q })}
          problem={at('/cleaningCost')}
        />
      )}
      <label className="flex items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          className="size-4 min-h-0"
          checked={lot.coated ?? false}
          onChange={(e) => set({ coated: e.target.checked || undefined })}
        />
        coated (its purity is net of the coat)
      </label>
      <TextField
        label="Supplier"
        width="w-36"
        value={lot.supplier ?? ''}
        onChange={(v) => set({ supplier: v || undefined })}
        problem={at('/supplier')}
      />
      <label className="flex w-full items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          className="size-4 min-h-0"
          checked={lot.inoculated ?? false}
          onChange={(e) => set({ inoculated: e.target.checked || undefined })}
        />
        comes inoculated
      </label>
      {met && (
        <Both
          title={met.message}
          sides={
            <>
              <Side name="Elsewhere" changes={met.body.theirs as string[]} none="removed" />
              <Side name="Where yours meets it" changes={met.body.overlaps as string[]} />
            </>
          }
        >
          <button
            type="button"
            className="btn"
            onClick={() => {
              setBase(now);
              save.reset();
            }}
          >
            keep mine
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => {
              void queries.invalidateQueries({ queryKey: ['lots'] });
              onDone();
            }}
          >
            take theirs
          </button>
        </Both>
      )}
      {(missing || (save.error && problems.length === 0 && !met)) && (
        <p role="alert" className="w-full text-hand">
          {missing || save.error?.message}
        </p>
      )}
      {problems
        .filter((p) => p.pointer === '/species')
        .map((p) => (
          <p key={p.pointer} role="alert" className="w-full text-hand">
            {p.message}
          </p>
        ))}
      <button type="submit" className="btn btn-main" disabled={save.isPending}>
        Save the lot
      </button>
    </form>
  );
}

export function SeedStorePage() {
  const [editing, setEditing] = useState<Draft>();
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
          <button type="button" className="btn btn-main" onClick={() => setEditing(blank())}>
            New lot
          </button>
          <LotTable />
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
        <Panel
          title={`Remove lot ${removing?.label ?? ''}`}
          open={removing !== undefined}
          onOpenChange={(o) => {
            if (!o) setRemoving(undefined);
            remove.reset();
          }}
        >
          {removing && (
            <>
              <p>
                {name(removing.species)}, {removing.label}
                {stock(removing.id)?.heldKg
                  ? `: ${seedMass(stock(removing.id)!.heldKg, units)} ${massUnit(units)} are held for covers and will be released.`
                  : '.'}{' '}
                Mixes that name this lot will ask for another.
              </p>
              {remove.error && (
                <p role="alert" className="text-hand">
                  {remove.error.message}
                </p>
              )}
              <button
                type="button"
                className="btn btn-main mt-3"
                disabled={remove.isPending}
                onClick={() => remove.mutate(removing.id)}
              >
                Remove the lot
              </button>
            </>
          )}
        </Panel>
      </main>
    </>
  );
}

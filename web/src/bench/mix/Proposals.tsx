import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';

import {
  api,
  Refusal,
  taken,
  today,
  token,
  type Problem,
  type Schemas,
  type UnitSymbol,
} from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { tidy } from '../../plan/edit';
import { GROUPS } from '../../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { jsonLines, type MixView, type Wishes } from './asked';
import { FrontierChart } from './FrontierChart';

type Bounds = Schemas['Bounds'];
type Line = { own?: MixView; point?: MixView; done: boolean };

function Span({
  label,
  value,
  onChange,
  max,
  suffix,
  problem,
}: {
  label: string;
  value: Bounds | undefined;
  onChange: (b: Bounds | undefined) => void;
  max: number;
  suffix?: string;
  problem?: string;
}) {
  const set = (change: Bounds) => {
    const b = tidy({ ...value, ...change });
    onChange(b.least === undefined && b.most === undefined ? undefined : b);
  };
  return (
    <fieldset>
      <legend className="text-[13px] text-ink2">{label}</legend>
      <span className="flex items-center gap-1">
        <NumberField
          hideLabel
          label={`${label}, least`}
          width="w-12"
          max={max}
          value={value?.least}
          onChange={(v) => set({ least: v })}
        />
        <span className="text-ink2">to</span>
        <NumberField
          hideLabel
          label={`${label}, most`}
          width="w-12"
          max={max}
          value={value?.most}
          onChange={(v) => set({ most: v })}
          problem={problem}
        />
        <span className="fig text-[12px] text-ink2">{suffix}</span>
      </span>
    </fieldset>
  );
}

/** The bounds with one of them changed, or taken out when it is empty; undefined when none is left. */
export function without(
  bounds: Record<string, Bounds> | undefined,
  key: string,
  to: Bounds | undefined,
): Record<string, Bounds> | undefined {
  const rest = Object.fromEntries(Object.entries(bounds ?? {}).filter(([k]) => k !== key));
  const next = to ? { ...rest, [key]: to } : rest;
  return Object.keys(next).length > 0 ? next : undefined;
}

/** What a proposed mix must keep to; the fewer wishes, the more it can do. */
function WishForm({
  wishes,
  set,
  aims,
  problems,
}: {
  wishes: Wishes;
  set: (change: Wishes) => void;
  aims: Schemas['AimView'][];
  problems: Problem[];
}) {
  const { farm, us, knowledge } = useOpenPlan();
  const [group, setGroup] = useState('');
  const at = (p: string) => problemAt(problems, `/wishes/${p}`);
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
      <SelectField
        label="Look for"
        value={wishes.goal ?? 'serve'}
        options={[
          { id: 'serve', name: 'the most for the aims' },
          { id: 'cheapest', name: 'the least cost that reaches the minimums' },
        ]}
        onChange={(goal) => set({ goal })}
      />
      <QuantityField
        label="Seed cost at most"
        value={wishes.cost}
        units={us ? ['¤/ac', '¤/ha'] : ['¤/ha', '¤/ac']}
        currency={farm.currency}
        onChange={(cost) => set({ cost })}
        problem={at('cost')}
      />
      {aims.map((a) => (
        <NumberField
          key={a.id}
          label={`${a.name}, at least`}
          value={wishes.aims?.[a.id]?.value}
          min={-1e6}
          suffix={<span className="fig text-[12px] text-ink2">{a.unit}</span>}
          onChange={(v) =>
            set({
              aims: tidy({
                ...wishes.aims,
                [a.id]: v === undefined ? undefined : { value: v, unit: a.unit as UnitSymbol },
              }) as Wishes['aims'],
            })
          }
          problem={at(`aims/${a.id}`)}
        />
      ))}
      <Span
        label="Species"
        max={10}
        value={wishes.species}
        onChange={(species) => set({ species })}
        problem={at('species')}
      />
      <Span
        label="Live seeds"
        max={5000}
        suffix="/m2"
        value={wishes.seedsM2}
        onChange={(seedsM2) => set({ seedsM2 })}
      />
      <Span
        label="Sum of shares"
        max={300}
        suffix="%"
        value={wishes.totalPercent}
        onChange={(totalPercent) => set({ totalPercent })}
      />
      <Span
        label="C:N at the end"
        max={150}
        value={wishes.carbonToNitrogen}
        onChange={(carbonToNitrogen) => set({ carbonToNitrogen })}
      />
      <Span
        label="Legumes of the dry tops"
        max={100}
        suffix="%"
        value={wishes.legumePercent}
        onChange={(legumePercent) => set({ legumePercent })}
      />
      <Span
        label="Winterkilled of the dry tops"
        max={100}
        suffix="%"
        value={wishes.winterkilledPercent}
        onChange={(winterkilledPercent) => set({ winterkilledPercent })}
      />
      <SelectField
        label="Drill boxes"
        value={String(wishes.boxes ?? 2)}
        options={[
          { id: '2', name: 'two' },
          { id: '1', name: 'one' },
        ]}
        onChange={(v) => set({ boxes: Number(v) })}
      />
      <SelectField
        label="Must hold a species of"
        value={group}
        empty="choose a group"
        options={GROUPS.filter((g) => !wishes.groups?.[g.id])}
        onChange={(g) => {
          setGroup('');
          if (g) set({ groups: { ...wishes.groups, [g]: 1 } });
        }}
      />
      {Object.keys(wishes.groups ?? {}).map((g) => (
        <button
          key={g}
          type="button"
          className="link min-h-[28px] text-[13px]"
          aria-label={`No longer ask for ${g.replace('-', ' ')}`}
          onClick={() => {
            const rest = Object.fromEntries(
              Object.entries(wishes.groups ?? {}).filter(([k]) => k !== g),
            );
            set({ groups: Object.keys(rest).length > 0 ? rest : undefined });
          }}
        >
          {g.replace('-', ' ')} ×
        </button>
      ))}
      <SelectField
        label="Bound the share of"
        value=""
        empty="choose a species or group"
        options={[
          ...GROUPS.filter((g) => !wishes.groupShares?.[g.id]).map((g) => ({
            id: `group/${g.id}`,
            name: g.name,
            under: 'groups',
          })),
          ...knowledge.species
            .filter((s) => !wishes.speciesShares?.[s.id])
            .map((s) => ({ id: s.id, name: s.name, under: 'species' })),
        ]}
        onChange={(v) => {
          if (v.startsWith('group/')) {
            set({ groupShares: { ...wishes.groupShares, [v.slice(6)]: { most: 100 } } });
          } else if (v) {
            set({ speciesShares: { ...wishes.speciesShares, [v]: { least: 5 } } });
          }
        }}
      />
      {Object.entries(wishes.groupShares ?? {}).map(([g, b]) => (
        <Span
          key={g}
          label={`${g.replace('-', ' ')}, together`}
          max={300}
          suffix="% of full rate"
          value={b}
          onChange={(to) => set({ groupShares: without(wishes.groupShares, g, to) })}
        />
      ))}
      {Object.entries(wishes.speciesShares ?? {}).map(([s, b]) => (
        <Span
          key={s}
          label={knowledge.species.find((x) => x.id === s)?.name ?? s}
          max={300}
          suffix="% of full rate"
          value={b}
          onChange={(to) => set({ speciesShares: without(wishes.speciesShares, s, to) })}
        />
      ))}
      <label className="flex min-h-[28px] items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          className="size-4 min-h-0"
          checked={wishes.stockFirst ?? false}
          onChange={(e) => set({ stockFirst: e.target.checked || undefined })}
        />
        seed in store first
      </label>
    </div>
  );
}

function Proposed({
  mix,
  onTake,
  onBeside,
}: {
  mix: MixView;
  onTake: () => void;
  onBeside?: () => void;
}) {
  return (
    <div>
      <p className="text-[14px]">
        {mix.shares.map((s, i) => (
          <span key={s.species}>
            {i > 0 && ', '}
            <b>{s.name}</b> <span className="fig">{s.percent} %</span>
          </span>
        ))}
      </p>
      <p className="fig text-[13px] text-ink2">
        {mix.costText} {mix.costUnit} to buy ·{' '}
        {mix.aims.map((a) => `${a.text} ${a.unit}`).join(' · ')}
      </p>
      {mix.missed.length > 0 && (
        <p className="text-[13px] text-hand">
          Once the species compete it falls short of: {mix.missed.join(', ')}.
        </p>
      )}
      {mix.binding.length > 0 && (
        <ul className="mt-1 text-[13px]">
          {mix.binding.map((b) => (
            <li key={b.words}>
              held back by <b>{b.words}</b>
              {b.buys ? `; a step looser buys ${b.buys}` : '; a step looser buys nothing'}
            </li>
          ))}
        </ul>
      )}
      <span className="mt-1 flex gap-3">
        <button type="button" className="btn btn-main" onClick={onTake}>
          Take this mix
        </button>
        {onBeside && (
          <button type="button" className="btn" onClick={onBeside}>
            Put it beside
          </button>
        )}
      </span>
    </div>
  );
}

/** Asks for the best mix within wishes, and for the frontier of cost against the aims. */
export function Proposals({
  coverId,
  aims,
  onTake,
  onBeside,
}: {
  coverId: string;
  aims: Schemas['AimView'][];
  onTake: (m: MixView) => void;
  onBeside?: (m: MixView) => void;
}) {
  const { state } = useOpenPlan();
  const [wishes, setWishes] = useState<Wishes>({});
  const [points, setPoints] = useState<MixView[]>([]);
  const [own, setOwn] = useState<MixView>();
  const [chosen, setChosen] = useState<MixView>();
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const body = { plan: state.plan, asOf: today(), coverId, wishes };
  const propose = useMutation({
    mutationFn: async () => taken(await api.POST('/api/mixes/proposals', { body })),
    onSuccess: () => setChosen(undefined),
  });
  const frontier = useMutation({
    mutationFn: async () => {
      running.current?.abort();
      const stop = new AbortController();
      running.current = stop;
      setPoints([]);
      setOwn(undefined);
      setChosen(undefined);
      const answer = await fetch('/api/mixes/frontier', {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
        signal: stop.signal,
      });
      if (!answer.ok || !answer.body) {
        const told = (await answer.json()) as { detail?: string; problems?: Problem[] };
        throw new Refusal(answer.status, told.detail ?? 'refused', told.problems ?? []);
      }
      let n = 0;
      try {
        for await (const line of jsonLines<Line>(answer.body)) {
          if (line.own) setOwn(line.own);
          const point = line.point;
          if (point) {
            n++;
            setPoints((p) => [...p, point]);
          }
        }
      } catch (e) {
        if (!stop.signal.aborted) throw e;
      }
      return n;
    },
  });
  const error = propose.error ?? frontier.error;
  const problems = error instanceof Refusal ? error.problems : [];
  const mix = chosen ?? propose.data?.mix;
  return (
    <section aria-label="Proposals" className="mt-5">
      <h3 className="text-[15px] font-bold">
        Propose a mix{' '}
        <i className="text-[13px] font-medium text-ink2">
          the best within your wishes, exact for a forecast that is linear around the mix
        </i>
      </h3>
      <WishForm
        wishes={wishes}
        set={(c) => setWishes((w) => tidy({ ...w, ...c }))}
        aims={aims}
        problems={problems}
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-main"
          disabled={aims.length === 0 || propose.isPending}
          onClick={() => propose.mutate()}
        >
          Propose
        </button>
        <button
          type="button"
          className="btn"
          disabled={aims.length === 0}
          onClick={() => (frontier.isPending ? running.current?.abort() : frontier.mutate())}
        >
          {frontier.isPending ? `Stop (${points.length} of 10)` : 'Cost against the aims'}
        </button>
        {aims.length === 0 && <i className="text-[13px] text-ink2">rank the aims first</i>}
      </div>
      {error && problems.length === 0 && (
        <p role="alert" className="text-hand">
          {error.message}
        </p>
      )}
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6 max-[900px]:grid-cols-1">
        <div aria-live="polite">
          {propose.data && !propose.data.mix && !chosen && (
            <div role="alert">
              <b>Nothing fits all of it.</b> One of these must give way:
              <ul className="ml-4 list-disc">
                {propose.data.conflict.map((w) => (
                  <li key={w}>{w}</li>
                ))}
              </ul>
            </div>
          )}
          {mix && (
            <Proposed
              mix={mix}
              onTake={() => onTake(mix)}
              onBeside={onBeside && (() => onBeside(mix))}
            />
          )}
          {frontier.data === 0 && !mix && <p>Nothing fits these wishes at any cost.</p>}
        </div>
        {(points.length > 0 || own) && (
          <FrontierChart points={points} own={own} chosen={chosen} onChoose={setChosen} />
        )}
      </div>
    </section>
  );
}

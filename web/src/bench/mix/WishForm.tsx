import { useState } from 'react';

import type { Problem, Schemas, UnitSymbol } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { tidy } from '../../ui/tidy';
import { GROUPS } from '../../ui/GroupMark';
import { NumberField, problemAt, QuantityField, SelectField } from '../../ui/inputs';
import type { Wishes } from './asked';
import { Check } from '../../ui/Check';

type Bounds = Schemas['Bounds'];

const M2_PER_FT2 = 0.09290304;
const LB_PER_AC = 0.8921791;

/** What a bound on a species is a share of. */
const SHARES = [
  { id: 'speciesShares', name: 'its full rate', suffix: '% of full rate' },
  { id: 'seedPercents', name: 'the live seeds', suffix: '% of the seeds' },
  { id: 'weightPercents', name: 'the weight', suffix: '% of the weight' },
  { id: 'boxPercents', name: 'the weight in its box', suffix: '% of its box' },
] as const;
type ShareOf = (typeof SHARES)[number]['id'];

/** Bounds in another unit of area. */
function scaled(b: Bounds | undefined, factor: number): Bounds | undefined {
  const one = (v: number | undefined) =>
    v === undefined ? undefined : Number((v * factor).toPrecision(6));
  return b && tidy({ least: one(b.least), most: one(b.most) });
}

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

/** The bounds with one of them changed, or removed when it is empty; undefined when none is left. */
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
export function WishForm({
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
  const [of, setOf] = useState<ShareOf>('speciesShares');
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
        max={us ? 465 : 5000}
        suffix={us ? '/ft²' : '/m²'}
        value={scaled(wishes.seedsM2, us ? M2_PER_FT2 : 1)}
        onChange={(v) => set({ seedsM2: scaled(v, us ? 1 / M2_PER_FT2 : 1) })}
      />
      <Span
        label="Weight of live seed"
        max={us ? 450 : 500}
        suffix={us ? 'lb/ac' : 'kg/ha'}
        value={scaled(wishes.weightKgHa, us ? LB_PER_AC : 1)}
        onChange={(v) => set({ weightKgHa: scaled(v, us ? 1 / LB_PER_AC : 1) })}
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
            .filter((s) => !wishes[of]?.[s.id])
            .map((s) => ({ id: s.id, name: s.name, under: 'species' })),
        ]}
        onChange={(v) => {
          if (v.startsWith('group/')) {
            set({ groupShares: { ...wishes.groupShares, [v.slice(6)]: { most: 100 } } });
          } else if (v) {
            set({ [of]: { ...wishes[of], [v]: { least: 5 } } });
          }
        }}
      />
      <SelectField
        label="in"
        value={of}
        options={SHARES.map(({ id, name }) => ({ id, name }))}
        onChange={(v) => setOf(v as ShareOf)}
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
      {SHARES.flatMap((kind) =>
        Object.entries(wishes[kind.id] ?? {}).map(([s, b]) => (
          <Span
            key={`${kind.id}/${s}`}
            label={knowledge.species.find((x) => x.id === s)?.name ?? s}
            max={kind.id === 'speciesShares' ? 300 : 100}
            suffix={kind.suffix}
            value={b}
            onChange={(to) => set({ [kind.id]: without(wishes[kind.id], s, to) })}
          />
        )),
      )}
      <Check
        checked={wishes.stockFirst ?? false}
        onChange={(on) => set({ stockFirst: on || undefined })}
      >
        seed in store first
      </Check>
    </div>
  );
}

import { useState } from 'react';

import { today, type Problem, type Schemas } from '../api/client';
import { QuadratFields } from '../ui/QuadratFields';
import { celsiusDegreesOf, fahrenheitOf } from '../ui/convert';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField } from '../ui/inputs';
import { tidy } from '../ui/tidy';
import { isSeen, SOILS, type Check, type Gate, type GateKind } from './gates';
import { PercentKeys } from './PercentKeys';

type Named = { id: string; name: string };

/** Large choices, one of which is taken. */
function Choices({
  label,
  of,
  value,
  onChange,
}: {
  label: string;
  of: Named[];
  value: string | undefined;
  onChange: (id: string | undefined) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-1.5">
      {of.map((o) => (
        <button
          key={o.id}
          type="button"
          aria-pressed={value === o.id}
          className="min-h-[48px] border border-ink bg-paper px-3 text-[16px] aria-pressed:bg-ink aria-pressed:text-paper"
          onClick={() => onChange(value === o.id ? undefined : o.id)}
        >
          {o.name}
        </button>
      ))}
    </div>
  );
}

const kept = (place: string, kind: string): Check => {
  const fresh: Check = { id: 'here', on: today(), gate: { kind } };
  try {
    const text = localStorage.getItem(place);
    return text ? { ...fresh, ...(JSON.parse(text) as Partial<Check>) } : fresh;
  } catch {
    return fresh;
  }
};

/** What one gate asks for. What is typed stays on the phone until it is written down. */
export function GateForm({
  gate,
  coverId,
  species,
  us,
  problems,
  onWrite,
}: {
  gate: GateKind;
  coverId: string;
  species: Named[];
  us: boolean;
  problems?: Problem[];
  /** Whether it is kept. */
  onWrite: (entry: Schemas['LogSave']) => Promise<boolean>;
}) {
  const place = `etlo-gate-${coverId}-${gate.id}`;
  const [check, setCheck] = useState(() => kept(place, gate.id));
  const [busy, setBusy] = useState(false);
  const set = (change: Partial<Check>) => {
    const next = tidy({ ...check, ...change });
    localStorage.setItem(place, JSON.stringify(next));
    setCheck(next);
  };
  const setGate = (change: Partial<Gate>) =>
    set({ gate: tidy({ kind: gate.id, ...check.gate, ...change }) });
  const g: Partial<Gate> = check.gate ?? {};
  const at = (what: string) => problemAt(problems, `/check/${what}`);
  const lengths = us ? (['in', 'cm'] as const) : (['cm', 'in'] as const);
  const counts = us ? (['/ft2', '/m2'] as const) : (['/m2', '/ft2'] as const);
  const needsSpecies = gate.ofSpecies && species.length > 1;
  return (
    <form
      className="flex flex-col gap-3 text-[16px]"
      onSubmit={(e) => {
        e.preventDefault();
        setBusy(true);
        void onWrite({ coverId, on: check.on, check })
          .then((done) => {
            if (done) localStorage.removeItem(place);
          })
          .finally(() => setBusy(false));
      }}
    >
      <DateField label="Seen on" value={check.on} onChange={(on) => on && set({ on })} />
      {needsSpecies && (
        <Choices
          label="Species"
          of={species}
          value={check.species}
          onChange={(v) => set({ species: v })}
        />
      )}
      {gate.id === 'autumn' && (
        <>
          <PercentKeys
            label="Green cover"
            value={check.coverPercent}
            problem={at('coverPercent')}
            onChange={(v) => set({ coverPercent: v })}
          />
          <div className="flex flex-wrap gap-3">
            <QuantityField
              label="Plants counted"
              value={check.plants}
              units={[...counts]}
              problem={at('plants')}
              onChange={(v) => set({ plants: v })}
            />
            <QuantityField
              label="Tillers or shoots"
              value={check.tillers}
              units={[...counts]}
              problem={at('tillers')}
              onChange={(v) => set({ tillers: v })}
            />
            <QuantityField
              label="Height"
              value={check.height}
              units={[...lengths]}
              problem={at('height')}
              onChange={(v) => set({ height: v })}
            />
            <NumberField
              label="Field in bare patches"
              value={check.patchesPercent}
              max={100}
              suffix="%"
              problem={at('patchesPercent')}
              onChange={(v) => set({ patchesPercent: v })}
            />
          </div>
        </>
      )}
      {(gate.id === 'kill' || gate.id === 'winter') && (
        <PercentKeys
          label={gate.id === 'kill' ? 'Plants still alive' : 'Plants alive after winter'}
          value={g.alivePercent}
          problem={at('gate/alivePercent')}
          onChange={(v) => setGate({ alivePercent: v })}
        />
      )}
      {gate.id === 'winter' && (
        <NumberField
          label={`Coldest night here, ${us ? '°F' : '°C'}`}
          value={
            g.coldestC === undefined
              ? undefined
              : us
                ? Math.round(fahrenheitOf(g.coldestC))
                : g.coldestC
          }
          min={us ? -76 : -60}
          max={us ? 68 : 20}
          problem={at('gate/coldestC')}
          onChange={(v) =>
            setGate({ coldestC: v === undefined || !us ? v : celsiusDegreesOf(v - 32) })
          }
        />
      )}
      {gate.id === 'pollen' && (
        <PercentKeys
          label="Heads that shed pollen, or have"
          value={g.sheddingPercent}
          problem={at('gate/sheddingPercent')}
          onChange={(v) => setGate({ sheddingPercent: v })}
        />
      )}
      {gate.id === 'bloom' && (
        <PercentKeys
          label="Flowers open"
          value={g.bloomPercent}
          problem={at('gate/bloomPercent')}
          onChange={(v) => setGate({ bloomPercent: v })}
        />
      )}
      {gate.id === 'mulch' && (
        <>
          <Choices
            label="Where"
            of={[
              { id: 'row', name: 'in the rows' },
              { id: 'middle', name: 'between them' },
            ]}
            value={g.zone}
            onChange={(v) => setGate({ zone: v })}
          />
          <div className="flex flex-wrap items-end gap-3">
            <QuadratFields
              value={check.quadrat}
              us={us}
              labels={{
                frame: 'Frame',
                dry: 'Dry matter of the cuts',
                cut: (n) => `Cut ${n}, fresh`,
              }}
              problem={(what) => at(`quadrat/${what}`)}
              onChange={(quadrat) => set({ quadrat })}
            />
          </div>
        </>
      )}
      {gate.id === 'soil' && (
        <Choices
          label="A handful from planting depth"
          of={SOILS}
          value={g.soil}
          onChange={(v) => setGate({ soil: v })}
        />
      )}
      {gate.id === 'mat' && (
        <div className="flex flex-wrap gap-3">
          <QuantityField
            label="Depth of the mat"
            value={g.matDepth}
            units={[...lengths]}
            problem={at('gate/matDepth')}
            onChange={(v) => setGate({ matDepth: v })}
          />
          <QuantityField
            label="Thickest clumps"
            value={g.clumpDepth}
            units={[...lengths]}
            problem={at('gate/clumpDepth')}
            onChange={(v) => setGate({ clumpDepth: v })}
          />
        </div>
      )}
      {gate.id === 'regrowth' && (
        <QuantityField
          label="Height"
          value={check.height}
          units={[...lengths]}
          problem={at('height')}
          onChange={(v) => set({ height: v })}
        />
      )}
      {problems && problems.length > 0 && (
        <p role="alert" className="text-hand">
          Not written down: {problems.map((p) => p.message).join('; ')}
        </p>
      )}
      <button
        type="submit"
        className="btn btn-main min-h-[50px] text-[17px]"
        disabled={busy || !isSeen(check) || (needsSpecies && !check.species)}
      >
        Write it down
      </button>
      {needsSpecies && !check.species && (
        <p className="text-[13.5px] text-ink2">Say of which species.</p>
      )}
    </form>
  );
}

import type { Schemas } from '../api/client';
import { NumberField, QuantityField } from './inputs';

type Quadrat = Schemas['QuadratEntry'];

/** Cuts from a frame: its area, their dry matter, and one box more than there are cuts. Without a cut nothing is kept. */
export function QuadratFields({
  value,
  us,
  labels,
  problem,
  onChange,
}: {
  value: Quadrat | undefined;
  us: boolean;
  labels: { frame: string; dry: string; cut: (n: number) => string };
  problem: (what: string) => string | undefined;
  onChange: (quadrat: Quadrat | undefined) => void;
}) {
  const q: Quadrat = value ?? {
    frameArea: us ? { value: 4, unit: 'ft2' } : { value: 0.25, unit: 'm2' },
    samples: [],
    dryMatterPercent: 20,
  };
  const set = (change: Partial<Quadrat>) => {
    const next = { ...q, ...change };
    onChange(next.samples.length ? next : undefined);
  };
  return (
    <>
      <QuantityField
        label={labels.frame}
        value={q.frameArea}
        units={['m2', 'ft2']}
        onChange={(v) => v && set({ frameArea: v })}
        problem={problem('frameArea')}
      />
      <NumberField
        label={labels.dry}
        value={q.dryMatterPercent}
        max={100}
        suffix="%"
        onChange={(v) => v !== undefined && set({ dryMatterPercent: v })}
      />
      {[...q.samples, undefined].map((s, i) => (
        <QuantityField
          key={i}
          label={labels.cut(i + 1)}
          value={s}
          units={['g', 'kg', 'oz', 'lb']}
          onChange={(v) =>
            set({
              samples: v
                ? [...q.samples.slice(0, i), v, ...q.samples.slice(i + 1)]
                : q.samples.filter((_, k) => k !== i),
            })
          }
        />
      ))}
    </>
  );
}

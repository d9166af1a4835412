import { NumberField } from '../ui/inputs';

const KEYS = [0, 5, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100];

/** A share in per cent, by keys that a thumb in a glove hits, or typed. */
export function PercentKeys({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value: number | undefined;
  onChange: (v: number | undefined) => void;
  problem?: string;
}) {
  return (
    <div role="group" aria-label={label}>
      <p className="mb-1 font-bold">{label}</p>
      <div className="grid grid-cols-6 gap-1.5">
        {KEYS.map((k) => (
          <button
            key={k}
            type="button"
            aria-pressed={value === k}
            className="fig min-h-[48px] border border-ink bg-paper text-[18px] font-bold aria-pressed:bg-ink aria-pressed:text-paper"
            onClick={() => onChange(k)}
          >
            {k}
          </button>
        ))}
      </div>
      <NumberField
        label={`${label}, typed`}
        value={value}
        max={100}
        suffix="%"
        problem={problem}
        onChange={onChange}
      />
    </div>
  );
}

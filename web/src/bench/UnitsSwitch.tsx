import type { Farm } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { useFarmSave } from '../plan/useFarmSave';

const UNITS: { id: Farm['units']; name: string }[] = [
  { id: 'metric', name: 'kg/ha' },
  { id: 'us', name: 'lb/ac' },
];

/** The units in which the farm of this field is read; what was typed stays as typed. */
export function UnitsSwitch() {
  const { farm } = useOpenPlan();
  const units = useFarmSave();
  return (
    <>
      <span role="group" aria-label={`Units of ${farm.name}`} className="fig flex gap-2">
        {UNITS.map((u) => (
          <button
            key={u.id}
            type="button"
            aria-pressed={farm.units === u.id}
            className={`min-h-[24px] border-b-2 ${farm.units === u.id ? 'border-ink font-bold' : 'border-transparent text-ink2'}`}
            onClick={() => farm.units !== u.id && units.mutate({ units: u.id })}
          >
            {u.name}
          </button>
        ))}
      </span>
      {units.isError && (
        <span role="alert" className="text-hand">
          units not changed: {units.error.message}
        </span>
      )}
    </>
  );
}

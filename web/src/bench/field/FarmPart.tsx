import { useOpenPlan } from '../../plan/context';
import { useFarmSave } from '../../plan/useFarmSave';
import { SelectField } from '../../ui/inputs';
import { ROW } from './part';

/** How the farm of this field mixes, where good practitioners differ. */
export function FarmPart() {
  const { farm, knowledge } = useOpenPlan();
  const save = useFarmSave();
  const chosen = farm.schools ?? {};
  return (
    <>
      <p className="mt-1 text-[13px] text-ink2">
        For all fields of {farm.name}. Each point is disputed; the bench shows the side chosen here
        beside the other with its conditions, never something between.
      </p>
      <div className={ROW}>
        {knowledge.schools.map((s) => (
          <SelectField
            key={s.id}
            label={s.name}
            value={chosen[s.id] ?? ''}
            empty="not chosen"
            options={s.sides.map((side) => ({ id: side.id, name: `${side.name}: ${side.band}` }))}
            onChange={(side) => {
              const others = Object.entries(chosen).filter(([question]) => question !== s.id);
              save.mutate({
                schools: Object.fromEntries(side ? [...others, [s.id, side]] : others),
              });
            }}
          />
        ))}
      </div>
      {save.isError && (
        <p role="alert" className="text-hand">
          not saved: {save.error.message}
        </p>
      )}
    </>
  );
}

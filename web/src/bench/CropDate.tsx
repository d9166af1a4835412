import { problemAt, NumberField, SelectField } from '../ui/inputs';
import { DateField } from '../ui/DateField';
import { operationOf, setDay, setWhen } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import type { Schemas } from '../api/client';
import { celsiusDegreesOf, fahrenheitDegreesOf } from '../ui/convert';

type Crop = Schemas['CropEntry'];

const WAYS = {
  sow: [
    { id: 'on', name: 'on a day' },
    { id: 'countedBack', name: 'back from a market date' },
  ],
  harvest: [
    { id: 'on', name: 'on a day' },
    { id: 'degreeDays', name: 'by degree days' },
    { id: 'countedBack', name: 'back from a date' },
  ],
};

/** A crop's planting or harvest: a day, by degree days, or counted back from a market date; with the day it falls on. */
export function CropDate({
  crop,
  kind,
  name,
}: {
  crop: Crop;
  kind: 'sow' | 'harvest';
  name: string;
}) {
  const { session, state, knowledge, us } = useOpenPlan();
  const degreeDays = (celsius: number | undefined) =>
    celsius === undefined || !us ? celsius : Number(fahrenheitDegreesOf(celsius).toPrecision(6));
  const plan = state.plan;
  const operation = operationOf(plan, kind, crop.id);
  const when = operation?.when;
  const way = when?.degreeDays ? 'degreeDays' : when?.countedBack ? 'countedBack' : 'on';
  const dated = state.evaluation?.dates.find((d) => d.operationId === operation?.id);
  const growing = knowledge.crops.find((c) => c.id === crop.crop)?.growing;
  const word = kind === 'sow' ? 'planted' : 'harvested';
  const problem = problemAt(
    state.problems,
    `/operations/${plan.operations.findIndex((o) => o === operation)}/when`,
  );
  const change = (to: NonNullable<typeof when>) =>
    session.change((p) => setWhen(p, kind, crop.id, to));
  const turn = (to: string) => {
    if (to === 'degreeDays') change({ degreeDays: {} });
    else if (to === 'countedBack') {
      const from = when?.on ?? dated?.on;
      if (from) change({ countedBack: { from } });
    } else if (dated) change({ on: dated.on });
  };
  return (
    <span className="flex flex-col gap-0.5">
      {way === 'on' && (
        <DateField
          hideLabel
          label={`${name} ${word}`}
          value={when?.on}
          onChange={(d) => session.change((p) => setDay(p, kind, crop.id, d))}
        />
      )}
      {way === 'degreeDays' && (
        <NumberField
          hideLabel
          label={`${name} ${word}, degree days after planting`}
          value={degreeDays(when?.degreeDays?.sum)}
          placeholder={growing ? String(degreeDays(growing.maturityDegreeDays)) : undefined}
          max={us ? 10800 : 6000}
          suffix={<span className="text-[11.5px] text-ink2">{us ? '°F d' : '°C d'}</span>}
          onChange={(typed) =>
            change({
              degreeDays: typed === undefined ? {} : { sum: us ? celsiusDegreesOf(typed) : typed },
            })
          }
          problem={problem}
        />
      )}
      {way === 'countedBack' && when?.countedBack && (
        <span className="flex items-start gap-1">
          <NumberField
            hideLabel
            label={`${name} ${word}, days before the market date`}
            width="w-11"
            value={when.countedBack.days}
            placeholder={growing ? String(growing.daysToMaturity) : undefined}
            max={500}
            suffix={<span className="text-[11.5px] text-ink2">d before</span>}
            onChange={(days) =>
              change({
                countedBack: {
                  from: when.countedBack!.from,
                  ...(days === undefined ? {} : { days }),
                },
              })
            }
            problem={problem}
          />
          <DateField
            hideLabel
            label={`${name}, market date`}
            value={when.countedBack.from}
            onChange={(from) => from && change({ countedBack: { ...when.countedBack!, from } })}
          />
        </span>
      )}
      {way !== 'on' && dated && (
        <span className="fig text-[12.5px]" title={dated.how}>
          = <span className="origin-forecast">{spokenDate(dated.on)}</span>
          {dated.early && dated.late && (
            <span className="text-ink2">
              {' '}
              ({spokenDate(dated.early, false)} … {spokenDate(dated.late, false)})
            </span>
          )}
        </span>
      )}
      {operation && (
        <SelectField
          hideLabel
          width="self-start text-[12px] !min-h-[24px] !bg-transparent !px-0 !py-0 text-ink2"
          label={`How ${name} is dated, ${word}`}
          value={way}
          options={WAYS[kind]}
          onChange={turn}
        />
      )}
    </span>
  );
}

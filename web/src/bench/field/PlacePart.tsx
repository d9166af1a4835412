import { useOpenPlan } from '../../plan/context';
import { NumberField, problemAt, QuantityField, SignedField } from '../../ui/inputs';
import { DayOfYear } from './DayOfYear';
import { ROW, type PartProps } from './part';
import { celsiusDegreesOf, fahrenheitDegreesOf } from '../../ui/convert';

/** Where the field lies, and its frosts. */
export function PlacePart({ field, change, problems }: PartProps) {
  const { us } = useOpenPlan();
  const point = (to: { lat?: number; lon?: number }) => {
    const lat = to.lat ?? field.point?.lat;
    const lon = to.lon ?? field.point?.lon;
    if (lat !== undefined && lon !== undefined) change({ point: { lat, lon } });
  };
  return (
    <div className={ROW}>
      {!field.boundary && (
        <>
          <SignedField
            label="Latitude, ° north"
            value={field.point?.lat}
            least={-90}
            most={90}
            onChange={(lat) => point({ lat, lon: field.point?.lon ?? 0 })}
            problem={problemAt(problems, '/point/lat')}
          />
          <SignedField
            label="Longitude, ° east"
            value={field.point?.lon}
            least={-180}
            most={180}
            onChange={(lon) => point({ lon })}
            problem={problemAt(problems, '/point/lon')}
          />
        </>
      )}
      <QuantityField
        label="Height above the sea"
        value={field.elevation}
        units={us ? ['ft', 'm'] : ['m', 'ft']}
        onChange={(elevation) => change({ elevation })}
        problem={problemAt(problems, '/elevation')}
      />
      <NumberField
        label="Colder than the station at night by"
        value={
          field.coldHollowC === undefined || !us
            ? field.coldHollowC
            : Number(fahrenheitDegreesOf(field.coldHollowC).toFixed(2))
        }
        max={us ? 18 : 10}
        placeholder="0"
        suffix={<span className="text-[11.5px] text-ink2">{us ? '°F' : '°C'}</span>}
        onChange={(v) => change({ coldHollowC: v === undefined || !us ? v : celsiusDegreesOf(v) })}
      />
      <NumberField
        label="Evapotranspiration ×"
        value={field.evapotranspirationScale}
        max={2}
        placeholder="1"
        onChange={(evapotranspirationScale) => change({ evapotranspirationScale })}
        problem={problemAt(problems, '/evapotranspirationScale')}
      />
      <DayOfYear
        label="Usual last spring frost"
        value={field.lastSpringFrost}
        onChange={(lastSpringFrost) => change({ lastSpringFrost })}
        problem={problemAt(problems, '/lastSpringFrost')}
      />
      <DayOfYear
        label="Usual first autumn frost"
        value={field.firstAutumnFrost}
        onChange={(firstAutumnFrost) => change({ firstAutumnFrost })}
        problem={problemAt(problems, '/firstAutumnFrost')}
      />
    </div>
  );
}

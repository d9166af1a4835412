import { Link } from 'react-router';

import type { Field } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { SelectField } from '../ui/inputs';
import { useWeatherChoices } from './api';
import { OutsideLine } from './OutsideLine';
import { WeatherImport } from './WeatherImport';

/** Which weather the field is computed with: a station of an invented climate, or a record brought by the practice. */
export function StationField({
  field,
  change,
}: {
  field: Field;
  change: (to: Partial<Field>) => void;
}) {
  const { state } = useOpenPlan();
  const choices = useWeatherChoices();
  const weather = state.evaluation?.weather;
  const value = field.weather ?? field.station ?? '';
  const stations = choices.data?.stations.map((s) => ({
    id: s.id,
    name: `${s.name}: ${s.climate}, ${Math.abs(Math.round(s.latitude))}° ${s.latitude < 0 ? 'S' : 'N'}`,
    under: 'stations of Etlo, invented',
  }));
  const series = choices.data?.series.map((s) => ({
    id: s.id,
    name: `${s.name}, ${s.first.slice(0, 4)} to ${s.last.slice(0, 4)}`,
    under: 'records of your practice',
  }));
  return (
    <div className="mt-2">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <SelectField
          label="Weather"
          value={value}
          empty="not chosen"
          width="max-w-72"
          options={[...(series ?? []), ...(stations ?? [])]}
          onChange={(id) => {
            const own = series?.some((s) => s.id === id);
            change({
              weather: own ? id : undefined,
              station: own || !id ? undefined : id,
            });
          }}
        />
        <WeatherImport
          latitude={field.point?.lat}
          onKept={(id) => change({ weather: id, station: undefined })}
        />
      </div>
      <p className="mt-1 text-[13px]">
        {weather ? (
          <>
            <span className={weather.origin === 'default' ? 'origin-default' : ''}>
              {weather.how}
            </span>
            , <span className="fig">{weather.years}</span> years.{' '}
            <Link className="link" to={`/weather?field=${field.id}`}>
              See its weather
            </Link>
          </>
        ) : (
          <span className="text-ink2 italic">
            No place is known yet: give a boundary or a latitude, or choose a station.
          </span>
        )}
      </p>
      <OutsideLine field={field} />
    </div>
  );
}

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';

import { api, taken, today, type Schemas } from '../api/client';
import { TopBar } from '../app/TopBar';
import { useUnits, type Units } from '../api/units';
import { spokenDate } from '../ui/days';
import { useWidth } from '../section/useWidth';
import { useWeatherChoices } from './api';
import { MonthChart } from './charts';
import { WeatherImport } from './WeatherImport';
import { fahrenheitOf } from '../ui/convert';

type Climate = Schemas['ClimateView'];

function useClimate(fieldId: string | null, id: string, units: string) {
  return useQuery({
    queryKey: ['climate', fieldId, id, units],
    enabled: fieldId !== null || id !== '',
    retry: false,
    queryFn: async () =>
      fieldId !== null
        ? taken(
            await api.GET('/api/fields/{fieldId}/climate', {
              params: { path: { fieldId }, query: { asOf: today() } },
            }),
          )
        : taken(
            await api.GET('/api/weather/{weatherId}', {
              params: { path: { weatherId: id }, query: { asOf: today(), units } },
            }),
          ),
  });
}

function Frosts({ climate }: { climate: Climate }) {
  const cell = (d: string | undefined) => <td className="fig pl-4 text-right">{d ?? 'rarely'}</td>;
  return (
    <table className="w-full">
      <caption className="text-left text-[13.5px] font-bold">Frost</caption>
      <thead>
        <tr className="border-b border-ink text-right text-[12px]">
          <th className="text-left">nights below</th>
          <th className="pl-4" colSpan={3}>
            last in spring: 1 year in 10 before, middle, 1 in 10 after
          </th>
          <th className="pl-4" colSpan={3}>
            first in autumn: 1 in 10 before, middle, 1 in 10 after
          </th>
          <th className="pl-4">years without</th>
        </tr>
      </thead>
      <tbody>
        {climate.frosts.map((f) => (
          <tr key={f.threshold} className="border-b border-rule2">
            <td className="fig">{f.threshold}</td>
            {cell(f.springEarly)}
            {cell(f.springMiddle)}
            {cell(f.springLate)}
            {cell(f.autumnEarly)}
            {cell(f.autumnMiddle)}
            {cell(f.autumnLate)}
            <td className="fig pl-4 text-right">
              {f.without} of {f.seasons}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const MONTH_NAMES = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ');

function WorkDays({ climate }: { climate: Climate }) {
  const kinds = climate.months[0]?.work.map((w) => w.work) ?? [];
  return (
    <table className="w-full">
      <caption className="text-left text-[13.5px] font-bold">
        Field-work days{' '}
        <span className="font-medium text-ink2 italic">
          {climate.soilWords}, middle of the years
        </span>
      </caption>
      <thead>
        <tr className="border-b border-ink text-right text-[12px]">
          <th />
          {MONTH_NAMES.map((m) => (
            <th key={m}>{m}</th>
          ))}
        </tr>
      </thead>
      <tbody>
        {kinds.map((k, i) => (
          <tr key={k} className="border-b border-rule2">
            <th scope="row" className="text-left text-[13px] font-medium">
              {k}
            </th>
            {climate.months.map((m) => (
              <td
                key={m.month}
                className="fig text-right"
                title={`${Math.round(m.work[i]?.days.low ?? 0)} to ${Math.round(m.work[i]?.days.high ?? 0)}`}
              >
                {m.work[i]?.days.text}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function ClimateSheet({ climate: c }: { climate: Climate }) {
  const [ref, width] = useWidth(600);
  const half = width > 700 ? Math.floor((width - 24) / 2) : width;
  const of = (
    key: 'tmin' | 'tmax' | 'rain' | 'et0' | 'soil' | 'coolDegreeDays' | 'warmDegreeDays',
  ) => c.months.map((m) => m[key]);
  const us = c.temperatureUnit === '°F';
  const base = (celsius: number) =>
    us ? `${Math.round(fahrenheitOf(celsius))} °F` : `${celsius} °C`;
  return (
    <div ref={ref}>
      <p className="text-[13.5px]">
        <span className={c.origin === 'default' ? 'origin-default' : ''}>{c.how}</span>;{' '}
        <span className="fig">{c.years}</span> whole years, {spokenDate(c.recordedFrom)} to{' '}
        {spokenDate(c.recordedTo)}
        {c.filledDays > 0 && (
          <>
            , <span className="fig">{c.filledDays}</span> days filled in
          </>
        )}
        . Bands: 1 year in 10 below, 1 in 10 above.
      </p>
      <div className="mt-2 flex flex-wrap gap-6">
        <MonthChart
          title="Temperature"
          unit={c.temperatureUnit}
          width={half}
          series={[
            { name: 'days', values: of('tmax'), ink: 'var(--warm)', as: 'band' },
            { name: 'nights', values: of('tmin'), ink: 'var(--rain)', as: 'band' },
          ]}
        />
        <MonthChart
          title="Rain and evapotranspiration"
          unit={c.depthUnit}
          width={half}
          series={[
            { name: 'rain', values: of('rain'), ink: 'var(--rain)', as: 'bars' },
            { name: 'ET0', values: of('et0'), ink: 'var(--warm)', as: 'band' },
          ]}
        />
        <MonthChart
          title="Degree days"
          unit={c.degreeDayUnit}
          width={half}
          series={[
            {
              name: `above ${base(4)}`,
              values: of('coolDegreeDays'),
              ink: 'var(--cool-grass)',
              as: 'bars',
            },
            {
              name: `above ${base(10)}`,
              values: of('warmDegreeDays'),
              ink: 'var(--warm-grass)',
              as: 'band',
            },
          ]}
        />
        <MonthChart
          title={us ? 'Bare soil at 2 to 4 in' : 'Bare soil at 5 to 10 cm'}
          unit={c.temperatureUnit}
          width={half}
          series={[{ name: 'soil', values: of('soil'), ink: 'var(--root)', as: 'band' }]}
        />
      </div>
      <div className="mt-4 grid gap-6 overflow-x-auto">
        <Frosts climate={c} />
        <WorkDays climate={c} />
      </div>
      <p className="mt-3 text-[12.5px] text-ink2">
        Sources: Ra, day length and evapotranspiration by FAO-56 (Hargreaves and Samani; 15 to 25 %
        high in humid, low in windy places); degree days by McMaster and Wilhelm 1997, method 1;
        soil temperature after Zheng, Hunt and Running 1993; frost of the screen at 2 m, hollows are{' '}
        {us ? '4 to 7 °F' : '2 to 4 °C'} colder.
      </p>
    </div>
  );
}

/** Stations and records, and the weather of one of them or of a field. */
export function WeatherPage() {
  const [search, setSearch] = useSearchParams();
  const choices = useWeatherChoices();
  const fieldId = search.get('field');
  const first = choices.data?.series[0]?.id ?? choices.data?.stations[0]?.id ?? '';
  const id = search.get('at') ?? first;
  const own = useUnits();
  const [chosen, setUnits] = useState<Units>();
  const units = chosen ?? own;
  const climate = useClimate(fieldId, id, units);
  const choose = (at: string) => setSearch({ at });
  const row = (at: string, name: string, aside: string) => (
    <li key={at}>
      <button
        type="button"
        aria-current={fieldId === null && at === id ? 'true' : undefined}
        className={`w-full border-l-4 py-1 pl-2 text-left leading-tight ${fieldId === null && at === id ? 'border-ink bg-paper2 font-bold' : 'border-transparent hover:bg-paper2'}`}
        onClick={() => choose(at)}
      >
        {name}
        <span className="block text-[12.5px] font-medium text-ink2 italic">{aside}</span>
      </button>
    </li>
  );
  return (
    <>
      <TopBar />
      <main className="px-4 pb-12 max-[640px]:px-2">
        <div className="flex flex-wrap items-center gap-3 py-1.5">
          <h1 className="text-[21px] font-bold">Weather</h1>
          <span className="mr-auto italic">{climate.data?.name}</span>
          {fieldId !== null ? (
            <Link className="link" to={`/fields/${fieldId}/field`}>
              back to the field
            </Link>
          ) : (
            <button
              type="button"
              className="link text-[13px]"
              onClick={() => setUnits(units === 'us' ? 'metric' : 'us')}
            >
              {units === 'us' ? 'show in mm and °C' : 'show in inches and °F'}
            </button>
          )}
          <WeatherImport onKept={choose} />
        </div>
        <div className="grid grid-cols-[220px_minmax(0,1fr)] gap-6 border-t border-ink pt-2 max-[760px]:grid-cols-1">
          <nav aria-label="Stations and records">
            {(choices.data?.series.length ?? 0) > 0 && (
              <>
                <h2 className="text-[14px]">Records of your practice</h2>
                <ul>
                  {choices.data?.series.map((s) =>
                    row(s.id, s.name, `${s.first.slice(0, 4)} to ${s.last.slice(0, 4)}`),
                  )}
                </ul>
              </>
            )}
            <h2 className="mt-2 text-[14px]">Stations of Etlo, invented</h2>
            <ul>
              {choices.data?.stations.map((s) =>
                row(
                  s.id,
                  s.name,
                  `${s.climate}, ${Math.abs(s.latitude).toFixed(0)}° ${s.latitude < 0 ? 'S' : 'N'}`,
                ),
              )}
            </ul>
          </nav>
          <section aria-label="Weather of the place" className="min-w-0">
            {climate.isError && <p role="alert">{climate.error.message}</p>}
            {climate.data && <ClimateSheet climate={climate.data} />}
          </section>
        </div>
      </main>
    </>
  );
}

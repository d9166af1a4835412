import { useState } from 'react';

import type { Figure, Schemas } from '../api/client';
import { addCover, addCoverInto } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { spokenTime } from '../ui/dates';
import { FigureText } from '../plan/FigureText';
import { Stack } from '../ui/Stack';
import { LatestSowings } from './LatestSowings';
import { useCropName } from './pick';
import { Widen } from './Widen';

type Window = Schemas['WindowView'];

/** The windows of the rotation with what each offers in a cool, a middle and a warm year. */
export function WindowTable() {
  const { session, state, us } = useOpenPlan();
  const [widen, setWiden] = useState<string>();
  const [species, setSpecies] = useState<string>();
  const [inside, setInside] = useState(false);
  const name = useCropName();
  const e = state.evaluation;
  const crop = (id: string | undefined) =>
    name(state.plan.crops.find((c) => c.id === id)).toLowerCase();
  const coverIn = (w: Window) => e?.covers.find((c) => c.windowId === w.id);
  const windows = e?.windows ?? [];
  const shown = windows.filter((w) => w.kind === 'between' || inside || coverIn(w));
  const hidden = windows.length - shown.length;
  const cover = (w: Window) =>
    session.change((p) =>
      w.kind === 'between'
        ? addCover(p, w.beforeCropId ?? '')[0]
        : addCoverInto(p, w.afterCropId, w.kind, w.from, w.usualMethod),
    );
  return (
    <>
      <div className="mt-4 flex flex-wrap items-baseline gap-x-3">
        <h3 className="font-bold">Windows</h3>
        {e?.weather ? (
          <span className="text-[13px] text-ink2 italic">
            {e.weather.origin === 'default' ? (
              <span className="origin-default">{e.weather.how}</span>
            ) : (
              e.weather.how
            )}
            , <span className="fig not-italic">{e.weather.years}</span> years
            {e.weather.forecastIssued &&
              `; the next days by the forecast of ${spokenTime(e.weather.forecastIssued)}`}
            {e.weather.missingDays > 0 && (
              <span className="origin-default">
                ; <span className="fig not-italic">{e.weather.missingDays}</span>{' '}
                {e.weather.missingDays === 1 ? 'day' : 'days'} gone by not in the record, other
                years stand for {e.weather.missingDays === 1 ? 'it' : 'them'}
              </span>
            )}
          </span>
        ) : (
          <span className="text-[13px] text-ink2 italic">
            enter on the Field step where the field lies to see warmth and water in the windows
          </span>
        )}
      </div>
      {windows.length === 0 && (
        <p className="text-ink2 italic">A window opens between a harvest and the next planting.</p>
      )}
      {shown.length > 0 && (
        <Stack>
          <table className="w-full">
            <thead>
              <tr className="border-b border-ink text-right text-[12.5px]">
                <th className="py-1 text-left">window</th>
                <th>days</th>
                <th className="pl-2">{us ? 'above 39 °F' : 'above 4 °C'}</th>
                <th className="pl-2">first autumn frost</th>
                <th className="pl-2">last spring frost</th>
                <th className="pl-2">water on offer</th>
                <th className="pl-2">dry enough to drill</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {shown.map((w) => {
                const cell = (f: Figure | undefined, band = true) => (
                  <td className="pl-2 text-right align-top leading-[24px]">
                    <FigureText of={f} />
                    {band && f?.low && (
                      <span className="fig block text-[12px] text-ink2">
                        {f.low} … {f.high}
                      </span>
                    )}
                  </td>
                );
                return (
                  <tr key={w.id} className="border-b border-rule2">
                    <td className="min-w-28 py-1 align-top leading-tight">
                      {w.kind === 'between' ? (
                        <>
                          {crop(w.afterCropId)} → {crop(w.beforeCropId)}
                        </>
                      ) : (
                        <>
                          in {crop(w.afterCropId)}: {w.words}
                        </>
                      )}
                      <span className="fig block text-[12.5px] text-ink2">
                        {spokenDate(w.from)} to{' '}
                        {w.kind === 'between' ? spokenDate(w.to) : spokenDate(w.sowUntil)}
                        {w.kind !== 'between' && ' to sow; then to ' + spokenDate(w.to)}
                      </span>
                      {w.kind !== 'between' && (
                        <span className="text-[12.5px] text-ink2">
                          light under the crop <FigureText of={w.light} />
                        </span>
                      )}
                    </td>
                    {cell(w.days, false)}
                    {cell(w.degreeDays)}
                    {cell(w.firstFrost)}
                    {cell(w.lastFrost)}
                    {cell(w.water)}
                    {w.drillDays ? cell(w.drillDays) : <td />}
                    <td className="pl-2 text-right align-top text-[13px] leading-relaxed">
                      {w.kind === 'between' && (
                        <button
                          type="button"
                          className="link block min-h-[24px] w-full text-right"
                          aria-label={`Widen the window ahead of ${crop(w.beforeCropId)}`}
                          onClick={() => setWiden(w.id)}
                        >
                          widen
                        </button>
                      )}
                      {e?.weather && (
                        <button
                          type="button"
                          className="link block min-h-[24px] w-full text-right"
                          aria-label={`Species in the window from ${spokenDate(w.from)}`}
                          onClick={() => setSpecies(w.id)}
                        >
                          species
                        </button>
                      )}
                      {!coverIn(w) && (
                        <button
                          type="button"
                          className="link block min-h-[24px] w-full text-right"
                          aria-label={`Add a cover in the window from ${spokenDate(w.from)}, ${w.words}`}
                          onClick={() => cover(w)}
                        >
                          add a cover
                        </button>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </Stack>
      )}
      {(hidden > 0 || inside) && (
        <button type="button" className="link mt-1 text-[13px]" onClick={() => setInside(!inside)}>
          {inside ? 'windows between crops alone' : `${hidden} more inside the crops`}
        </button>
      )}
      <Calendar />
      <Widen windowId={widen} onClose={() => setWiden(undefined)} />
      <LatestSowings windowId={species} onClose={() => setSpecies(undefined)} />
    </>
  );
}

/** What has to be decided by when, counted back from the sowing. */
function Calendar() {
  const { state } = useOpenPlan();
  const e = state.evaluation;
  const covers = e?.covers.filter((c) => e.calendar.some((d) => d.subject === c.id)) ?? [];
  if (!e || covers.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 font-bold">Counted back</h3>
      {covers.map((c) => (
        <div key={c.id} className="border-b border-rule2 py-1">
          <span className="text-[13.5px]">{c.name}</span>
          <ol className="fig flex flex-wrap gap-x-5 text-[13px] leading-[26px]">
            {e.calendar
              .filter((d) => d.subject === c.id)
              .map((d) => (
                <li key={d.what} title={d.because}>
                  <b className={d.by < e.asOf ? 'text-ink3' : ''}>{spokenDate(d.by)}</b> {d.what}
                  {d.by < e.asOf && <span className="text-ink3"> (past)</span>}
                </li>
              ))}
            {e.sow[c.id]?.drillCapacity && (
              <li>
                the drill can do <FigureText of={e.sow[c.id]?.drillCapacity} band /> by then
              </li>
            )}
          </ol>
        </div>
      ))}
    </>
  );
}

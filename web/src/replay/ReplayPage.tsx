import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';

import { api, Refusal, taken, type Evaluation, type Plan } from '../api/client';
import { TopBar } from '../app/TopBar';
import { NO_HAND } from '../plan/drawnSection';
import { GroundSection } from '../section/GroundSection';
import { addDays, dateOf, dayNumber, spokenDate } from '../ui/days';
import { useWidth } from '../section/useWidth';
import { SelectField } from '../ui/inputs';
import { useDay, useEnd, useYears, type Choice, type DayView } from './api';
import { Decide } from './Decide';
import { keepCourse, keptCourse, withoutLast, type Course } from './kept';
import { ReplayEnd } from './ReplayEnd';
import { SkyChart } from './SkyChart';

/** Between two days while it runs, ms. */
const TICK_MS = 130;
const SECTION_PX = 330;

const message = (e: Error) =>
  e instanceof Refusal ? (e.problems[0]?.message ?? e.message) : e.message;

/** What is expected on the day at hand of the figures to keep an eye on. */
function Expected({ now }: { now: DayView }) {
  return (
    <table className="w-full text-[13.5px]">
      <caption className="pb-1 text-left text-[12.5px] text-ink2 italic">
        as one would expect on this day: the days gone by, the days forecast, and the other years of
        the record
      </caption>
      <tbody>
        {now.watched.map((f) => {
          return (
            <tr key={f.id} className="border-b border-rule2">
              <th scope="row" className="py-0.5 pr-2 text-left font-medium">
                {f.label}
              </th>
              <td className="fig text-right whitespace-nowrap">
                {f.low && (
                  <span className="mr-2 text-[12px] text-ink2">
                    {f.low} … {f.high}
                  </span>
                )}
                <b>{f.text}</b> <span className="text-[11.5px] text-ink2">{f.unit}</span>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface SeasonProps {
  plan: Plan;
  revision: number;
  coverId: string;
  year: number;
  from: string;
  to: string;
  us: boolean;
}

/** One season in one year, day by day. */
function Season({ plan, revision, coverId, year, from, to, us }: SeasonProps) {
  const [course, setCourse] = useState<Course>(
    () => keptCourse(plan.id, revision, coverId, year) ?? { day: from, choices: [] },
  );
  const [runs, setRuns] = useState(false);
  const [ref, width] = useWidth(1248);
  const season = useMemo(() => ({ plan, coverId, year }), [plan, coverId, year]);
  const day = useDay(season, course.day, course.choices);
  const end = useEnd(season, course.choices);
  const now = day.data;
  const there = !day.isPlaceholderData && now !== undefined;
  // it may have halted before the day that was asked for
  const at = there ? now.day : course.day;
  const halted = there && now.asks.length > 0;
  const over = there && !halted && now.day === now.to;

  useEffect(() => {
    keepCourse(plan.id, revision, coverId, year, { day: at, choices: course.choices });
  }, [plan.id, revision, coverId, year, at, course.choices]);
  const goOn = runs && !halted && !over && !day.isError;
  useEffect(() => {
    if (!goOn || !there) return;
    const next = setTimeout(() => setCourse((c) => ({ ...c, day: addDays(now.day, 1) })), TICK_MS);
    return () => clearTimeout(next);
  }, [goOn, there, now]);
  const { mutate: look, reset } = end;
  useEffect(() => {
    if (over) look();
    else reset();
  }, [over, look, reset]);

  const go = (to: string) => {
    setRuns(false);
    setCourse((c) => ({ ...c, day: to }));
  };
  const choose = (c: Choice) =>
    setCourse((old) => ({
      day: at,
      // a thing decided again on one day replaces what was decided of it on that day or later
      choices: [
        ...old.choices.filter(
          (x) => x.made < c.made || x.kind !== c.kind || x.subject !== c.subject,
        ),
        c,
      ],
    }));
  return (
    <>
      <div ref={ref} className="border-b border-ink">
        {now && (
          <GroundSection
            evaluation={now.evaluation as Evaluation}
            fold="full"
            width={width}
            height={SECTION_PX}
            us={us}
            focus={[from, to]}
            oneWindow
            moved={{}}
            still
            hand={NO_HAND}
          />
        )}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => go(addDays(at, -1))}
          disabled={at <= from}
        >
          ‹ a day
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => go(addDays(at, 1))}
          disabled={halted || at >= to}
        >
          a day ›
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => go(addDays(at, 7))}
          disabled={halted || at >= to}
        >
          a week ›
        </button>
        <button
          type="button"
          className="btn btn-main"
          aria-pressed={goOn}
          onClick={() => setRuns(!goOn)}
          disabled={halted || over}
        >
          {goOn ? 'Hold' : 'Let it run'}
        </button>
        <label className="flex grow items-center gap-2 text-[13px]">
          <span className="text-ink2">day</span>
          <input
            type="range"
            className="grow"
            min={dayNumber(from)}
            max={dayNumber(to)}
            value={dayNumber(at)}
            aria-valuetext={spokenDate(at)}
            onChange={(e) => go(dateOf(Number(e.target.value)))}
          />
        </label>
        <output className="text-right leading-tight" aria-live="off">
          <b className="fig block text-[19px]">{spokenDate(at)}</b>
          {now && (
            <span className="text-[12.5px] text-ink2 italic">
              weather of <span className="fig not-italic">{spokenDate(now.past)}</span>
            </span>
          )}
        </output>
      </div>
      {day.isError && (
        <p role="alert" className="mt-2 text-hand">
          This day could not be worked out: {message(day.error)}{' '}
          <button type="button" className="link" onClick={() => void day.refetch()}>
            Try again
          </button>
        </p>
      )}
      {now && (
        <div className="mt-3 grid grid-cols-[minmax(0,4fr)_minmax(0,5fr)_minmax(0,5fr)] gap-6 max-[900px]:grid-cols-1">
          <Decide
            day={at}
            asks={there ? now.asks : []}
            soon={there ? now.soon : []}
            choices={course.choices}
            choose={choose}
            takeBack={() => setCourse(withoutLast)}
          />
          <div>
            <SkyChart sky={now.sky} width={Math.max(280, Math.min(430, width / 3 - 20))} />
            <p className="mt-1 text-[13.5px]">
              Soil <span className="fig">{now.sky.soil}</span> · rain of the last 30 days{' '}
              <span className="fig">{now.sky.rainOfAMonth}</span>
            </p>
          </div>
          <Expected now={now} />
        </div>
      )}
      {over && end.isPending && <p className="mt-3 italic">looking what came of it</p>}
      {over && end.isError && (
        <p role="alert" className="mt-2 text-hand">
          What came of it could not be worked out: {message(end.error)}
        </p>
      )}
      {over && end.data && <ReplayEnd end={end.data} season={season} choices={course.choices} />}
      {course.choices.length > 0 && (
        <p className="mt-3">
          <button
            type="button"
            className="link text-[13.5px]"
            onClick={() => {
              setRuns(false);
              setCourse({ day: from, choices: [] });
            }}
          >
            Begin again from {spokenDate(from)}
          </button>
        </p>
      )}
    </>
  );
}

/** A past year of the station gone through with the field's plan: to learn, and to see what a plan can stand. */
export function ReplayPage() {
  const { fieldId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const loaded = useQuery({
    queryKey: ['replayed-plan', fieldId, search.get('plan')],
    gcTime: 0,
    retry: false,
    queryFn: async () => {
      const planId = search.get('plan');
      const [saved, field, farms, knowledge] = await Promise.all([
        planId
          ? api.GET('/api/plans/{planId}', { params: { path: { planId } } }).then(taken)
          : api.GET('/api/fields/{fieldId}/plan', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/fields/{fieldId}', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/farms').then(taken),
        api.GET('/api/knowledge').then(taken),
      ]);
      return { saved, field, knowledge, farm: farms.find((f) => f.id === field.farmId) };
    },
  });
  const plan = loaded.data?.saved.plan;
  const covers = plan?.covers ?? [];
  const coverId = covers.find((c) => c.id === search.get('cover'))?.id ?? covers[0]?.id ?? '';
  const years = useYears(plan, coverId);
  const year = Number(search.get('year')) || years.data?.picks[0]?.year || years.data?.years[0];
  const put = (name: string, value: string) =>
    setSearch(
      (s) => {
        s.set(name, value);
        return s;
      },
      { replace: true },
    );
  const cropName = (id: string) => {
    const crop = plan?.crops.find((c) => c.id === id)?.crop;
    return loaded.data?.knowledge.crops.find((c) => c.id === crop)?.name.toLowerCase() ?? id;
  };
  const picks = years.data?.picks ?? [];
  const chosen = picks.filter((p) => p.year === year);
  const back = `/fields/${fieldId}${plan && !loaded.data?.saved.current ? `?plan=${plan.id}` : ''}`;
  return (
    <>
      <TopBar />
      <main className="px-4 pb-10 max-[640px]:px-2">
        <div className="flex flex-wrap items-end gap-x-4 gap-y-1 py-1.5">
          <h1 className="text-[21px] font-bold">
            {loaded.data ? `${loaded.data.field.name} in a past year` : 'A past year'}
          </h1>
          <Link className="link mr-auto pb-1 text-[13.5px]" to={back}>
            back to the plan
          </Link>
          {covers.length > 0 && (
            <SelectField
              label="Cover"
              value={coverId}
              onChange={(v) => put('cover', v)}
              options={covers.map((c) => ({
                id: c.id,
                name: `${c.place.relation} ${cropName(c.place.cropId)}`,
              }))}
            />
          )}
          {years.data && year !== undefined && (
            <SelectField
              label="Ends in the year"
              value={String(year)}
              onChange={(v) => put('year', v)}
              options={years.data.years.map((y) => ({
                id: String(y),
                name: [
                  String(y),
                  ...picks.filter((p) => p.year === y).map((p) => p.name.replace(/^the /, '')),
                ].join(' · '),
              }))}
            />
          )}
        </div>
        {picks.length > 0 && (
          <p className="mb-1 flex flex-wrap gap-x-3 text-[13.5px]">
            <span className="text-ink2">Go through</span>
            {picks.map((p) => (
              <button
                key={p.kind}
                type="button"
                className={`link ${p.year === year ? 'font-bold' : ''}`}
                aria-pressed={p.year === year}
                title={p.words}
                onClick={() => put('year', String(p.year))}
              >
                {p.name}
              </button>
            ))}
          </p>
        )}
        {chosen.length > 0 && (
          <p className="mb-1 text-[13px] text-ink2 italic">
            {chosen.map((p) => `${p.name}, ${p.words}`).join('; ')}
          </p>
        )}
        {loaded.isPending && <p className="italic">opening the plan</p>}
        {loaded.isError && (
          <p role="alert" className="text-hand">
            The plan could not be opened: {message(loaded.error)}
          </p>
        )}
        {plan && covers.length === 0 && (
          <p className="py-4 text-ink2 italic">
            The plan has no cover yet. Put one into the rotation; then its season can be gone
            through.
          </p>
        )}
        {years.isError && (
          <p role="alert" className="py-2 text-hand">
            {message(years.error)}
          </p>
        )}
        {plan && loaded.data && years.data && year !== undefined && (
          <Season
            key={`${plan.id} ${coverId} ${year}`}
            plan={plan}
            revision={loaded.data.saved.revision}
            coverId={coverId}
            year={year}
            from={years.data.from}
            to={years.data.to}
            us={loaded.data.farm?.units === 'us'}
          />
        )}
      </main>
    </>
  );
}

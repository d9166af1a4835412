import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';

import { api, Refusal, taken, today, type Evaluation, type Schemas } from '../api/client';
import { TopBar } from '../app/TopBar';
import { NO_HAND } from '../plan/drawnSection';
import { GroundSection } from '../section/GroundSection';
import { useWidth } from '../section/useWidth';
import { common } from './common';
import { Check } from '../ui/Check';

type Compared = Schemas['ComparedView'];
type Plan = Compared['plans'][number];

const MOST = 4;
/** Height of one of the small pictures, px: less each, the more there are. */
const HEIGHTS = [330, 330, 262, 236, 212];

const nameOf = (p: { label: string; current: boolean }) =>
  p.current ? 'the field’s own plan' : p.label;

function Pictures({ plans, us }: { plans: Plan[]; us: boolean }) {
  const [ref, width] = useWidth(1248);
  const shared = useMemo(() => common(plans.map((p) => p.evaluation as Evaluation)), [plans]);
  return (
    <div ref={ref}>
      {plans.map((p, i) => (
        <figure key={p.planId} className="border-b border-ink pt-1">
          <figcaption className="text-[15px]">
            <b>{i + 1}</b> <span className="first-letter:uppercase">{nameOf(p)}</span>
          </figcaption>
          <GroundSection
            evaluation={shared.evaluations[i]!}
            fold="full"
            width={width}
            height={HEIGHTS[plans.length] ?? HEIGHTS[MOST]!}
            us={us}
            focus={[shared.from, shared.to]}
            oneWindow
            moved={{}}
            still
            hand={NO_HAND}
          />
        </figure>
      ))}
    </div>
  );
}

const SAME = 'the same';

function Figures({ compared }: { compared: Compared }) {
  const [all, setAll] = useState(false);
  const differing = compared.figures.filter(
    (f) => f.figures.some((v) => !v) || f.differences.some((d) => !!d && d !== SAME),
  );
  const shown = all || compared.plans.length < 2 ? compared.figures : differing;
  return (
    <div className="overflow-x-auto">
      {compared.plans.length > 1 && (
        <Check className="mt-3" checked={all} onChange={setAll}>
          also the figures that are the same ({compared.figures.length - differing.length})
        </Check>
      )}
      {shown.length === 0 && (
        <p className="mt-2 text-ink2 italic">No figure differs between these plans.</p>
      )}
      <table className="mt-2 w-full text-[13.5px]">
        <caption className="pb-1 text-left text-[12.5px] text-ink2 italic">
          middle of the weather years, 8 in 10 between the small numbers; differences from plan 1
        </caption>
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">figure</th>
            {compared.plans.map((p, i) => (
              <th key={p.planId} className="pl-4 text-right">
                {i + 1} {nameOf(p)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((f) => (
            <tr key={f.id} className="border-b border-rule2">
              <th scope="row" className="py-0.5 text-left font-medium">
                {f.label}
              </th>
              {f.figures.map((v, i) => (
                <td
                  key={compared.plans[i]?.planId}
                  className="fig pl-4 text-right whitespace-nowrap"
                >
                  {v ? (
                    <>
                      {v.low && (
                        <span className="mr-1.5 text-[12px] text-ink2">
                          {v.low} … {v.high}
                        </span>
                      )}
                      <b>{v.text}</b> <span className="text-[11.5px] text-ink2">{v.unit}</span>
                      {f.differences[i] && (
                        <span className="ml-2 inline-block min-w-[3.6rem] text-ink2">
                          {f.differences[i]}
                        </span>
                      )}
                    </>
                  ) : (
                    '–'
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Plans of one field under each other on one scale of time and height, and their figures side by side. */
export function ComparePage() {
  const { fieldId = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const known = useQuery({
    queryKey: ['compared-plans', fieldId],
    gcTime: 0,
    retry: false,
    queryFn: async () => {
      const [plans, field, farms] = await Promise.all([
        api.GET('/api/fields/{fieldId}/plans', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/fields/{fieldId}', { params: { path: { fieldId } } }).then(taken),
        api.GET('/api/farms').then(taken),
      ]);
      return { plans, field, us: farms.find((f) => f.id === field.farmId)?.units === 'us' };
    },
  });
  const all = known.data?.plans ?? [];
  const from = search.get('from');
  const asked = search.getAll('plan').filter((id) => all.some((p) => p.id === id));
  const shown = asked.length > 0 ? asked : all.slice(0, 2).map((p) => p.id);
  const compared = useQuery({
    queryKey: ['compared', fieldId, shown],
    enabled: shown.length > 0,
    gcTime: 0,
    retry: false,
    queryFn: async () =>
      taken(
        await api.GET('/api/fields/{fieldId}/compared', {
          params: { path: { fieldId }, query: { plan: shown, asOf: today() } },
        }),
      ),
  });
  const tick = (id: string, on: boolean) =>
    setSearch(
      (s) => {
        s.delete('plan');
        all
          .map((p) => p.id)
          .filter((p) => (p === id ? on : shown.includes(p)))
          .forEach((p) => s.append('plan', p));
        return s;
      },
      // the tick is seen at once, not when the plans are there
      { replace: true, flushSync: true },
    );
  const failed = known.error ?? compared.error;
  return (
    <>
      <TopBar />
      <main className="px-4 pb-10 max-[640px]:px-2">
        <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-1.5">
          <h1 className="text-[21px] font-bold">
            {known.data ? `${known.data.field.name}: plans compared` : 'Plans compared'}
          </h1>
          <Link
            className="link text-[13.5px]"
            to={`/fields/${fieldId}${from ? `?plan=${from}` : ''}`}
          >
            back to the plan
          </Link>
          <fieldset className="ml-auto flex flex-wrap gap-x-4 text-[13.5px]">
            <legend className="sr-only">Plans that are shown, up to {MOST}</legend>
            {all.map((p) => {
              const on = shown.includes(p.id);
              return (
                <Check
                  key={p.id}
                  checked={on}
                  disabled={(on && shown.length === 1) || (!on && shown.length >= MOST)}
                  onChange={(to) => tick(p.id, to)}
                >
                  {nameOf(p)}
                </Check>
              );
            })}
          </fieldset>
        </div>
        {failed && (
          <p role="alert" className="text-hand">
            The plans could not be compared:{' '}
            {failed instanceof Refusal
              ? (failed.problems[0]?.message ?? failed.message)
              : failed.message}
          </p>
        )}
        {all.length === 1 && (
          <p className="py-2 text-ink2 italic">
            There is only one plan. On the field’s page, “copy this plan” makes another one to
            change and to set against it.
          </p>
        )}
        {compared.isPending && !failed && <p className="italic">working out the plans</p>}
        {compared.data && (
          <>
            <Pictures plans={compared.data.plans} us={known.data?.us ?? false} />
            <Figures compared={compared.data} />
          </>
        )}
      </main>
    </>
  );
}

import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import {
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { Link, useNavigate } from 'react-router';

import { api, Refusal, taken, today, token, type Problem } from '../api/client';
import { TopBar } from '../app/TopBar';
import { FIG } from '../section/ink';
import { addDays, dayNumber, spokenDate } from '../ui/days';
import { months, timeScale } from '../section/scale';
import { useWidth } from '../section/useWidth';
import { Panel } from '../ui/Panel';
import { FieldTurns } from './FieldTurns';
import { NewField } from './NewField';
import { NewFarm } from './NewFarm';
import { DUE_DAYS, type RowBitmaps, type Span } from './rowBitmaps';
import { RowPicture, useRowBitmaps } from './RowPicture';
import { useFieldPages, type FieldRow } from '../api/useFieldPages';
import { Select } from '../ui/Select';

const ROW_PX = 56;
const GRID =
  'grid grid-cols-[52px_152px_minmax(0,1fr)_300px] gap-x-4 max-[900px]:grid-cols-[46px_128px_minmax(0,1fr)]';

const PROGRESS_AGAIN_MS = 700;

/** How far recomputing the fields has come; asked while some are pending. */
function Refreshing({ pending, fields }: { pending: number; fields: number }) {
  const progress = useQuery({
    queryKey: ['refresh'],
    queryFn: async () => taken(await api.GET('/api/refresh')),
    refetchInterval: PROGRESS_AGAIN_MS,
  });
  const left = Math.min(pending, progress.data?.waiting || pending);
  const all = Math.max(fields, progress.data?.fields ?? 0, 1);
  return (
    <p className="flex flex-wrap items-center gap-2 text-[13px] text-ink2">
      <label htmlFor="refreshing" role="status" className="italic">
        updating <span className="fig not-italic">{all - left}</span> of{' '}
        <span className="fig not-italic">{all}</span> fields
      </label>
      <progress id="refreshing" className="h-2 w-48" max={all} value={all - left} />
      <span className="italic">those still to come are shown as they were</span>
    </p>
  );
}

function ImportPlan() {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async ({ file, existing }: { file: File; existing?: 'replace' | 'copy' }) => {
      const answer = await fetch(`/api/dossiers${existing ? `?existing=${existing}` : ''}`, {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/octet-stream' },
        body: file,
      });
      const body = (await answer.json()) as {
        fieldId: string;
        planId: string;
        current: boolean;
        kept?: string[];
        detail?: string;
        problems?: Problem[];
        differences?: string[];
      };
      if (answer.status === 409 && body.differences) {
        setMet({ file, differences: body.differences });
        return undefined;
      }
      setMet(undefined);
      if (!answer.ok)
        throw new Refusal(answer.status, body.detail ?? 'refused', body.problems ?? []);
      return body;
    },
    onSuccess: async (done) => {
      if (!done) return;
      await queries.invalidateQueries();
      const at = `/fields/${done.fieldId}${done.current ? '' : `?plan=${done.planId}`}`;
      if (done.kept?.length) setKept({ at, words: done.kept });
      else void navigate(at);
    },
  });
  const [met, setMet] = useState<{ file: File; differences: string[] }>();
  const [kept, setKept] = useState<{ at: string; words: string[] }>();
  const first = take.error instanceof Refusal ? take.error.problems[0] : undefined;
  return (
    <>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        Import a plan
      </button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Plan file"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) take.mutate({ file });
          e.target.value = '';
        }}
      />
      <Panel
        title="This plan is here already"
        open={met !== undefined}
        onOpenChange={(open) => !open && setMet(undefined)}
      >
        {met && (
          <>
            <p className="text-[13.5px] text-ink2">Here → in the file:</p>
            <ul className="my-2 max-h-60 overflow-y-auto text-[14px]">
              {met.differences.map((w) => (
                <li key={w}>{w}</li>
              ))}
            </ul>
            <span className="flex flex-wrap gap-2">
              <button
                type="button"
                className="btn btn-main"
                disabled={take.isPending}
                onClick={() => take.mutate({ file: met.file, existing: 'copy' })}
              >
                Add it as a copy
              </button>
              <button
                type="button"
                className="btn"
                disabled={take.isPending}
                onClick={() => take.mutate({ file: met.file, existing: 'replace' })}
              >
                Replace the plan here
              </button>
            </span>
            <p className="mt-2 text-[13px] text-ink2">
              A replaced plan stays in the history and can be restored by Undo.
            </p>
          </>
        )}
      </Panel>
      <Panel
        title="Imported; this practice keeps its own of the following"
        open={kept !== undefined}
        onOpenChange={(open) => !open && setKept(undefined)}
      >
        <p className="text-[13.5px] text-ink2">In the file → here, as it stays:</p>
        <ul className="my-2">
          {kept?.words.map((w) => (
            <li key={w}>{w}</li>
          ))}
        </ul>
        <Link className="btn btn-main inline-block" to={kept?.at ?? '/fields'}>
          Open the plan
        </Link>
      </Panel>
      {take.error && (
        <p role="alert" className="basis-full text-hand">
          Not imported. {first ? `${first.pointer}: ${first.message}` : take.error.message}
        </p>
      )}
    </>
  );
}

/** The months over the rows, today, and the fortnight ahead. */
function Axis({ frame, day }: { frame: Span; day: string }) {
  const scale = timeScale(frame.from, frame.to, 0, frame.width);
  const now = scale.x(day);
  const text = { fontFamily: FIG, fill: 'var(--ink)' };
  return (
    <svg width={frame.width} height={34} className="block" aria-hidden>
      <text x={now - 6} y={12} fontSize="12" fontWeight="700" textAnchor="end" {...text}>
        today, {spokenDate(day)}
      </text>
      <text x={scale.x(addDays(day, DUE_DAYS)) + 4} y={12} fontSize="12" {...text}>
        next {DUE_DAYS} days
      </text>
      <path d={`M0 17H${frame.width}`} stroke="var(--ink)" strokeWidth="1.25" />
      {months(scale).map((t) => (
        <g key={t.x}>
          <path d={`M${t.x} 17v${t.year ? 13 : 5}`} stroke="var(--ink)" strokeWidth="1" />
          <text
            x={t.year ? t.x + 4 : t.x + t.width / 2}
            y={30}
            fontSize={t.year ? 12 : 11}
            fontWeight={t.year ? 700 : 400}
            textAnchor={t.year ? 'start' : 'middle'}
            {...text}
          >
            {t.label}
          </text>
        </g>
      ))}
    </svg>
  );
}

const Row = memo(function Row({
  f,
  i,
  n,
  frame,
  day,
  start,
  bitmaps,
}: {
  f: FieldRow;
  i: number;
  n: number;
  frame: Span;
  day: string;
  start: number;
  bitmaps?: RowBitmaps;
}) {
  const days = f.next && dayNumber(f.next.date) - dayNumber(day);
  return (
    <li
      aria-setsize={n}
      aria-posinset={i + 1}
      className={`absolute inset-x-0 top-0 ${GRID} items-center border-b border-rule2 focus-within:bg-paper2 hover:bg-paper2`}
      style={{ transform: `translateY(${start}px)`, height: ROW_PX + 1 }}
    >
      <span className="fig text-right leading-none">
        {days !== undefined && (
          <>
            <span className={`text-[22px] font-bold ${days <= DUE_DAYS ? 'text-hand' : ''}`}>
              {days}
            </span>
            <span className="mt-1 block text-[12px] whitespace-nowrap text-ink2">
              {spokenDate(f.next?.date ?? '', false)}
            </span>
          </>
        )}
      </span>
      <span className="min-w-0 leading-tight">
        <Link
          to={`/fields/${f.fieldId}${f.next ? `/${f.next.step}` : ''}`}
          className="block truncate text-[15.5px] font-bold after:absolute after:inset-0"
        >
          {f.name}
        </Link>
        <span className="text-[13px] text-ink2 italic">
          {f.current ? f.farmName : 'being updated'}
          {f.area && (
            <>
              , <span className="fig not-italic">{f.area}</span>
            </>
          )}
        </span>
      </span>
      <span className="relative block" style={{ height: ROW_PX }}>
        <RowPicture f={f} frame={frame} bitmaps={bitmaps} />
      </span>
      <span className="min-w-0 text-[13.5px] leading-tight max-[900px]:hidden">
        {f.next ? (
          <b className="block first-letter:uppercase">{f.next.what}</b>
        ) : (
          <span className="text-ink3 italic">nothing dated ahead</span>
        )}
        {f.note && (
          <span className="line-clamp-2 text-[12.5px]">
            <b className={`fig mr-1.5 ${f.note.weight === 'stop' ? 'text-hand' : ''}`}>
              {f.note.weight.toUpperCase()}
            </b>
            {f.note.text}
          </span>
        )}
      </span>
    </li>
  );
});

/** Which fields are shown. */
const FILTERS = [
  { id: '', name: 'all' },
  { id: 'due', name: `due in ${DUE_DAYS} days` },
  { id: 'stop', name: 'with a stop note' },
  { id: 'undated', name: 'nothing dated ahead' },
];

const ORDERS = [
  { id: '', name: 'soonest decision' },
  { id: 'name', name: 'field name' },
  { id: 'farm', name: 'farm' },
];

/** The rows in sight and a few beyond, however many fields there are; further pages are read when they come near. */
function Rows({
  shown,
  matching,
  frame,
  day,
  onNear,
}: {
  shown: FieldRow[];
  matching: number;
  frame: Span;
  day: string;
  /** The end of what is read is near. */
  onNear: () => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  const bitmaps = useRowBitmaps(frame, day);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const rows = useWindowVirtualizer({
    count: matching,
    estimateSize: () => ROW_PX + 1,
    overscan: 4,
    scrollMargin: top,
    getItemKey: (i) => shown[i]?.fieldId ?? i,
  });
  const items = rows.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  useEffect(() => {
    if (last >= shown.length - 1 && shown.length < matching) onNear();
  }, [last, shown.length, matching, onNear]);
  return (
    <ul
      ref={list}
      aria-label="Fields"
      className={`relative ${shown.length > 0 ? 'border-t border-ink' : ''}`}
      style={{ height: rows.getTotalSize() }}
    >
      {items.map((v) => {
        const f = shown[v.index];
        return f ? (
          <Row
            key={f.fieldId}
            f={f}
            i={v.index}
            n={matching}
            frame={frame}
            day={day}
            start={v.start - top}
            bitmaps={bitmaps}
          />
        ) : (
          <li
            key={v.index}
            className="absolute inset-x-0 top-0 border-b border-rule2"
            style={{ transform: `translateY(${v.start - top}px)`, height: ROW_PX + 1 }}
          />
        );
      })}
    </ul>
  );
}

const NONE: FieldRow[] = [];

export function FieldsPage() {
  const farms = useQuery({
    queryKey: ['farms'],
    queryFn: async () => taken(await api.GET('/api/farms')),
  });
  const [find, setFind] = useState('');
  const [show, setShow] = useState('');
  const [order, setOrder] = useState('');
  const fields = useFieldPages({ show, order, find: useDeferredValue(find.trim()) });
  const [ref, width] = useWidth(620);
  const last = fields.data?.pages.at(-1);
  const day = last?.asOf ?? today();
  const frame = useMemo(
    () => ({ width, height: ROW_PX, from: addDays(day, -180), to: addDays(day, 420) }),
    [width, day],
  );
  const shown = useMemo(() => fields.data?.pages.flatMap((p) => p.fields), [fields.data]);
  const { fetchNextPage, isFetchingNextPage } = fields;
  const near = useCallback(() => {
    if (!isFetchingNextPage) void fetchNextPage();
  }, [fetchNextPage, isFetchingNextPage]);
  const pending = last?.pending ?? 0;
  const total = last?.total ?? 0;
  const some = (shown?.length ?? 0) > 0;
  const unitsOfFarms = farms.data?.map(
    (f) => `${f.name} in ${f.units === 'us' ? 'lb/ac' : 'kg/ha'}`,
  );
  return (
    <>
      <TopBar />
      <main className="px-4 pb-10 max-[640px]:px-2">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
          <h1 className="text-[21px] font-bold">Fields</h1>
          <span className="fig mr-auto text-[13px] text-ink2">
            {last &&
              `${total} ${total === 1 ? 'field' : 'fields'} · ${farms.data?.length ?? 0} ${farms.data?.length === 1 ? 'farm' : 'farms'}`}
            {unitsOfFarms &&
              unitsOfFarms.length > 0 &&
              unitsOfFarms.length < 4 &&
              ` · ${unitsOfFarms.join(', ')}`}
          </span>
          <label htmlFor="filter" className="text-[13px] text-ink2">
            Show
          </label>
          <Select id="filter" value={show} options={FILTERS} onChange={setShow} />
          <label htmlFor="order" className="text-[13px] text-ink2">
            Sort by
          </label>
          <Select id="order" value={order} options={ORDERS} onChange={setOrder} />
          <label htmlFor="find" className="text-[13px] text-ink2">
            Find a field or farm
          </label>
          <input
            id="find"
            value={find}
            onChange={(e) => setFind(e.target.value)}
            className="w-40"
          />
          <NewFarm />
          {(farms.data?.length ?? 0) > 0 && <NewField farms={farms.data ?? []} />}
          <ImportPlan />
        </div>
        {(fields.isError || farms.isError) && (
          <p role="alert" className="text-hand">
            The fields could not be read.{' '}
            <button
              type="button"
              className="link"
              onClick={() => {
                void fields.refetch();
                void farms.refetch();
              }}
            >
              Try again
            </button>
          </p>
        )}
        {fields.isPending && <p className="italic">reading the fields</p>}
        {farms.data?.length === 0 && (
          <p className="py-6 text-[16px] text-ink2 italic">
            No farm yet. Make a farm first; it says in which units and which currency its fields are
            read.
          </p>
        )}
        {(farms.data?.length ?? 0) > 0 && last && total === 0 && (
          <p className="py-6 text-[16px] text-ink2 italic">
            No field yet. Make one from a boundary file or by typing its area.
          </p>
        )}
        {total > 0 && !some && (
          <p className="py-6 text-ink2 italic">
            {find ? `No field or farm here is called “${find}”.` : 'No field is like that now.'}
          </p>
        )}
        {pending > 0 && <Refreshing pending={pending} fields={total} />}
        {total > 1 && <FieldTurns pending={pending} />}
        <div className={GRID}>
          <span className="self-end text-right text-[12.5px] text-ink2">{some && 'days'}</span>
          <span className="self-end text-[12.5px] text-ink2">{some && 'field'}</span>
          <div ref={ref} className="min-w-0">
            {some && <Axis frame={frame} day={day} />}
          </div>
          <span className="self-end text-[12.5px] text-ink2 max-[900px]:hidden">
            {some && 'what needs deciding'}
          </span>
        </div>
        <Rows
          shown={shown ?? NONE}
          matching={last?.matching ?? 0}
          frame={frame}
          day={day}
          onNear={near}
        />
      </main>
    </>
  );
}

import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';

import { api, Refusal, taken, type UnitSymbol } from '../api/client';
import { TopBar } from '../app/TopBar';
import { newId } from '../ui/tidy';
import { useUnits } from '../api/units';
import { problemAt } from '../ui/inputs';
import {
  draftOf,
  ordered,
  press,
  testOf,
  wrongNumber,
  type CatchTest,
  type Draft,
  type Kind,
  type Typed,
} from './test';
import { Select } from '../ui/Select';
import { offline } from './offline';
import { useSendWaiting } from './useSendWaiting';
import { keepWaiting, waiting } from './waiting';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', 'back'];
const KEPT_DRAFT = 'etlo-calibration';

const blank: Draft = {
  kind: 'drill-distance',
  machine: '',
  material: '',
  setting: { text: '' },
  target: { text: '' },
  measured: {},
};

/** What was typed last stays on the phone when it is laid down. */
function kept(): Draft {
  try {
    const text = localStorage.getItem(KEPT_DRAFT);
    return text ? { ...blank, ...(JSON.parse(text) as Partial<Draft>) } : blank;
  } catch {
    return blank;
  }
}

function Line({
  label,
  typed,
  units,
  on,
  problem,
  onPick,
  onType,
}: {
  label: string;
  typed: Typed;
  units: UnitSymbol[];
  on: boolean;
  problem?: string;
  onPick: () => void;
  onType: (t: Typed) => void;
}) {
  const us = useUnits() === 'us';
  const wrong = wrongNumber(typed.text, us) ?? problem;
  return (
    <div className={`border-b border-rule ${on ? 'border-l-4 border-l-hand pl-2' : 'pl-3'}`}>
      <label className="flex min-h-[50px] items-center gap-2">
        <span className="flex-1 text-[16px]">{label}</span>
        <input
          className="fig w-28 bg-transparent text-right text-[20px] font-bold"
          inputMode="decimal"
          autoComplete="off"
          aria-label={label}
          aria-invalid={wrong ? true : undefined}
          value={typed.text}
          onFocus={onPick}
          onChange={(e) => onType({ ...typed, text: e.target.value })}
        />
        {units.length > 0 ? (
          <Select
            label={`${label}, unit`}
            className="min-h-[44px] w-[76px] text-[15px]"
            value={typed.unit ?? units[0] ?? ''}
            options={units.map((u) => ({ id: u, name: u }))}
            onChange={(u) => onType({ ...typed, unit: u as UnitSymbol })}
          />
        ) : (
          <span className="w-[76px]" />
        )}
      </label>
      {wrong && (
        <p role="alert" className="pb-1 text-[13px] text-hand">
          {wrong}
        </p>
      )}
    </div>
  );
}

function useCalibrations() {
  return useQuery({
    queryKey: ['calibrations'],
    queryFn: async () => taken(await api.GET('/api/calibrations')),
  });
}

/** Figures as large keys, within the reach of one thumb. */
function Pad({ onKey }: { onKey: (key: string) => void }) {
  return (
    <div
      className="grid grid-cols-3 gap-1.5"
      role="group"
      aria-label="Number keys, for the line that is marked"
    >
      {KEYS.map((k) => (
        <button
          key={k}
          type="button"
          className="fig min-h-[58px] border max-[760px]:min-h-[44px] border-ink bg-paper text-[24px] font-bold active:bg-ink active:text-paper"
          aria-label={k === 'back' ? 'Delete the last digit' : k === '.' ? 'Decimal point' : k}
          onClick={() => onKey(k)}
        >
          {k === 'back' ? '⌫' : k}
        </button>
      ))}
    </div>
  );
}

function Answer({ test, kind }: { test: CatchTest | undefined; kind: Kind }) {
  const queries = useQueryClient();
  const result = useQuery({
    queryKey: ['calibration', test],
    enabled: test !== undefined,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: async () => taken(await api.POST('/api/calibrations/results', { body: test! })),
  });
  const remember = useMutation({
    mutationFn: async (id: string) =>
      taken(
        await api.PUT('/api/calibrations/{catchId}', {
          params: { path: { catchId: id } },
          body: test!,
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['calibrations'] }),
    onError: (e, id) => {
      // without a connection it waits on the phone until there is one
      if (!(e instanceof Refusal) && test) keepWaiting([...waiting(), { id, test }]);
    },
  });
  const away = result.isError && !(result.error instanceof Refusal);
  const alone = away && test ? offline(kind, test) : undefined;
  const r = test && !away ? result.data : undefined;
  return (
    // its room is kept, so that the keys under it stay where the thumb is when the answer comes
    <section aria-label="What it delivers" aria-live="polite" className="min-h-[200px] py-2">
      {r ? (
        <>
          <p className="fig text-[52px] leading-none font-bold">
            {r.text} <span className="text-[18px] font-normal">{r.unit}</span>
          </p>
          <p className="mt-1 min-h-[4.2em] text-[17px] leading-[1.35] font-bold">{r.say}</p>
          <div className="mt-2 flex items-center gap-3">
            <button
              type="button"
              className="btn btn-main min-h-[50px] px-5 text-[17px]"
              disabled={remember.isPending}
              onClick={() => remember.mutate(newId('k-'))}
            >
              Save this test
            </button>
            {remember.isSuccess && <i className="text-[14px]">saved</i>}
            {remember.error && (
              <span role="alert" className="text-hand">
                {remember.error.message}
              </span>
            )}
          </div>
          <details className="mt-2 text-[14px]">
            <summary className="cursor-pointer">working</summary>
            <p className="fig">{r.expression}</p>
            <ul>
              {r.inputs.map((i) => (
                <li key={i.name}>
                  {i.name}:{' '}
                  <span className="fig">
                    {i.text} {i.unit}
                  </span>
                </li>
              ))}
            </ul>
            <p className="text-ink2 italic">{r.source}</p>
          </details>
        </>
      ) : alone ? (
        <>
          <p className="fig text-[52px] leading-none font-bold">
            {alone.delivered.toPrecision(3)}{' '}
            <span className="text-[18px] font-normal">{alone.unit}</span>
          </p>
          {alone.change !== undefined && (
            <p className="mt-1 text-[17px] font-bold">
              {Math.abs(alone.change) < 0.5
                ? 'It delivers what it should.'
                : `It must deliver ${Math.abs(alone.change).toFixed(0)} % ${alone.change > 0 ? 'more' : 'less'}.`}
            </p>
          )}
          <p className="text-[14px] text-ink2 italic">
            Worked out on this phone: no connection. The next setting comes when there is one.
          </p>
          <button
            type="button"
            className="btn btn-main mt-2 min-h-[50px] px-5 text-[17px]"
            onClick={() => remember.mutate(newId('k-'))}
          >
            Save this test
          </button>
          {remember.isError && (
            <p role="status" className="text-[14px]">
              Kept on this phone; sent when the connection is back.
            </p>
          )}
        </>
      ) : (
        <p className="text-[15px] text-ink2 italic">
          Type what you measured; the answer stands here.
        </p>
      )}
    </section>
  );
}

function problemsOf(error: unknown) {
  return error instanceof Refusal ? error.problems : undefined;
}

export function CalibrationPage() {
  const known = useCalibrations();
  useSendWaiting();
  const us = useUnits() === 'us';
  const back = useNavigate();
  const [search] = useSearchParams();
  const [draft, setDraft] = useState<Draft>(() => draftOf(search, kept()) ?? kept());
  const [line, setLine] = useState('caught');
  const kinds = known.data?.kinds ?? [];
  const kind: Kind | undefined = kinds.find((k) => k.id === draft.kind) ?? kinds[0];
  const test = kind && testOf(draft, kind, us);
  const check = useQuery({
    queryKey: ['calibration', test],
    enabled: test !== undefined,
    retry: false,
    queryFn: async () => taken(await api.POST('/api/calibrations/results', { body: test! })),
  });
  const problems = problemsOf(check.error);
  const set = (change: Partial<Draft>) =>
    setDraft((d) => {
      const next = { ...d, ...change };
      localStorage.setItem(KEPT_DRAFT, JSON.stringify(next));
      return next;
    });
  const of = (symbol: string): Typed =>
    symbol === 'setting'
      ? draft.setting
      : symbol === 'target'
        ? draft.target
        : (draft.measured[symbol] ?? { text: '' });
  const type = (symbol: string, t: Typed) =>
    symbol === 'setting' || symbol === 'target'
      ? set({ [symbol]: t })
      : set({ measured: { ...draft.measured, [symbol]: t } });
  const past = (known.data?.catches ?? []).filter((c) => c.test.kind === kind?.id);
  const machines = [...new Set((known.data?.catches ?? []).map((c) => c.test.machine))];
  const materials = [...new Set((known.data?.catches ?? []).map((c) => c.test.material))];
  const named = (key: 'machine' | 'material', label: string, list: string[]) => (
    <label className="flex min-h-[50px] items-center gap-2 border-b border-rule pl-3">
      <span className="flex-1 text-[16px]">{label}</span>
      <input
        className="w-[212px] text-[17px]"
        list={`${key}-known`}
        maxLength={80}
        value={draft[key]}
        onChange={(e) => set({ [key]: e.target.value })}
      />
      <datalist id={`${key}-known`}>
        {list.map((m) => (
          <option key={m} value={m} />
        ))}
      </datalist>
    </label>
  );
  return (
    <>
      <TopBar />
      <main className="mx-auto max-w-[860px] px-3 pb-10">
        <h1 className="py-1.5 text-[21px] font-bold">
          Calibration <i className="text-[14px] font-medium">catch, weigh, set, catch again</i>
        </h1>
        {known.isError && (
          <p role="alert" className="text-hand">
            The tests could not be read.{' '}
            <button type="button" className="link" onClick={() => void known.refetch()}>
              Try again
            </button>
          </p>
        )}
        {kind && (
          <div className="grid grid-cols-[minmax(0,420px)_minmax(0,1fr)] gap-8 max-[760px]:grid-cols-1">
            <div>
              <label className="sr-only" htmlFor="kind">
                What is tested
              </label>
              <Select
                id="kind"
                className="min-h-[50px] w-full text-[18px] font-bold"
                value={kind.id}
                options={kinds}
                onChange={(k) => set({ kind: k })}
              />
              {named('machine', 'Machine', machines)}
              {named('material', 'Seed or product', materials)}
              {kind.measures.map((m) => (
                <Line
                  key={m.symbol}
                  label={m.name}
                  typed={of(m.symbol)}
                  units={ordered(m.units, m.unit, us)}
                  on={line === m.symbol}
                  problem={problemAt(problems, `/measured/${m.symbol}`)}
                  onPick={() => setLine(m.symbol)}
                  onType={(t) => type(m.symbol, t)}
                />
              ))}
              <Line
                label="Setting now"
                typed={draft.setting}
                units={[]}
                on={line === 'setting'}
                problem={problemAt(problems, '/setting')}
                onPick={() => setLine('setting')}
                onType={(t) => type('setting', t)}
              />
              <Line
                label="It should deliver"
                typed={draft.target}
                units={ordered(kind.units, kind.delivers, us)}
                on={line === 'target'}
                problem={problemAt(problems, '/target')}
                onPick={() => setLine('target')}
                onType={(t) => type('target', t)}
              />
            </div>
            <div>
              <Answer test={problems ? undefined : test} kind={kind} />
              {draft.card && (
                <p className="text-[14px]">
                  For a card of a plan.{' '}
                  <button type="button" className="link" onClick={() => void back(-1)}>
                    back to the card
                  </button>
                </p>
              )}
              <div className="max-[760px]:sticky max-[760px]:bottom-0 max-[760px]:border-t max-[760px]:border-ink max-[760px]:bg-paper max-[760px]:py-1.5">
                <Pad onKey={(k) => type(line, { ...of(line), text: press(of(line).text, k) })} />
              </div>
              <p className="mt-3 text-[13px] text-ink2">
                Lock the machine out before reaching in. Treated seed: gloves and dust mask. For
                sprays the label decides; Etlo gives no rate of its own.
              </p>
            </div>
          </div>
        )}
        {past.length > 0 && (
          <>
            <h2 className="mt-5 text-[17px] font-bold">Saved catch tests</h2>
            <table className="w-full max-w-[860px] text-[14px]">
              <thead>
                <tr className="border-b border-ink text-left text-[12.5px]">
                  <th className="py-1">machine</th>
                  <th>seed or product</th>
                  <th className="text-right">setting</th>
                  <th className="text-right">delivered, {past[0]?.unit}</th>
                  <th className="pl-4">when</th>
                </tr>
              </thead>
              <tbody>
                {past.slice(0, 20).map((c) => (
                  <tr key={c.id} className="border-b border-rule2">
                    <td className="py-0.5">{c.test.machine}</td>
                    <td>{c.test.material}</td>
                    <td className="fig text-right">{c.test.setting ?? '–'}</td>
                    <td className="fig text-right font-bold">{c.delivered}</td>
                    <td className="fig pl-4">
                      {new Date(c.at).toLocaleDateString('en-GB', {
                        day: 'numeric',
                        month: 'short',
                        year: 'numeric',
                      })}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
      </main>
    </>
  );
}

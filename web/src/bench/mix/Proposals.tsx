import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';

import { api, Refusal, taken, today, token, type Problem, type Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { tidy } from '../../ui/tidy';
import { jsonLines, type MixView, type Wishes } from './asked';
import { FrontierChart } from './FrontierChart';
import { WishForm } from './WishForm';

type Line = { own?: MixView; point?: MixView; done: boolean };

function Proposed({
  title,
  mix,
  aims,
  onTake,
  onBeside,
}: {
  title: string;
  mix: MixView;
  aims: Schemas['AimView'][];
  onTake: () => void;
  onBeside?: () => void;
}) {
  return (
    <div>
      <h4 className="text-[13.5px] font-bold">{title}</h4>
      <p className="text-[14px]">
        {mix.shares.map((s, i) => (
          <span key={s.species}>
            {i > 0 && ', '}
            <b>{s.name}</b> <span className="fig">{s.percent} %</span>
          </span>
        ))}
      </p>
      <p className="fig text-[13px] text-ink2">
        {mix.costText} {mix.costUnit} to buy
        {mix.aims.map(
          (a) =>
            ` · ${aims.find((v) => v.id === a.aim)?.measure.toLowerCase() ?? a.aim} ${a.text} ${a.unit}`,
        )}
      </p>
      {mix.costNote && <p className="text-[13px] text-ink2">{mix.costNote}</p>}
      {mix.missed.length > 0 && (
        <p className="text-[13px] text-hand">
          With competition between the species it falls short of: {mix.missed.join(', ')}.
        </p>
      )}
      {mix.binding.length > 0 && (
        <ul className="mt-1 text-[13px]">
          {mix.binding.map((b) => (
            <li key={b.words}>
              limited by <b>{b.words}</b>
              {b.buys ? `; relaxing it by one step adds ${b.buys}` : '; relaxing it adds nothing'}
            </li>
          ))}
        </ul>
      )}
      <span className="mt-1 flex gap-3">
        <button type="button" className="btn btn-main" onClick={onTake}>
          Use this mix
        </button>
        {onBeside && (
          <button type="button" className="btn" onClick={onBeside}>
            Save to compare
          </button>
        )}
      </span>
    </div>
  );
}

/** Asks for the best mix within wishes, and for the frontier of cost against the aims. */
export function Proposals({
  coverId,
  aims,
  onTake,
  onBeside,
}: {
  coverId: string;
  aims: Schemas['AimView'][];
  onTake: (m: MixView) => void;
  onBeside?: (m: MixView) => void;
}) {
  const { state } = useOpenPlan();
  const [wishes, setWishes] = useState<Wishes>({});
  const [points, setPoints] = useState<MixView[]>([]);
  const [own, setOwn] = useState<MixView>();
  const [chosen, setChosen] = useState<MixView>();
  const running = useRef<AbortController>(undefined);
  useEffect(() => () => running.current?.abort(), []);
  const body = { plan: state.plan, asOf: today(), coverId, wishes };
  const propose = useMutation({
    mutationFn: async () => taken(await api.POST('/api/mixes/proposals', { body })),
    onSuccess: () => setChosen(undefined),
  });
  const frontier = useMutation({
    mutationFn: async () => {
      running.current?.abort();
      const stop = new AbortController();
      running.current = stop;
      setPoints([]);
      setOwn(undefined);
      setChosen(undefined);
      const answer = await fetch('/api/mixes/frontier', {
        method: 'POST',
        headers: { ...(await token()), 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
        signal: stop.signal,
      });
      if (!answer.ok || !answer.body) {
        const problem = (await answer.json()) as { detail?: string; problems?: Problem[] };
        throw new Refusal(answer.status, problem.detail ?? 'refused', problem.problems ?? []);
      }
      let n = 0;
      try {
        for await (const line of jsonLines<Line>(answer.body)) {
          if (line.own) setOwn(line.own);
          const point = line.point;
          if (point) {
            n++;
            setPoints((p) => [...p, point]);
          }
        }
      } catch (e) {
        if (!stop.signal.aborted) throw e;
      }
      return n;
    },
  });
  const error = propose.error ?? frontier.error;
  const problems = error instanceof Refusal ? error.problems : [];
  const mix = chosen ?? propose.data?.mix;
  return (
    <section aria-label="Proposals" className="mt-5">
      <h3 className="text-[15px] font-bold">
        Propose a mix{' '}
        <i className="text-[13px] font-medium text-ink2">the best mix within your limits</i>
      </h3>
      <WishForm
        wishes={wishes}
        set={(c) => setWishes((w) => tidy({ ...w, ...c }))}
        aims={aims}
        problems={problems}
      />
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-main"
          disabled={aims.length === 0 || propose.isPending}
          onClick={() => propose.mutate()}
        >
          Propose
        </button>
        <button
          type="button"
          className="btn"
          disabled={aims.length === 0}
          onClick={() => (frontier.isPending ? running.current?.abort() : frontier.mutate())}
        >
          {frontier.isPending ? `Stop (${points.length} of 10)` : 'Cost against aims'}
        </button>
        {aims.length === 0 && <i className="text-[13px] text-ink2">rank the aims first</i>}
      </div>
      {error && problems.length === 0 && (
        <p role="alert" className="text-hand">
          {error.message}
        </p>
      )}
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6 max-[900px]:grid-cols-1">
        <div aria-live="polite">
          {propose.data && !propose.data.mix && !chosen && (
            <div role="alert">
              <b>No mix meets all of these.</b> Relax one:
              <ul className="ml-4 list-disc">
                {propose.data.conflict.map((w) => (
                  <li key={w}>{w}</li>
                ))}
              </ul>
            </div>
          )}
          {[propose.data?.forTheEnd, propose.data?.zones].map(
            (said) =>
              said &&
              !chosen && (
                <p key={said} className="mb-2 border-l-4 border-hand pl-2 text-[14px]">
                  {said}
                </p>
              ),
          )}
          {mix && (
            <Proposed
              title={
                chosen
                  ? `The most for ${chosen.costText} ${chosen.costUnit}`
                  : wishes.goal === 'cheapest'
                    ? 'The least cost that reaches the minimums'
                    : 'The most for the aims'
              }
              mix={mix}
              aims={aims}
              onTake={() => onTake(mix)}
              onBeside={onBeside && (() => onBeside(mix))}
            />
          )}
          {frontier.data === 0 && !mix && <p>No mix meets these limits at any cost.</p>}
        </div>
        {(points.length > 0 || own) && (
          <FrontierChart points={points} own={own} chosen={chosen} onChoose={setChosen} />
        )}
      </div>
    </section>
  );
}

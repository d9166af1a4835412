import type { Schemas } from '../api/client';
import { operationOf, pointerOf, setCover, setDay, setEnd, setEnding } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { addDays } from '../ui/days';
import { today } from '../api/client';
import { BenchHead } from './BenchHead';
import { Grazings } from './Grazings';
import { LivingMulch } from './LivingMulch';
import { Uses } from './Uses';
import { Feedings } from './Feedings';
import { QuadratFields } from '../ui/QuadratFields';
import { StandTable } from './StandTable';
import { useEndDates } from './end/asked';
import { DateStrips } from './end/DateStrips';
import { DateTable } from './end/DateTable';
import { Gaps } from './end/Gaps';
import { Methods } from './end/Methods';
import { PlanB } from './end/PlanB';
import { Schools } from './end/Schools';
import { Spray } from './end/Spray';
import { useCover } from './pick';
import { FieldGates } from '../log/FieldGates';

type Stand = Schemas['StandEntry'];

/** What is looked at for the end; the others stand at step Grow. */
const END_GATES = ['pollen', 'bloom', 'mulch', 'soil', 'mat', 'kill', 'regrowth'];
const SIMULATED = 'simulated';
/** Notes that contradict the day itself; they stand at it. */
const CLASHES = ['dates-out-of-order', 'cover-ended-after-planting', 'moves-the-crop'];

/** What the days and ways of the end come to; asked for again when anything but the day changes. */
function Days({ coverId }: { coverId: string }) {
  const { session, state, field } = useOpenPlan();
  const { plan, evaluation } = state;
  const planned =
    evaluation?.section.pins.find((p) => p.operationId === operationOf(plan, 'end', coverId)?.id)
      ?.date ?? operationOf(plan, 'end', coverId)?.when.on;
  const day = operationOf(plan, 'end', coverId)?.when.on ?? planned;
  const { dates, why, problem, busy } = useEndDates(
    plan,
    coverId,
    evaluation !== undefined && state.problems.length === 0,
  );
  if (!dates) {
    const said = problem?.message ?? why;
    return (
      <p role="status" className="mt-3 text-[13.5px] text-ink2 italic">
        {said ?? 'ending the cover on each day'}
      </p>
    );
  }
  return (
    <section aria-label="What each day comes to" aria-busy={busy} className="mt-4">
      <h3 className="font-bold">
        What each day gains and costs
        {dates.coarse && (
          <i role="status" className="ml-2 text-[13px] font-medium text-ink2">
            first what lives; what the ground comes to is being worked out
          </i>
        )}
      </h3>
      <DateStrips
        dates={dates}
        planned={day}
        onTake={(d) => session.change((p) => setDay(p, 'end', coverId, d))}
      />
      <Schools
        coverId={coverId}
        onTake={(d, passes) => session.change((p) => setEnd(p, coverId, d, passes))}
      />
      <Methods
        coverId={coverId}
        onTake={(method) => session.change((p) => setEnding(p, coverId, 0, { method }))}
      />
      <DateTable
        dates={dates}
        plan={plan}
        planned={day}
        file={`${field.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase() || 'field'}-${coverId}-end`}
      />
    </section>
  );
}

export function EndStep() {
  const { session, state, knowledge, us } = useOpenPlan();
  const { cover, chooser } = useCover();
  if (!cover) {
    return (
      <>
        <BenchHead
          title="End"
          aside="when and how the cover stops growing, and what stands then"
          about="cover"
        >
          {chooser}
        </BenchHead>
      </>
    );
  }
  const end = operationOf(state.plan, 'end', cover.id);
  const stand: Stand = cover.stand ?? { evidence: 'expected' };
  const said = cover.stand !== undefined;
  const at = `/covers/${state.plan.covers.indexOf(cover)}/stand`;
  const keep = (next: Stand | undefined) =>
    session.change((p) => setCover(p, cover.id, { stand: next }));
  const set = (change: Partial<Stand>) => {
    const next = tidy({ ...stand, ...change });
    const empty =
      next.evidence === 'expected' &&
      next.biomass === undefined &&
      next.nitrogenPercent === undefined;
    keep(empty ? undefined : next);
  };
  const weighed = said && stand.evidence === 'weighed';
  const grown = state.evaluation?.grow.covers[cover.id];
  const seen = state.evaluation?.end[cover.id];
  const without = seen?.forecast;
  const nextId = state.evaluation?.covers.find((c) => c.id === cover.id)?.nextCropId;
  const next = state.evaluation?.crops.find((c) => c.id === nextId);
  const clash = state.evaluation?.notes.find(
    (n) => CLASHES.includes(n.rule) && n.subject === cover.id,
  );
  return (
    <>
      <BenchHead
        title="End"
        aside="when and how the cover stops growing, and what stands then"
        about="cover"
      >
        {chooser}
      </BenchHead>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <DateField
          label="Cover ended"
          value={end?.when.on}
          onChange={(d) => session.change((p) => setDay(p, 'end', cover.id, d))}
        />
        <SelectField
          label="How"
          value={end?.passes[0]?.method ?? ''}
          empty="choose"
          disabled={!end}
          options={knowledge.terminationMethods}
          onChange={(method) =>
            session.change((p) => setEnding(p, cover.id, 0, method ? { method } : undefined))
          }
        />
        {end?.passes[0] && !end.passes[1] && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              session.change((p) =>
                setEnding(p, cover.id, 1, { method: end.passes[0]!.method, afterDays: 7 }),
              )
            }
          >
            Second pass
          </button>
        )}
        {end?.passes[1] && (
          <>
            <SelectField
              label="Then"
              value={end.passes[1].method}
              empty="no second pass"
              options={knowledge.terminationMethods}
              onChange={(method) =>
                session.change((p) => setEnding(p, cover.id, 1, method ? { method } : undefined))
              }
            />
            <NumberField
              label="After"
              suffix="days"
              width="w-12"
              max={60}
              value={end.passes[1].afterDays}
              onChange={(afterDays) =>
                session.change((p) => setEnding(p, cover.id, 1, { afterDays }))
              }
              problem={problemAt(
                state.problems,
                `${pointerOf(state.plan, 'end', cover.id)}/passes/1/afterDays`,
              )}
            />
          </>
        )}
        {!end && (
          <span className="max-w-44 pb-1 text-[13px] text-ink2 italic">
            enter the day first, then choose how
          </span>
        )}
        <span className="pb-1">
          dead before planting <FigureText of={seen?.daysBeforePlanting} />
        </span>
      </div>
      {clash && (
        <p role="alert" className="mt-1 text-hand">
          {clash.text}
        </p>
      )}
      <Days coverId={cover.id} />
      <PlanB cover={cover} />
      <FieldGates cover={cover} kinds={END_GATES} />
      <Gaps coverId={cover.id} />
      <Spray coverId={cover.id} />
      {next && (
        <Feedings
          subject={next.id}
          day={next.planted ?? end?.when.on ?? today()}
          title={`Nitrogen for ${next.name.toLowerCase()}`}
          none="Nothing planned yet. Planted green, corn wants part of it beside the row at planting."
        />
      )}
      <Grazings subject={cover.id} day={addDays(end?.when.on ?? today(), -14)} />
      <LivingMulch subject={cover.id} />
      <Uses subject={cover.id} />
      <h3 className="mt-4 font-bold">What stands then</h3>
      <p className="text-[13px] text-ink2 italic">
        As simulated, unless you type what you expect or weigh it: then the course goes on from
        there. What is not weighed counts half for the next crop, what is weighed counts whole.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <SelectField
          label="Evidence"
          value={said ? stand.evidence : SIMULATED}
          options={[
            { id: SIMULATED, name: 'as simulated' },
            { id: 'expected', name: 'expected' },
            { id: 'weighed', name: 'weighed with a quadrat' },
          ]}
          onChange={(v) =>
            keep(v === SIMULATED ? undefined : { ...stand, evidence: v as Stand['evidence'] })
          }
        />
        {!weighed && (
          <QuantityField
            label="Biomass, dry"
            value={stand.biomass}
            units={us ? ['lb/ac', 'ton/ac', 'kg/ha'] : ['kg/ha', 't/ha', 'lb/ac']}
            placeholder={said ? undefined : seen?.biomass?.text}
            onChange={(v) => set({ biomass: v })}
            problem={problemAt(state.problems, `${at}/biomass`)}
          />
        )}
        <NumberField
          label="Nitrogen in the dry tops"
          value={stand.nitrogenPercent}
          max={100}
          suffix="%"
          placeholder={seen?.nitrogenPercent?.text}
          onChange={(v) => set({ nitrogenPercent: v })}
          problem={problemAt(state.problems, `${at}/nitrogenPercent`)}
        />
        {said && (
          <DateField
            label={weighed ? 'Weighed on' : 'Expected for'}
            value={stand.on}
            onChange={(on) => set({ on })}
          />
        )}
      </div>
      {weighed && (
        <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
          <QuadratFields
            value={stand.quadrat}
            us={us}
            labels={{ frame: 'Area of the frame', dry: 'Dry matter', cut: (n) => `Fresh cut ${n}` }}
            problem={(what) => problemAt(state.problems, `${at}/quadrat/${what}`)}
            onChange={(quadrat) => set({ quadrat })}
          />
        </div>
      )}
      <StandTable
        columns={without ? ['what counts', 'simulated without it'] : ['']}
        rows={[
          ['Biomass above ground, dry', seen?.biomass, without?.mass],
          ['Nitrogen in the dry tops', seen?.nitrogenPercent, without?.nitrogenPercent],
          ['Nitrogen in the tops', seen?.nitrogenInTops],
          ['C:N of the tops', grown?.carbonToNitrogen],
          ['Ground covered by residue a week later', grown?.residueCover],
        ]}
      />
      <p className="mt-3 text-[13px] text-ink2">
        Herbicides: the label in force decides on rate, stage, interval and drift; Etlo proposes no
        rate. Insurance and programme rules bind: ask the agent or office before a date moves.
      </p>
    </>
  );
}

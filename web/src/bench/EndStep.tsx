import type { Figure, Schemas } from '../api/client';
import { operationOf, pointerOf, setCover, setDay, setEnding } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { addDays } from '../ui/days';
import { today } from '../api/client';
import { BenchHead } from './BenchHead';
import { Doings } from './Doings';
import { FieldChecks } from './FieldChecks';
import { QuadratFields } from './QuadratFields';
import { Simulated } from './Simulated';
import { useCover } from './pick';

type Stand = Schemas['StandEntry'];

/** The simulated stand as an expectation to type. */
function expected(mass: Figure | undefined, percent: Figure | undefined) {
  if (!mass || !percent || mass.value <= 0) return undefined;
  return {
    biomass: { value: Number(mass.value.toPrecision(3)), unit: mass.unit },
    nitrogenPercent: Number(percent.value.toFixed(2)),
  } as Partial<Stand>;
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
  const at = `/covers/${state.plan.covers.indexOf(cover)}/stand`;
  const set = (change: Partial<Stand>) =>
    session.change((p) => setCover(p, cover.id, { stand: tidy({ ...stand, ...change }) }));
  const weighed = stand.evidence === 'weighed';
  const grown = state.evaluation?.grow.covers[cover.id];
  const seen = state.evaluation?.end[cover.id];
  const forecast = expected(grown?.mass, grown?.nitrogenPercent);
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
      <Simulated
        title="Simulated to that day"
        rows={[
          ['Dry tops that stand', grown?.mass],
          ['Nitrogen in them', grown?.nitrogen],
          ['Their C:N', grown?.carbonToNitrogen],
          ['Ground covered by residue a week later', grown?.residueCover],
        ]}
      />
      <Doings kind="graze" subject={cover.id} day={addDays(end?.when.on ?? today(), -14)} />
      <FieldChecks cover={cover} />
      <h3 className="mt-4 font-bold">What stands then</h3>
      <p className="text-[13px] text-ink2 italic">
        Type what you expect, take what is simulated, or weigh it. What is only expected counts
        half, what is weighed counts whole.
      </p>
      {forecast && !weighed && (
        <button type="button" className="btn mt-1" onClick={() => set(forecast)}>
          Expect what is simulated
        </button>
      )}
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <SelectField
          label="Evidence"
          value={stand.evidence}
          options={[
            { id: 'expected', name: 'expected' },
            { id: 'weighed', name: 'weighed with a quadrat' },
          ]}
          onChange={(v) => set({ evidence: v as Stand['evidence'] })}
        />
        {!weighed && (
          <QuantityField
            label="Biomass, dry"
            value={stand.biomass}
            units={us ? ['lb/ac', 'ton/ac', 'kg/ha'] : ['kg/ha', 't/ha', 'lb/ac']}
            onChange={(v) => set({ biomass: v })}
            problem={problemAt(state.problems, `${at}/biomass`)}
          />
        )}
        <NumberField
          label="Nitrogen in the dry tops"
          value={stand.nitrogenPercent}
          max={100}
          suffix="%"
          onChange={(v) => set({ nitrogenPercent: v })}
          problem={problemAt(state.problems, `${at}/nitrogenPercent`)}
        />
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
      <table className="mt-3 w-full max-w-[520px]">
        <tbody>
          {(
            [
              ['Biomass above ground, dry', seen?.biomass],
              ['Nitrogen in the dry tops', seen?.nitrogenPercent],
              ['Nitrogen in the tops', seen?.nitrogenInTops],
            ] as const
          ).map(([label, figure]) => (
            <tr key={label} className="border-b border-rule2">
              <td className="py-1">{label}</td>
              <td className="text-right">
                <FigureText of={figure} band />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-[13px] text-ink2">
        Herbicides: the label in force decides on rate, stage, interval and drift; Etlo proposes no
        rate. Insurance and programme rules bind: ask the agent or office before a date moves.
      </p>
    </>
  );
}

import type { Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { spokenDate } from '../ui/days';
import { Stack } from '../ui/Stack';
import { BenchHead } from './BenchHead';
import { FieldChecks } from './FieldChecks';
import { FieldGates } from '../log/FieldGates';
import { useCover } from './pick';

type Clock = Schemas['ClockView'];

function Days({ span, years, of }: { span: Clock['blooms']; years: number; of: number }) {
  if (!span) {
    return (
      <i className="text-ink2">{years > 0 ? `in ${years} of ${of} years` : 'not before its end'}</i>
    );
  }
  return (
    <>
      <b className="fig">{spokenDate(span.middle)}</b>{' '}
      <span className="fig text-[12.5px] text-ink2">
        {span.early !== span.late && `${spokenDate(span.early)} to ${spokenDate(span.late)}, `}
        {years} of {of} years
      </span>
    </>
  );
}

/** What leaving the bloom, clipping it and ending the cover come to. */
function Choice({ of: c }: { of: Clock }) {
  if (!c.blooms) return <i className="text-ink2">no bloom to decide on</i>;
  const insects = (n: number) => `${n} ${n === 1 ? 'day' : 'days'} of bloom for insects`;
  return (
    <>
      <span className="block">
        Left: {c.insectDays > 0 ? insects(c.insectDays) : 'few insects visit it'}
        {c.seeds ? `, seed from ${spokenDate(c.seeds.early)} on` : ', no seed before its end'}.
      </span>
      {c.clipBy && (
        <>
          <span className="block">
            Clipped by {spokenDate(c.clipBy)}
            {c.insectDays > 0 && `: ${insects(c.insectDaysClipped)} before`}
            {c.bloomsAgain
              ? `, in bloom again about ${spokenDate(c.bloomsAgain)}.`
              : '; it hardly grows again.'}
          </span>
          <span className="block">Ended by {spokenDate(c.clipBy)}: no seed, no second look.</span>
        </>
      )}
    </>
  );
}

/** When each species flowers and when its first seed can grow, as simulated until the cover ends. */
function Clocks({ clocks }: { clocks: Clock[] }) {
  if (clocks.length === 0) return null;
  return (
    <section aria-label="Bloom and seed" className="mt-3">
      <h3 className="font-bold">Bloom and seed</h3>
      <Stack label="When species flower and set seed">
        <table className="w-full text-[13.5px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              <th className="py-1">species</th>
              <th>first bloom</th>
              <th>first seed that can grow</th>
              <th>leave it, clip it or end it</th>
            </tr>
          </thead>
          <tbody>
            {clocks.map((c) => (
              <tr key={c.species} className="border-b border-rule2">
                <th scope="row" className="py-0.5 text-left">
                  {c.name}
                </th>
                <td>
                  <Days span={c.blooms} years={c.bloomYears} of={c.years} />
                </td>
                <td>
                  <Days span={c.seeds} years={c.seedYears} of={c.years} />
                </td>
                <td className="text-[13px]">
                  <Choice of={c} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Stack>
      <p className="text-[12.5px] text-ink2">
        Clip or end a species before its first seed; many flower again after clipping. In bloom bees
        work it by day: no insecticide then, and other sprays by the label.
      </p>
    </section>
  );
}

/** The cover while it grows: what is looked at, what that says, and when to look again. */
export function GrowStep() {
  const { state } = useOpenPlan();
  const { cover, chooser } = useCover();
  const stands = cover && state.evaluation?.end[cover.id];
  const seen = cover && state.evaluation?.grow.steps[cover.id];
  return (
    <>
      <BenchHead title="Grow" aside="look, count, and hold it against the forecast" about="cover">
        {chooser}
      </BenchHead>
      {cover && (
        <>
          <FieldGates cover={cover} />
          <FieldChecks cover={cover} verdicts={seen?.verdicts ?? {}} />
          {stands?.biomass && (
            <p className="mt-3 text-[14px]" aria-label="What it comes to">
              When it ends, with what was seen so far: <FigureText of={stands.biomass} /> of dry
              tops
              {stands.forecast && (
                <>
                  , as typed or weighed; simulated without that{' '}
                  <FigureText of={stands.forecast.mass} />
                </>
              )}
              .
            </p>
          )}
          <Clocks clocks={seen?.clocks ?? []} />
        </>
      )}
    </>
  );
}

import { Link } from 'react-router';

import { today } from '../api/client';
import { operationOf, pointerOf, setDay, setMembers } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { Feedings } from './Feedings';
import { useCover } from './pick';
import { BoxTable } from './sow/BoxTable';
import { DrillFields } from './sow/DrillFields';
import { Inoculants } from './sow/Inoculants';
import { LatestLine } from './sow/LatestLine';
import { SeedbedFields } from './sow/SeedbedFields';
import { SownAs } from './sow/SownAs';
import { Ways } from './sow/Ways';

export function SowStep() {
  const { session, state, knowledge, us } = useOpenPlan();
  const { cover, chooser } = useCover();
  if (!cover) {
    return (
      <>
        <BenchHead
          title="Sow"
          aside="how it goes in, and what the drill must deliver"
          about="cover"
        >
          {chooser}
        </BenchHead>
      </>
    );
  }
  const plan = state.plan;
  const sow = operationOf(plan, 'sow', cover.id);
  const at = pointerOf(plan, 'sow', cover.id);
  const p: Partial<NonNullable<typeof sow>> = sow ?? {};
  const set = (change: typeof p) => session.change((d) => setMembers(d, 'sow', cover.id, change));
  const mix = state.evaluation?.mix[cover.id];
  const sowing = state.evaluation?.sow[cover.id];
  const seedPlaced = sowing?.seedPlacedLimit;
  const dry = sowing?.dryPercent;
  return (
    <>
      <BenchHead title="Sow" aside="how it goes in, and what the drill must deliver" about="cover">
        {chooser}
      </BenchHead>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <DateField
          label="Cover sown"
          value={sow?.when.on}
          onChange={(d) => session.change((doc) => setDay(doc, 'sow', cover.id, d))}
        />
        <SelectField
          label="Method"
          value={p.method ?? 'drilled'}
          options={knowledge.sowingMethods}
          disabled={!sow}
          onChange={(method) => set({ method })}
        />
        {(['lateness', 'seedbed', ...(p.purpose ? (['purpose'] as const) : [])] as const).map(
          (k) => (
            <NumberField
              key={k}
              label={k === 'purpose' ? 'Mulch factor ×' : `${k[0]!.toUpperCase()}${k.slice(1)} ×`}
              width="w-14"
              value={p[k]}
              placeholder="1"
              max={4}
              disabled={!sow}
              onChange={(v) => set({ [k]: v })}
              problem={problemAt(state.problems, `${at}/${k}`)}
            />
          ),
        )}
        <QuantityField
          label="Sown area"
          value={p.sownArea}
          units={us ? ['ac', 'ha'] : ['ha', 'ac']}
          placeholder="field"
          disabled={!sow}
          onChange={(q) => set({ sownArea: q })}
          problem={problemAt(state.problems, `${at}/sownArea`)}
        />
        <SownAs coverId={cover.id} sow={sow} at={at} area={sowing?.sownArea} />
      </div>
      {!sow && (
        <p className="mt-1 text-ink2 italic">Date the sowing first; the factors belong to it.</p>
      )}
      <LatestLine
        coverId={cover.id}
        lateness={p.lateness}
        onTake={(lateness) => set({ lateness })}
      />
      <p className="mt-1 text-[13px] text-ink2">
        The factors multiply the drilled rate; each shows in the working of the rate. What the cover
        is sown for sets the full rates themselves (step Mix).
      </p>
      <Ways
        coverId={cover.id}
        onTake={(w) =>
          session.change((d) =>
            setMembers(setDay(d, 'sow', cover.id, w.on), 'sow', cover.id, { method: w.method }),
          )
        }
      />
      <SeedbedFields coverId={cover.id} sow={sow} at={at} verdict={sowing?.seedbed} />
      <DrillFields cover={cover} sow={sow} at={at} />
      {seedPlaced && (
        <p className="mt-1 text-[13.5px]">
          With the seed at most <FigureText of={seedPlaced} /> of N and K₂O together; half of it in
          dry or sandy soil or with small seed.
        </p>
      )}
      {dry && (sow?.when.on ?? '') >= today() && (
        <p className="mt-1 text-[13.5px]">
          Share of the weather years without a wetting rain in the ten days after sowing:{' '}
          <FigureText of={dry} />.
        </p>
      )}
      <BoxTable seen={mix} coverId={cover.id} sow={sow} />
      <p className="mt-1 text-[13px] text-ink2">
        Stir each fill; small seed sinks while the drill shakes.{' '}
        <Link className="link" to="/calibration">
          Calibrate in the yard
        </Link>
      </p>
      <Inoculants coverId={cover.id} sow={sow} at={at} seen={mix} />
      <Feedings
        subject={cover.id}
        title="Nitrogen or manure given to the cover"
        day={sow?.when.on ?? today()}
        none="Nothing: it lives on what the soil holds."
      />
      <p className="mt-3 text-[13px] text-ink2">
        Treated seed: gloves and dust mask, not for feed, none spilled. Lock the drill out before
        reaching in. The label and local code decide.
      </p>
    </>
  );
}

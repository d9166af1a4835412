import { Link } from 'react-router';

import { today } from '../api/client';
import { operationOf, pointerOf, setDay, setMembers, setSowPart, type Of } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { useCover } from './pick';

type Sow = Of<'sow'>;
type SetPart = <P extends 'rows' | 'withSeed'>(
  name: P,
  change: Partial<NonNullable<Sow[P]>>,
) => void;

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
  const part: SetPart = (name, change) =>
    session.change((d) => setSowPart(d, cover.id, name, change));
  const seen = state.evaluation?.covers.find((c) => c.id === cover.id);
  const late = state.evaluation?.figures[`sow/${cover.id}/lateness`];
  const seedPlaced = state.evaluation?.figures[`sow/${cover.id}/seedPlacedLimit`];
  const dry = state.evaluation?.figures[`sow/${cover.id}/dryPercent`];
  const name = (id: string) => knowledge.species.find((s) => s.id === id)?.name ?? id;
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
        {(['lateness', 'seedbed', 'purpose'] as const).map((k) => (
          <NumberField
            key={k}
            label={`${k[0]!.toUpperCase()}${k.slice(1)} ×`}
            width="w-14"
            value={p[k]}
            placeholder="1"
            max={4}
            disabled={!sow}
            onChange={(v) => set({ [k]: v })}
            problem={problemAt(state.problems, `${at}/${k}`)}
          />
        ))}
        <QuantityField
          label="Sown area"
          value={p.sownArea}
          units={us ? ['ac', 'ha'] : ['ha', 'ac']}
          placeholder="field"
          disabled={!sow}
          onChange={(q) => set({ sownArea: q })}
          problem={problemAt(state.problems, `${at}/sownArea`)}
        />
      </div>
      {!sow && (
        <p className="mt-1 text-ink2 italic">Date the sowing first; the factors belong to it.</p>
      )}
      {late && (
        <p className="mt-1 text-[13.5px]">
          Later than useful: a factor of <FigureText id={late.id} /> is usual.{' '}
          {p.lateness === undefined && (
            <button
              type="button"
              className="link"
              onClick={() => set({ lateness: Math.round(late.value * 100) / 100 })}
            >
              use it
            </button>
          )}
        </p>
      )}
      <p className="mt-1 text-[13px] text-ink2">
        The factors multiply the drilled rate; each shows in the working of the rate. A
        weed-suppressing cereal mulch takes 2.5 to 3 times the ordinary rate (common practice).
      </p>
      <h3 className="mt-4 font-bold">Boxes and catch test</h3>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <QuantityField
          label="Working width"
          value={p.catchWidth}
          units={us ? ['ft', 'm'] : ['m', 'ft']}
          placeholder={us ? '9.84' : '3'}
          disabled={!sow}
          onChange={(q) => set({ catchWidth: q })}
        />
        <QuantityField
          label="Distance driven"
          value={p.catchDistance}
          units={us ? ['ft', 'm'] : ['m', 'ft']}
          placeholder={us ? '164' : '50'}
          disabled={!sow}
          onChange={(q) => set({ catchDistance: q })}
        />
        <QuantityField
          label="Large box holds"
          value={p.largeBox}
          units={us ? ['gal', 'L'] : ['L', 'gal']}
          disabled={!sow}
          onChange={(q) => set({ largeBox: q })}
          problem={problemAt(state.problems, `${at}/largeBox`)}
        />
        <QuantityField
          label="Small box holds"
          value={p.smallBox}
          units={us ? ['gal', 'L'] : ['L', 'gal']}
          disabled={!sow}
          onChange={(q) => set({ smallBox: q })}
          problem={problemAt(state.problems, `${at}/smallBox`)}
        />
        <QuantityField
          label="Depth"
          value={p.depth}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          disabled={!sow}
          onChange={(q) => set({ depth: q })}
          problem={problemAt(state.problems, `${at}/depth`)}
        />
        <QuantityField
          label="Speed"
          value={p.speed}
          units={us ? ['mph', 'km/h'] : ['km/h', 'mph']}
          disabled={!sow}
          onChange={(q) => set({ speed: q })}
          problem={problemAt(state.problems, `${at}/speed`)}
        />
        <QuantityField
          label="N and K₂O with the seed"
          value={p.withSeed?.nAndK2O}
          units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
          disabled={!sow}
          onChange={(q) => part('withSeed', { nAndK2O: q })}
          problem={problemAt(state.problems, `${at}/withSeed/nAndK2O`)}
        />
        <QuantityField
          label="Opener spreads"
          value={p.withSeed?.openerSpread}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          placeholder={us ? '1' : '2.5'}
          disabled={!sow}
          onChange={(q) => part('withSeed', { openerSpread: q })}
          problem={problemAt(state.problems, `${at}/withSeed/openerSpread`)}
        />
        <QuantityField
          label="Row width"
          value={p.rows?.spacing}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          placeholder={us ? '7.5' : '19'}
          disabled={!sow}
          onChange={(q) => part('rows', { spacing: q })}
          problem={problemAt(state.problems, `${at}/rows/spacing`)}
        />
      </div>
      {seedPlaced && (
        <p className="mt-1 text-[13.5px]">
          With the seed at most <FigureText id={seedPlaced.id} /> of N and K₂O together; half of it
          in dry or sandy soil or with small seed.
        </p>
      )}
      {dry && (sow?.when.on ?? '') >= today() && (
        <p className="mt-1 text-[13.5px]">
          Share of the weather years without a wetting rain in the ten days after sowing:{' '}
          <FigureText id={dry.id} />.
        </p>
      )}
      <table className="mt-2 w-full max-w-[860px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">box</th>
            <th>seed, in the order it goes in</th>
            <th className="text-right">rate</th>
            <th className="text-right">density</th>
            <th className="text-right">fills</th>
            <th className="text-right">catch must weigh</th>
          </tr>
        </thead>
        <tbody>
          {seen?.boxes.map((b) => (
            <tr key={b.id} className="border-b border-rule2 align-baseline">
              <td className="py-1 font-bold">{b.name}</td>
              <td className="pr-3">{b.species.map(name).join(', ')}</td>
              <td className="text-right">
                <FigureText id={b.rateFigure} />
              </td>
              <td className="text-right">
                <FigureText id={b.densityFigure} />
              </td>
              <td className="text-right">
                {b.fillsFigure ? (
                  <FigureText id={b.fillsFigure} />
                ) : (
                  <i className="text-[13px] text-ink2">type its size</i>
                )}
              </td>
              <td className="text-right font-bold">
                <FigureText id={b.catchFigure} />
              </td>
            </tr>
          ))}
          {(seen?.boxes.length ?? 0) === 0 && (
            <tr>
              <td colSpan={6} className="py-1 text-ink2 italic">
                the boxes follow from the mix
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink2">
        Stir each fill; small seed sinks while the drill shakes.{' '}
        <Link className="link" to="/calibration">
          Calibrate in the yard
        </Link>
      </p>
      {(seen?.inoculants.length ?? 0) > 0 && (
        <>
          <h3 className="mt-4 font-bold">Inoculant to mix in</h3>
          <ul className="max-w-[860px] text-[14px]">
            {seen?.inoculants.map((i) => (
              <li key={i.group} className="flex justify-between gap-4 border-b border-rule2 py-0.5">
                <span>
                  <b>{i.group} group</b> for {i.species.join(', ')}
                </span>
                <FigureText id={i.figure} />
              </li>
            ))}
          </ul>
          <p className="text-[13px] text-ink2">
            Each group on its own seed, on the day, out of the sun. The packet’s label decides.
          </p>
        </>
      )}
      <p className="mt-3 text-[13px] text-ink2">
        Treated seed: gloves and dust mask, not for feed, none spilled. Lock the drill out before
        reaching in. The label and local code decide.
      </p>
    </>
  );
}

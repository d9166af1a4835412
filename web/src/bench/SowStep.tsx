import { operationOf, pointerOf, setDay, setParams } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { useCover } from './pick';

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
  const p = sow?.params ?? {};
  const set = (change: typeof p) => session.change((d) => setParams(d, 'sow', cover.id, change));
  const seen = state.evaluation?.covers.find((c) => c.id === cover.id);
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
      </div>
      <table className="mt-2 w-full max-w-[640px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">box</th>
            <th>seed</th>
            <th className="text-right">rate</th>
            <th className="text-right">catch must weigh</th>
          </tr>
        </thead>
        <tbody>
          {seen?.boxes.map((b) => (
            <tr key={b.id} className="border-b border-rule2 align-baseline">
              <td className="py-1 font-bold">{b.id === 'small' ? 'Small box' : 'Large box'}</td>
              <td className="pr-3">{b.species.map(name).join(', ')}</td>
              <td className="text-right">
                <FigureText id={b.rateFigure} />
              </td>
              <td className="text-right font-bold">
                <FigureText id={b.catchFigure} />
              </td>
            </tr>
          ))}
          {(seen?.boxes.length ?? 0) === 0 && (
            <tr>
              <td colSpan={4} className="py-1 text-ink2 italic">
                the boxes follow from the mix
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <p className="mt-3 text-[13px] text-ink2">
        Treated seed: gloves and dust mask, not for feed, none spilled. Lock the drill out before
        reaching in. The label and local code decide.
      </p>
    </>
  );
}

import { useState } from 'react';

import {
  addPass,
  moveOperation,
  operationOf,
  pointerOf,
  removeOperation,
  setDay,
  setMembers,
  setSowPart,
  setSystem,
} from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { FigureText } from '../plan/FigureText';
import { DateField } from '../ui/DateField';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { Simulated } from './Simulated';
import { useCrop } from './pick';

export function PlantStep() {
  const { session, state, knowledge, us } = useOpenPlan();
  const crop = useCrop();
  const [tool, setTool] = useState('');
  const [day, setDayText] = useState('');
  if (!crop) {
    return (
      <>
        <BenchHead
          title="Plant"
          aside="the pass that puts the crop through the residue"
          about="crop"
        />
        <p className="text-ink2 italic">No crop yet: step Rotation.</p>
      </>
    );
  }
  const plan = state.plan;
  const sow = operationOf(plan, 'sow', crop.id);
  const rows = sow?.rows ?? {};
  const at = pointerOf(plan, 'sow', crop.id);
  const seen = state.evaluation?.crops.find((c) => c.id === crop.id);
  const setRows = (change: typeof rows) =>
    session.change((d) => setSowPart(d, crop.id, 'rows', change));
  const widths = us ? (['in', 'cm'] as const) : (['cm', 'in'] as const);
  const own = (id: string) => plan.operations.some((o) => o.kind === 'pass' && o.id === id);
  const tilled = state.evaluation?.plant[crop.id];
  const grown = state.evaluation?.grow.crops[crop.id];
  const harvest = operationOf(plan, 'harvest', crop.id);
  const harvestAt = pointerOf(plan, 'harvest', crop.id);
  const strips = seen?.passes.some((x) => x.strips) ?? false;
  return (
    <>
      <BenchHead
        title="Plant"
        aside="the pass that puts the crop through the residue"
        about="crop"
      />
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <DateField
          label="Planted"
          value={sow?.when.on}
          onChange={(d) => session.change((doc) => setDay(doc, 'sow', crop.id, d))}
        />
        <SelectField
          label="Planting pass"
          value={seen?.system ?? ''}
          empty={seen?.system ? undefined : seen ? 'passes of its own' : 'loading'}
          options={knowledge.plantingSystems}
          disabled={!sow}
          onChange={(v) => {
            const system = knowledge.plantingSystems.find((x) => x.id === v);
            if (system) session.change((d) => setSystem(d, crop.id, system));
          }}
        />
        {strips && (
          <>
            <QuantityField
              label="Strip width"
              value={rows.strip}
              units={[...widths]}
              onChange={(q) => setRows({ strip: q })}
              problem={problemAt(state.problems, `${at}/rows/strip`)}
            />
            <QuantityField
              label="Row width"
              value={rows.spacing}
              units={[...widths]}
              onChange={(q) => setRows({ spacing: q })}
              problem={problemAt(state.problems, `${at}/rows/spacing`)}
            />
          </>
        )}
      </div>
      {harvest && (
        <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
          <QuantityField
            label="Stubble height at harvest"
            placeholder="as usual"
            value={harvest.stubble}
            units={[...widths]}
            onChange={(q) =>
              session.change((d) => setMembers(d, 'harvest', crop.id, { stubble: q }))
            }
            problem={problemAt(state.problems, `${harvestAt}/stubble`)}
          />
          <NumberField
            label="Straw taken, % of what lies behind the header"
            placeholder="none"
            value={harvest.strawTakenPercent}
            max={100}
            onChange={(n) =>
              session.change((d) => setMembers(d, 'harvest', crop.id, { strawTakenPercent: n }))
            }
            problem={problemAt(state.problems, `${harvestAt}/strawTakenPercent`)}
          />
        </div>
      )}
      {!sow && (
        <p className="mt-1 text-ink2 italic">Date the planting first; the pass belongs to it.</p>
      )}
      <div className="mt-4 flex flex-wrap gap-x-10 gap-y-2">
        <span>
          Ground disturbed by planting
          <br />
          <FigureText of={tilled?.disturbed} big />
        </span>
        <span>
          Soil tillage intensity rating, whole crop
          <br />
          <FigureText of={tilled?.rating} big />
        </span>
        <span>
          Residue after its harvest
          <br />
          <FigureText of={tilled?.residue} big />
        </span>
      </div>
      <h3 className="mt-3 font-bold">Passes of this crop</h3>
      <p className="text-[13px] text-ink2 italic">
        from after the previous harvest through its own. Practice standards, from memory: no-till 20
        or less without full-width tillage, reduced tillage 80 or less without inversion; the local
        standard decides.
      </p>
      <table className="mt-1 w-full max-w-[680px]">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">day</th>
            <th>pass</th>
            <th className="text-right">disturbs</th>
            <th className="text-right">rating</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {seen?.passes.map((x) => (
            <tr key={x.id} className="border-b border-rule2">
              <td className="fig py-1">
                {own(x.id) ? (
                  <DateField
                    hideLabel
                    label={`Day of ${x.name}, ${spokenDate(x.date)}`}
                    value={x.date}
                    onChange={(d) => d && session.change((p) => moveOperation(p, x.id, d))}
                  />
                ) : (
                  spokenDate(x.date)
                )}
              </td>
              <td className={x.planting ? 'font-bold' : ''}>{x.name}</td>
              <td className="fig text-right">{Math.round(x.share * 100)} %</td>
              <td className="text-right">
                <FigureText of={tilled?.ratings[x.id]} />
              </td>
              <td className="text-right">
                {own(x.id) && (
                  <button
                    type="button"
                    className="link text-[13px]"
                    aria-label={`Remove ${x.name} ${spokenDate(x.date)}`}
                    onClick={() => session.change((d) => removeOperation(d, x.id))}
                  >
                    remove
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Simulated
        title="What the planter finds"
        rows={[
          ['Water that roots can draw', grown?.water],
          ['Mineral nitrogen in the soil', grown?.mineralN],
          ['Ground covered by residue', grown?.residueCover],
        ]}
      />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <SelectField
          label="Another pass"
          value={tool}
          empty="choose"
          onChange={setTool}
          options={knowledge.operations}
        />
        <DateField label="Day of the pass" value={day || undefined} onChange={setDayText} />
        <button
          type="button"
          className="btn"
          disabled={!tool || !day}
          onClick={() => {
            session.change((d) => addPass(d, tool, day));
            setTool('');
          }}
        >
          Add pass
        </button>
      </div>
    </>
  );
}

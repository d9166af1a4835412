import { useState } from 'react';

import { addCrop, operationOf, removeCrop, setCrop, setDay } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../section/scale';
import { FigureText } from '../ui/FigureText';
import { DateField } from '../ui/DateField';
import { problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { useCropName } from './pick';

export function RotationStep() {
  const { session, state, knowledge, us } = useOpenPlan();
  const [next, setNext] = useState('');
  const plan = state.plan;
  const name = useCropName();
  return (
    <>
      <BenchHead title="Rotation" aside="cash crops in time, and the windows between them" />
      <table className="mt-1 w-full">
        <thead>
          <tr className="border-b border-ink text-left text-[12.5px]">
            <th className="py-1">cash crop</th>
            <th>planted</th>
            <th>harvested</th>
            <th>yield goal</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {plan.crops.map((c, i) => {
            const k = knowledge.crops.find((x) => x.id === c.crop);
            const units = us
              ? (['lb/ac', 'ton/ac', 't/ha'] as const)
              : (['t/ha', 'kg/ha', 'lb/ac'] as const);
            return (
              <tr key={c.id} className="border-b border-rule2 align-top">
                <td className="py-1.5 font-bold">{name(c)}</td>
                <td className="py-1">
                  <DateField
                    hideLabel
                    label={`${name(c)} planted`}
                    value={operationOf(plan, 'sow', c.id)?.when.on}
                    onChange={(d) => session.change((p) => setDay(p, 'sow', c.id, d))}
                  />
                </td>
                <td className="py-1">
                  <DateField
                    hideLabel
                    label={`${name(c)} harvested`}
                    value={operationOf(plan, 'harvest', c.id)?.when.on}
                    onChange={(d) => session.change((p) => setDay(p, 'harvest', c.id, d))}
                  />
                </td>
                <td className="py-1">
                  <QuantityField
                    hideLabel
                    label={`${name(c)} yield goal`}
                    value={c.yieldGoal}
                    units={
                      us && k?.bushels
                        ? ['bu/ac', ...units]
                        : k?.bushels
                          ? [...units, 'bu/ac']
                          : [...units]
                    }
                    onChange={(q) => session.change((p) => setCrop(p, c.id, { yieldGoal: q }))}
                    problem={problemAt(state.problems, `/crops/${i}/yieldGoal`)}
                  />
                </td>
                <td className="py-1 text-right">
                  <button
                    type="button"
                    className="link text-[13px]"
                    aria-label={`Take ${name(c)} out`}
                    onClick={() => session.change((p) => removeCrop(p, c.id))}
                  >
                    take out
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="mt-2 flex items-end gap-3">
        <SelectField
          label="Next cash crop"
          value={next}
          empty="choose"
          onChange={setNext}
          options={knowledge.crops}
        />
        <button
          type="button"
          className="btn"
          disabled={!next}
          onClick={() => {
            session.change((p) => addCrop(p, next));
            setNext('');
          }}
        >
          Add crop
        </button>
      </div>
      <h3 className="mt-4 font-bold">Windows</h3>
      {(state.evaluation?.windows.length ?? 0) === 0 && (
        <p className="text-ink2 italic">A window opens between a harvest and the next planting.</p>
      )}
      <ul>
        {state.evaluation?.windows.map((w) => (
          <li key={w.id} className="flex flex-wrap gap-x-3 border-b border-rule2 py-1">
            <span>
              after {name(plan.crops.find((c) => c.id === w.afterCropId)).toLowerCase()}, ahead of{' '}
              {name(plan.crops.find((c) => c.id === w.beforeCropId)).toLowerCase()}
            </span>
            <span className="fig">
              {spokenDate(w.from)} to {spokenDate(w.to)}
            </span>
            <FigureText id={w.daysFigure} />
          </li>
        ))}
      </ul>
    </>
  );
}

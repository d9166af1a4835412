import { useOpenPlan } from '../plan/context';
import { setDoing, type Of } from '../plan/edit';
import { FigureText } from '../plan/FigureText';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { tidy } from '../ui/tidy';

type Graze = Of<'graze'>;

/** The stock that graze, and what the grazing takes, feeds and leaves. */
export function Herd({ graze, at }: { graze: Graze; at: string }) {
  const { session, state, us, knowledge } = useOpenPlan();
  const result = state.evaluation?.grow.steps[graze.subject ?? '']?.grazings.find(
    (g) => g.operationId === graze.id,
  );
  const stock = graze.stock;
  const what = (change: Partial<Graze>) =>
    session.change((p) => setDoing(p, graze.id, { what: change }));
  return (
    <div className="mb-2 border-l-2 border-rule pl-3">
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        <SelectField
          label="Stock"
          value={stock?.class ?? ''}
          empty="not known yet"
          options={knowledge.stockClasses}
          onChange={(v) => what({ stock: v ? { ...stock, class: v } : undefined })}
        />
        {stock && (
          <>
            <NumberField
              label="Head"
              value={stock.head}
              min={1}
              max={100000}
              onChange={(v) => what({ stock: tidy({ ...stock, head: v && Math.round(v) }) })}
              problem={problemAt(state.problems, `${at}/stock/head`)}
            />
            <QuantityField
              label="Live weight of one"
              value={stock.liveWeight}
              placeholder="usual"
              units={us ? ['lb', 'kg'] : ['kg', 'lb']}
              onChange={(v) => what({ stock: tidy({ ...stock, liveWeight: v }) })}
              problem={problemAt(state.problems, `${at}/stock/liveWeight`)}
            />
            <NumberField
              label="Paddocks"
              value={graze.paddocks}
              min={1}
              max={200}
              onChange={(v) => what({ paddocks: v && Math.round(v) })}
              problem={problemAt(state.problems, `${at}/paddocks`)}
            />
          </>
        )}
        <QuantityField
          label="Height to leave"
          value={graze.residualHeight}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          onChange={(v) => what({ residualHeight: v })}
          problem={problemAt(state.problems, `${at}/residualHeight`)}
        />
      </div>
      {!result && state.evaluation && state.problems.length === 0 && (
        <p className="mt-1 text-[13.5px] text-hand">
          As simulated nothing stands for them on that day, or that day is not simulated: another
          day, or no stock.
        </p>
      )}
      {result && (
        <>
          <dl
            aria-label="What the grazing takes, feeds and leaves"
            className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(170px,1fr))] gap-x-4 text-[13.5px]"
          >
            {result.figures.map((f) => (
              <div key={f.id}>
                <dt className="text-ink2">{f.label}</dt>
                <dd>
                  <FigureText of={f} />
                </dd>
              </div>
            ))}
          </dl>
          <ul className="text-[13.5px]">
            {result.says.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

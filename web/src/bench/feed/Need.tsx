import type { Schemas, UnitSymbol } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import { Check } from '../../ui/Check';
import { problemAt, QuantityField, SelectField, TextField } from '../../ui/inputs';
import { RowsField } from '../../ui/RowsField';

type Nitrogen = Schemas['NitrogenEntry'];

/** What the crop needs, by the school chosen, with what the others say beside it. */
export function Need({
  cropId,
  n,
  at,
  factorUnits,
  set,
}: {
  cropId: string;
  n: Nitrogen;
  at: string;
  factorUnits: UnitSymbol[];
  set: (change: Nitrogen) => void;
}) {
  const { state, us, farm } = useOpenPlan();
  const school = n.school ?? 'yield-goal';
  const schools = state.evaluation?.feed[cropId]?.schools ?? [];
  const tried = n.response?.tried ?? [];
  const price: UnitSymbol[] = us ? ['¤/lb', '¤/ton', '¤/kg'] : ['¤/kg', '¤/t', '¤/lb'];
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <SelectField
          label="Need by"
          value={school}
          options={[
            { id: 'yield-goal', name: 'yield goal and factor' },
            { id: 'optimum', name: 'rates that were tried' },
            { id: 'local', name: 'local recommendation' },
          ]}
          onChange={(v) => set({ school: v })}
        />
        {school === 'local' && (
          <>
            <QuantityField
              label="Recommendation"
              value={n.need}
              units={us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac']}
              onChange={(q) => set({ need: q })}
              problem={problemAt(state.problems, `${at}/need`)}
            />
            <TextField
              label="Its source"
              value={n.source ?? ''}
              onChange={(v) => set({ source: v.slice(0, 200) || undefined })}
            />
          </>
        )}
        {school === 'yield-goal' && (
          <QuantityField
            label="Nitrogen per yield"
            value={n.factor}
            units={factorUnits}
            placeholder="usual"
            onChange={(q) => set({ factor: q })}
            problem={problemAt(state.problems, `${at}/factor`)}
          />
        )}
        {school === 'optimum' && (
          <>
            <QuantityField
              label="Price of the grain"
              value={n.response?.grainPrice}
              units={us ? ['¤/ton', '¤/lb', '¤/t'] : ['¤/t', '¤/kg', '¤/ton']}
              currency={farm.currency}
              onChange={(q) => set({ response: { ...n.response, grainPrice: q } })}
              problem={problemAt(state.problems, `${at}/response/grainPrice`)}
            />
            <QuantityField
              label="Price of nitrogen"
              value={n.response?.nitrogenPrice}
              units={price}
              currency={farm.currency}
              onChange={(q) => set({ response: { ...n.response, nitrogenPrice: q } })}
              problem={problemAt(state.problems, `${at}/response/nitrogenPrice`)}
            />
          </>
        )}
        {school !== 'yield-goal' && (
          <Check
            checked={n.creditsInside ?? true}
            onChange={(on) => set({ creditsInside: on ? undefined : false })}
          >
            credits of the crop before are inside
          </Check>
        )}
      </div>
      {school === 'optimum' && (
        <RowsField
          title="Yields at rates of nitrogen"
          one="rate"
          pointer={`${at}/response/tried`}
          problems={state.problems}
          rows={tried}
          fresh={{}}
          columns={[
            { key: 'site', label: 'site and year', kind: 'text' },
            {
              key: 'rate',
              label: 'rate',
              kind: 'quantity',
              units: us ? ['lb/ac', 'kg/ha'] : ['kg/ha', 'lb/ac'],
              needed: true,
            },
            {
              key: 'yield',
              label: 'yield',
              kind: 'quantity',
              units: us ? ['bu/ac', 'lb/ac', 't/ha'] : ['t/ha', 'kg/ha', 'bu/ac'],
              needed: true,
            },
          ]}
          onChange={(rows) => set({ response: { ...n.response, tried: rows } })}
        />
      )}
      {schools.length > 0 && (
        <ul aria-label="Need by each school" className="mt-2 text-[13.5px]">
          {schools.map((s) => (
            <li key={s.id}>
              {s.chosen ? <b>{s.name}</b> : s.name}:{' '}
              {s.amount ? (
                <FigureText of={s.amount} />
              ) : (
                <i className="text-ink2">wants {s.lacks}</i>
              )}
              {s.chosen && <span className="text-ink2"> (counts here)</span>}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

import type { Schemas, UnitSymbol } from '../api/client';
import { setCrop, tidy } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../ui/FigureText';
import { problemAt, QuantityField, SelectField, TextField } from '../ui/inputs';
import { useCrop } from './pick';

type Nitrogen = Schemas['NitrogenEntry'];

export function FeedStep() {
  const { session, state, knowledge, us, farm } = useOpenPlan();
  const { crop, chooser } = useCrop();
  if (!crop) {
    return (
      <>
        <h2>Feed</h2>
        {chooser}
      </>
    );
  }
  const n: Nitrogen = crop.nitrogen ?? {};
  const known = knowledge.crops.find((c) => c.id === crop.crop);
  const at = `/crops/${state.plan.crops.indexOf(crop)}/nitrogen`;
  const set = (change: Nitrogen) =>
    session.change((p) => setCrop(p, crop.id, { nitrogen: tidy({ ...n, ...change }) }));
  const local = n.school === 'local';
  const own = (known?.needUnit ?? 'kg/t') as UnitSymbol;
  const factorUnits = [own, ...(['lb/bu', 'lb/cwt', 'kg/t'] as const).filter((u) => u !== own)];
  const fig = (what: string) => `feed/${crop.id}/${what}`;
  const has = (what: string) => state.evaluation?.figures[fig(what)] !== undefined;
  const rows = [
    {
      label: 'Need',
      what: 'need',
      aside: local ? 'local recommendation' : 'yield goal times factor, before credits',
    },
    {
      label: 'From the cover',
      what: 'coverCredit',
      aside: 'share released in a season, by its nitrogen content',
      minus: true,
    },
    { label: 'Left to buy', what: 'leftToBuy', aside: 'never below zero', sum: true },
  ];
  return (
    <>
      <h2>Feed</h2>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        {chooser}
        <SelectField
          label="Need by"
          value={n.school ?? 'yield-goal'}
          options={[
            { id: 'yield-goal', name: 'yield goal and factor' },
            { id: 'local', name: 'local recommendation' },
          ]}
          onChange={(v) => set({ school: v })}
        />
        {local ? (
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
        ) : (
          <QuantityField
            label="Nitrogen per yield"
            value={n.factor}
            units={factorUnits}
            placeholder="usual"
            onChange={(q) => set({ factor: q })}
            problem={problemAt(state.problems, `${at}/factor`)}
          />
        )}
        <SelectField
          label="Product"
          value={n.product ?? ''}
          empty="choose"
          options={knowledge.products}
          onChange={(v) => set({ product: v || undefined })}
        />
        <QuantityField
          label="Its price"
          value={n.productPrice}
          units={us ? ['¤/ton', '¤/lb', '¤/t'] : ['¤/t', '¤/kg', '¤/ton']}
          currency={farm.currency}
          onChange={(q) => set({ productPrice: q })}
          problem={problemAt(state.problems, `${at}/productPrice`)}
        />
      </div>
      {!has('need') && (
        <p className="mt-2 text-ink2 italic">
          {local
            ? 'Type the recommendation.'
            : known?.needByYield
              ? 'The need follows from the yield goal in step Rotation.'
              : 'No general factor is held for this crop: type the local recommendation.'}
        </p>
      )}
      <table className="mt-3 w-full max-w-[640px]">
        <tbody>
          {rows.map((r) => (
            <tr key={r.what} className={r.sum ? 'border-y-2 border-ink' : 'border-b border-rule2'}>
              <td className="py-1.5">
                <b>{r.label}</b>
                <span className="block text-[12.5px] text-ink2 italic">{r.aside}</span>
              </td>
              <td className="text-right">
                {r.minus && has(r.what) && <span className="fig mr-1 text-[13px]">less</span>}
                <FigureText id={fig(r.what)} big band />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {has('product') && (
        <p className="mt-3">
          In {knowledge.products.find((p) => p.id === n.product)?.name}:{' '}
          <FigureText id={fig('product')} />
          {has('productVolume') && (
            <>
              {' '}
              or <FigureText id={fig('productVolume')} />
            </>
          )}
          , for the field <FigureText id={fig('productForField')} />
          {has('productCost') && (
            <>
              , at <FigureText id={fig('productCost')} />
            </>
          )}
          .
        </p>
      )}
      <p className="mt-3 text-[13px] text-ink2">
        Forecasts are estimates: weigh a quadrat before a credit is relied on. Legal maximum, closed
        periods and distance to water are local law. Anhydrous ammonia is under pressure and burns:
        goggles, gloves, water at hand.
      </p>
    </>
  );
}

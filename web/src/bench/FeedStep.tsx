import { Fragment } from 'react';

import { today, type Schemas, type UnitSymbol } from '../api/client';
import { operationOf, setCrop } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { addDays, spokenDate } from '../ui/days';
import { FigureText } from '../plan/FigureText';
import { problemAt, QuantityField, SelectField, TextField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { Doings } from './Doings';
import { Feedings } from './Feedings';
import { NitrogenLedger } from './NitrogenLedger';
import { useCrop } from './pick';

type Nitrogen = Schemas['NitrogenEntry'];

export function FeedStep() {
  const { session, state, knowledge, us, farm } = useOpenPlan();
  const crop = useCrop();
  if (!crop) {
    return (
      <>
        <BenchHead title="Feed" aside="what the crop still lacks, line by line" about="crop" />
        <p className="text-ink2 italic">No crop yet: step Rotation.</p>
      </>
    );
  }
  const n: Nitrogen = crop.nitrogen ?? {};
  const known = knowledge.crops.find((c) => c.id === crop.crop);
  const at = `/crops/${state.plan.crops.indexOf(crop)}/nitrogen`;
  const set = (change: Nitrogen) =>
    session.change((p) => setCrop(p, crop.id, { nitrogen: tidy({ ...n, ...change }) }));
  const local = n.school === 'local';
  const own = (us ? (known?.needUnit ?? 'lb/cwt') : 'kg/t') as UnitSymbol;
  const factorUnits = [own, ...(['lb/bu', 'lb/cwt', 'kg/t'] as const).filter((u) => u !== own)];
  const feed = state.evaluation?.feed[crop.id];
  return (
    <>
      <BenchHead title="Feed" aside="what the crop still lacks, line by line" about="crop" />
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
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
      {!feed?.need && (
        <p className="mt-2 text-ink2 italic">
          {local
            ? 'Type the recommendation.'
            : known?.needByYield
              ? 'The need follows from the yield goal in step Rotation.'
              : 'No general factor is held for this crop: type the local recommendation.'}
        </p>
      )}
      <NitrogenLedger cropId={crop.id} local={local} />
      {feed?.product && (
        <p className="mt-3">
          In {knowledge.products.find((p) => p.id === n.product)?.name}:{' '}
          <FigureText of={feed.product} />
          {feed.productVolume && (
            <>
              {' '}
              or <FigureText of={feed.productVolume} />
            </>
          )}
          , for the field <FigureText of={feed.productForField} />
          {feed.productCost && (
            <>
              , at <FigureText of={feed.productCost} />
            </>
          )}
          .
        </p>
      )}
      <Feedings
        subject={crop.id}
        title="Planned to be fed"
        day={operationOf(state.plan, 'sow', crop.id)?.when.on ?? today()}
        none={
          feed && feed.assumed.length > 0 ? (
            <>
              Nothing planned yet: the simulation assumes
              {feed.assumed.map((a, i) => (
                <Fragment key={a.on}>
                  {i === 0 ? ' ' : i === feed.assumed.length - 1 ? ' and ' : ', '}
                  <FigureText of={a.nitrogen} /> on {spokenDate(a.on)}
                </Fragment>
              ))}
              , as is usual for this crop. What is planned here replaces it.
            </>
          ) : (
            `Nothing planned yet${feed ? ', and the simulation feeds it nothing' : ''}.`
          )
        }
      />
      <Doings
        kind="irrigate"
        subject={crop.id}
        day={addDays(operationOf(state.plan, 'sow', crop.id)?.when.on ?? today(), 40)}
      />
      <p className="mt-3 text-[13px] text-ink2">
        Forecasts are estimates: weigh a quadrat before a credit is relied on. Legal maximum, closed
        periods and distance to water are local law. Anhydrous ammonia is under pressure and burns:
        goggles, gloves, water at hand.
      </p>
    </>
  );
}

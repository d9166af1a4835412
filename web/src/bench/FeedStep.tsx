import { Fragment } from 'react';

import { today, type Schemas, type UnitSymbol } from '../api/client';
import { operationOf, setCrop } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { addDays, spokenDate } from '../ui/days';
import { FigureText } from '../plan/FigureText';
import { problemAt, QuantityField, SelectField } from '../ui/inputs';
import { BenchHead } from './BenchHead';
import { Waterings } from './Waterings';
import { Credits } from './feed/Credits';
import { Law } from './feed/Law';
import { Need } from './feed/Need';
import { Nutrients } from './feed/Nutrients';
import { Tests } from './feed/Tests';
import { Supply } from './feed/Supply';
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
  const pounds = known?.needUnit === 'lb/bu' ? 'lb/bu' : 'lb/cwt';
  const own: UnitSymbol = us ? pounds : 'kg/t';
  const factorUnits = [own, ...(['lb/bu', 'lb/cwt', 'kg/t'] as const).filter((u) => u !== own)];
  const feed = state.evaluation?.feed[crop.id];
  return (
    <>
      <BenchHead title="Feed" aside="what the crop still lacks, line by line" about="crop" />
      <Need cropId={crop.id} n={n} at={at} factorUnits={factorUnits} set={set} />
      <Credits cropId={crop.id} n={n} at={at} set={set} />
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
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
          {n.school === 'local'
            ? 'Type the recommendation.'
            : n.school === 'optimum'
              ? 'Type yields at four rates or more, and both prices.'
              : 'The need follows from the yield goal in step Rotation.'}
        </p>
      )}
      <NitrogenLedger cropId={crop.id} />
      {feed?.boughtForYield && (
        <p className="mt-1 text-[13.5px]">
          Bought for the yield goal: <FigureText of={feed.boughtForYield} />. A cross-check, from
          which nothing is taken off
          {crop.crop === 'grain-corn' &&
            `: growers of corn with split feeding report ${us ? '0.6 to 0.7 lb a bushel' : '11 to 13 kg/t'}, credits inside`}
          .
        </p>
      )}
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
      <Law n={n} at={at} set={set} />
      <Supply cropId={crop.id} />
      <Tests cropId={crop.id} />
      <Nutrients cropId={crop.id} />
      <Waterings
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

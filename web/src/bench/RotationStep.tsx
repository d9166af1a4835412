import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, today, type Schemas } from '../api/client';
import { addCrop, removeCrop, setCrop } from '../plan/edit';
import { Check } from '../ui/Check';
import { useOpenPlan } from '../plan/context';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { SectionFiles } from '../plan/SectionFiles';
import { BenchHead } from './BenchHead';
import { Simulated } from './Simulated';
import { Stack } from '../ui/Stack';
import { CopyRotation } from './CopyRotation';
import { CropDate } from './CropDate';
import { useCropName } from './pick';
import { WindowTable } from './WindowTable';
import {
  fahrenheitDegreesOf,
  fahrenheitOf,
  inchesOfCm,
  kgHaOfLbAc,
  perAcreOfPerHectare,
} from '../ui/convert';

type Choice = Schemas['CropChoice'];

/** What the library holds of a crop, for the planting at hand. */
function CropFacts({ crop, us }: { crop: Choice; us: boolean }) {
  const g = crop.growing;
  const cm = (v: number) => (us ? `${inchesOfCm(v).toFixed(1)} in` : `${v} cm`);
  const c = (v: number) => (us ? `${Math.round(fahrenheitOf(v))} °F` : `${v} °C`);
  const warmth = (v: number) => (us ? `${Math.round(fahrenheitDegreesOf(v))} °F d` : `${v} °C d`);
  const area = (v: number) =>
    us
      ? `${Math.round(perAcreOfPerHectare(v) / 100) * 100}`.replace(/(\d)(?=(\d{3})+$)/g, '$1 ') +
        '/ac'
      : `${v}`.replace(/(\d)(?=(\d{3})+$)/g, '$1 ') + '/ha';
  const facts: [string, string][] = [
    ['family', crop.family],
    ['season', g.warm ? 'warm' : 'cool'],
    [
      'to maturity',
      g.maturityDegreeDays > 0
        ? `${warmth(g.maturityDegreeDays)} above ${c(g.baseC)}${g.ceilingC ? `, held below ${c(g.ceilingC)}` : ''}; about ${g.daysToMaturity} days`
        : `cut; ${g.daysToMaturity} days to the first`,
    ],
    ['soil at least', c(g.minSoilC)],
    ['depth', cm(g.depthCm)],
    ['row width', cm(g.rowWidthCm)],
    ['population', `${area(g.populationHa)}, ${Math.round(g.standTarget * 100)} % to stand`],
    ['thousand seeds', `${g.thousandSeedG} g`],
    ['residue', `${g.fragileResidue ? 'fragile' : 'lasting'}, C:N ${g.residueCN}`],
    [
      'residue cover',
      us
        ? `1 − e^(−${g.coverAcPerLb} M), M in lb/ac`
        : `1 − e^(−${(g.coverAcPerLb / kgHaOfLbAc(1)).toPrecision(3)} M), M in kg/ha`,
    ],
    [
      'leaves nitrogen',
      us ? `${Math.round(g.nitrogenLeftKgHa / 1.121)} lb/ac` : `${g.nitrogenLeftKgHa} kg/ha`,
    ],
    ['planted through residue', g.mulchTolerance],
    ['shares with covers', g.sharedPests.join(', ')],
  ];
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 py-1 text-[13px]">
      {facts.map(([k, v]) => (
        <div key={k} className="contents">
          <dt className="text-ink2">{k}</dt>
          <dd className="fig">{v}</dd>
        </div>
      ))}
      <dt className="text-ink2">source</dt>
      <dd className="text-[12.5px] italic">
        {g.source.text} ({g.source.status})
      </dd>
    </dl>
  );
}

function Repeat() {
  const { session, state } = useOpenPlan();
  const repeat = useMutation({
    mutationFn: async () => {
      const plan = state.plan;
      const made = taken(
        await api.POST('/api/rotations/repeated', { body: { plan, asOf: today() } }),
      );
      session.change((now) => (now === plan ? made : now));
    },
  });
  return (
    <>
      <button
        type="button"
        className="btn"
        disabled={state.plan.crops.length === 0 || repeat.isPending}
        onClick={() => repeat.mutate()}
      >
        Repeat the rotation
      </button>
      {repeat.error && (
        <span role="alert" className="basis-full text-hand">
          Not repeated: {repeat.error.message}
        </span>
      )}
    </>
  );
}

export function RotationStep() {
  const { session, state, knowledge, us } = useOpenPlan();
  const [next, setNext] = useState('');
  const [facts, setFacts] = useState<string>();
  const plan = state.plan;
  const rotation = state.evaluation?.grow.rotation;
  const name = useCropName();
  return (
    <>
      <BenchHead title="Rotation" aside="cash crops in time, and the windows between them" />
      <Stack>
        <table className="mt-1 w-full">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px]">
              <th className="py-1">cash crop</th>
              <th>planted</th>
              <th>harvested</th>
              <th>drill can go after</th>
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
                  <td className="py-1.5">
                    <button
                      type="button"
                      className="text-left font-bold hover:bg-paper2"
                      aria-expanded={facts === c.id}
                      onClick={() => setFacts(facts === c.id ? undefined : c.id)}
                    >
                      {name(c)} <span aria-hidden>{facts === c.id ? '▾' : '▸'}</span>
                    </button>
                    {facts === c.id && k && <CropFacts crop={k} us={us} />}
                  </td>
                  <td className="py-1">
                    <CropDate crop={c} kind="sow" name={name(c)} />
                  </td>
                  <td className="py-1">
                    <CropDate crop={c} kind="harvest" name={name(c)} />
                  </td>
                  <td className="py-1">
                    <NumberField
                      hideLabel
                      label={`${name(c)}, days until the drill can go`}
                      width="w-10"
                      value={c.turnaroundDays}
                      placeholder="0"
                      max={60}
                      suffix={<span className="text-[11.5px] text-ink2">d</span>}
                      onChange={(v) =>
                        session.change((p) =>
                          setCrop(p, c.id, {
                            turnaroundDays: v === undefined ? undefined : Math.round(v),
                          }),
                        )
                      }
                      problem={problemAt(state.problems, `/crops/${i}/turnaroundDays`)}
                    />
                  </td>
                  <td className="py-1">
                    <Check
                      className="text-[12.5px]"
                      checked={c.forSeed ?? false}
                      onChange={(on) =>
                        session.change((p) => setCrop(p, c.id, { forSeed: on || undefined }))
                      }
                    >
                      <span className="sr-only">{name(c)} </span>for seed
                    </Check>
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
                      aria-label={`Remove ${name(c)}`}
                      onClick={() => session.change((p) => removeCrop(p, c.id))}
                    >
                      remove
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Stack>
      <div className="mt-2 flex flex-wrap items-end gap-3">
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
        <span className="ml-auto flex flex-wrap gap-3">
          <Repeat />
          <CopyRotation />
        </span>
      </div>
      <WindowTable />
      <Simulated
        title="The rotation as simulated"
        rows={[
          ['Lowest cover once the first stand has ended', rotation?.lowestCover],
          ['Days a year with under 30 % covered from then on', rotation?.bareDays],
          ['Days a year with living roots', rotation?.livingRootDays],
          [
            'Nitrogen lost below the roots while the soil drains, to compare plans',
            rotation?.leached,
          ],
          ['Mineral nitrogen in the soil when the plan begins', rotation?.startNitrogen],
          ['Residue on the ground when the plan begins', rotation?.startResidue],
        ]}
      />
      <SectionFiles />
    </>
  );
}

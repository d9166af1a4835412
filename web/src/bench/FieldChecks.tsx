import type { Schemas } from '../api/client';
import { today } from '../api/client';
import { setCover } from '../plan/edit';
import { tidy } from '../ui/tidy';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { DateField } from '../ui/DateField';
import { FigureText } from '../plan/FigureText';
import { NumberField, problemAt, QuantityField, SelectField } from '../ui/inputs';
import { QuadratFields } from '../ui/QuadratFields';
import { TransectFields } from './TransectFields';
import { Verdicts } from '../log/Verdicts';

type Cover = Schemas['CoverEntry'];
type Check = Schemas['CheckEntry'];
type Verdict = Schemas['GrowVerdict'];

/** What was seen of a cover in the field; growth is corrected from that day on. */
export function FieldChecks({
  cover,
  verdicts,
}: {
  cover: Cover;
  /** What each check says, by its id. */
  verdicts: Record<string, Verdict[]>;
}) {
  const { session, state, us } = useOpenPlan();
  const checks = cover.checks ?? [];
  const at = `/covers/${state.plan.covers.indexOf(cover)}/checks`;
  const seen = state.evaluation?.end[cover.id]?.checks ?? [];
  const put = (next: Check[]) =>
    session.change((p) => setCover(p, cover.id, { checks: next.length ? next : undefined }));
  const set = (i: number, change: Partial<Check>) =>
    put(checks.map((c, k) => (k === i ? tidy({ ...c, ...change }) : c)));
  const fresh = () => {
    const ids = new Set(checks.map((c) => c.id));
    let n = checks.length + 1;
    while (ids.has(`check-${n}`)) n++;
    put([...checks, { id: `check-${n}`, on: today() }]);
  };
  return (
    <section aria-label="Field checks">
      <h3 className="mt-4 font-bold">Field checks</h3>
      <p className="text-[13px] text-ink2 italic">
        What is weighed or counted on a day corrects growth from that day on, by how certain each
        is: fewer than four cuts never move it by more than three tenths. Sort weeds out first.
      </p>
      {checks.map((c, i) => (
        <Row
          key={c.id}
          check={c}
          us={us}
          species={cover.mix?.components.map((m) => m.species) ?? []}
          problem={(what) => problemAt(state.problems, `${at}/${i}/${what}`)}
          said={seen.find((s) => s.id === c.id)}
          verdicts={verdicts[c.id] ?? []}
          onChange={(change) => set(i, change)}
          onRemove={() => put(checks.filter((_, k) => k !== i))}
        />
      ))}
      <button type="button" className="btn mt-2" onClick={fresh}>
        Enter a field check
      </button>
    </section>
  );
}

const STAGES = [
  { id: 'leafy', name: 'leafy' },
  { id: 'stems', name: 'stems' },
  { id: 'before-bloom', name: 'before bloom' },
  { id: 'in-bloom', name: 'in bloom' },
  { id: 'seed-set', name: 'seed set' },
  { id: 'ripe', name: 'ripe' },
];

const EVIDENCE = [
  { id: 'no-seed', name: 'no seed found' },
  { id: 'dry-seed', name: 'dry, firm seed' },
  { id: 'swollen-seed', name: 'swollen, soft seed' },
  { id: 'bent-shoots', name: 'bent shoots below' },
  { id: 'cut-plants', name: 'plants cut off' },
  { id: 'holes', name: 'leaves with holes' },
  { id: 'none-of-these', name: 'none of these' },
];

function Row({
  check,
  us,
  species,
  problem,
  said,
  verdicts,
  onChange,
  onRemove,
}: {
  check: Check;
  us: boolean;
  species: string[];
  problem: (what: string) => string | undefined;
  said?: Schemas['CheckView'];
  verdicts: Verdict[];
  onChange: (change: Partial<Check>) => void;
  onRemove: () => void;
}) {
  const { knowledge } = useOpenPlan();
  const day = spokenDate(check.on);
  const named = (id: string) => knowledge.species.find((k) => k.id === id)?.name ?? id;
  return (
    <div className="mt-2 border-l-2 border-rule pl-3">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <DateField label="Seen on" value={check.on} onChange={(d) => d && onChange({ on: d })} />
        <SelectField
          label="Looked at"
          value={check.species ?? ''}
          empty="the whole cover"
          options={species.map((id) => ({ id, name: `${named(id)} alone` }))}
          onChange={(v) => onChange({ species: v || undefined })}
        />
        <NumberField
          label="Ground cover seen"
          value={check.coverPercent}
          max={100}
          suffix="%"
          onChange={(v) => onChange({ coverPercent: v })}
          problem={problem('coverPercent')}
        />
        <QuantityField
          label="Plants counted"
          value={check.plants}
          units={us ? ['/ft2', '/m2'] : ['/m2', '/ft2']}
          onChange={(v) => onChange({ plants: v })}
          problem={problem('plants')}
        />
        <QuantityField
          label="Height"
          value={check.height}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          onChange={(v) => onChange({ height: v })}
          problem={problem('height')}
        />
        <SelectField
          label="Stage"
          value={check.stage ?? ''}
          empty="not looked"
          options={STAGES}
          onChange={(v) => onChange({ stage: v || undefined })}
        />
        <SelectField
          label="Nodules"
          value={check.nodules ?? ''}
          empty="not looked"
          options={[
            { id: 'pink', name: 'many, pink inside' },
            { id: 'few', name: 'few' },
            { id: 'none', name: 'none' },
          ]}
          onChange={(v) => onChange({ nodules: v || undefined })}
        />
        <QuantityField
          label="Tillers or shoots"
          value={check.tillers}
          units={us ? ['/ft2', '/m2'] : ['/m2', '/ft2']}
          onChange={(v) => onChange({ tillers: v })}
          problem={problem('tillers')}
        />
        <NumberField
          label="Field in bare patches"
          value={check.patchesPercent}
          max={100}
          suffix="%"
          onChange={(v) => onChange({ patchesPercent: v })}
          problem={problem('patchesPercent')}
        />
        <SelectField
          label="Where plants are missing"
          value={check.evidence ?? ''}
          empty="not dug"
          options={EVIDENCE}
          onChange={(v) => onChange({ evidence: v || undefined })}
        />
        <button
          type="button"
          className="link pb-1 text-[13px]"
          aria-label={`Remove the check of ${day}`}
          onClick={onRemove}
        >
          remove
        </button>
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        <QuadratFields
          value={check.quadrat}
          us={us}
          labels={{
            frame: 'Frame',
            dry: 'Dry matter of the cuts',
            cut: (n) => `Cut ${n}, fresh`,
          }}
          problem={(what) => problem(`quadrat/${what}`)}
          onChange={(quadrat) => onChange({ quadrat })}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        <TransectFields
          value={check.transect}
          problem={problem}
          onChange={(transect) => onChange({ transect })}
        />
      </div>
      <p className="mt-1 text-[13.5px]" role="status">
        {said
          ? `${day}: ${said.said}.`
          : check.on > today()
            ? 'Dated ahead: it counts from its day on.'
            : 'Nothing of this cover is forecast to stand on that day, so nothing is corrected.'}{' '}
        {said?.factor && (
          <>
            Factor <FigureText of={said.factor} />
          </>
        )}
      </p>
      <Verdicts verdicts={verdicts} />
    </div>
  );
}

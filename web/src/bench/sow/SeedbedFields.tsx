import { today, type Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { setMembers, type Of } from '../../plan/edit';
import { tidy } from '../../ui/tidy';
import { spokenDate } from '../../ui/days';
import { DateField } from '../../ui/DateField';
import { problemAt, QuantityField, SelectField } from '../../ui/inputs';

type Sow = Of<'sow'>;
type Look = NonNullable<Sow['seedbedCheck']>;

const WORD: Record<string, string> = {
  sow: 'Sow',
  wait: 'Wait',
  flush: 'Flush the weeds first',
};

/** The seedbed as it was looked at, and whether to sow, to wait or to flush weeds first. */
export function SeedbedFields({
  coverId,
  sow,
  at,
  verdict,
}: {
  coverId: string;
  sow: Sow | undefined;
  at: string;
  verdict: Schemas['VerdictView'] | undefined;
}) {
  const { session, state, us } = useOpenPlan();
  const look = sow?.seedbedCheck;
  const set = (change: Partial<Look>) =>
    session.change((d) =>
      setMembers(d, 'sow', coverId, {
        seedbedCheck: tidy<Look>({ on: today(), ...look, ...change }),
      }),
    );
  const problem = (what: string) => problemAt(state.problems, `${at}/seedbedCheck/${what}`);
  return (
    <section aria-label="Seedbed" className="mt-4">
      <h3 className="font-bold">
        Seedbed{' '}
        <i className="text-[13px] font-medium text-ink2">look before the drill leaves the yard</i>
      </h3>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <DateField label="Looked at" value={look?.on} onChange={(d) => d && set({ on: d })} />
        <QuantityField
          label="A heel sinks"
          value={look?.heelSinks}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          disabled={!sow}
          onChange={(q) => set({ heelSinks: q })}
          problem={problem('heelSinks')}
        />
        <QuantityField
          label="Moist from"
          value={look?.moistFrom}
          units={us ? ['in', 'cm'] : ['cm', 'in']}
          disabled={!sow}
          onChange={(q) => set({ moistFrom: q })}
          problem={problem('moistFrom')}
        />
        <QuantityField
          label="Weed seedlings"
          value={look?.weeds}
          units={us ? ['/ft2', '/m2'] : ['/m2', '/ft2']}
          disabled={!sow}
          onChange={(q) => set({ weeds: q })}
          problem={problem('weeds')}
        />
        <SelectField
          label="Level"
          value={look?.level === undefined ? '' : look.level ? 'yes' : 'no'}
          empty="not looked"
          options={[
            { id: 'yes', name: 'level' },
            { id: 'no', name: 'ruts or waves' },
          ]}
          disabled={!sow}
          onChange={(v) => set({ level: v === '' ? undefined : v === 'yes' })}
        />
        {look && (
          <button
            type="button"
            className="link pb-1 text-[13px]"
            onClick={() =>
              session.change((d) => setMembers(d, 'sow', coverId, { seedbedCheck: undefined }))
            }
          >
            remove the look
          </button>
        )}
      </div>
      {verdict && (
        <div role="status" className="mt-1 border-l-4 border-ink pl-3 text-[14px]">
          <b>
            {WORD[verdict.act] ?? verdict.act}
            {verdict.flushes.length > 0 &&
              `: ${verdict.flushes.map((d) => spokenDate(d)).join(', ')}`}
          </b>
          <ul>
            {verdict.reasons.map((r) => (
              <li key={r}>{r}</li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

import type { Schemas } from '../../api/client';
import { useOpenPlan } from '../../plan/context';
import { FigureText } from '../../plan/FigureText';
import { setMembers, type Of } from '../../plan/edit';
import { Check } from '../../ui/Check';
import { DateField } from '../../ui/DateField';
import { problemAt, QuantityField, SelectField } from '../../ui/inputs';
import { tidy } from '../../ui/tidy';

type Sow = Of<'sow'>;
type Entry = NonNullable<Sow['inoculants']>[number];

/** Rhizobium to mix in, a group each: whether, which dose, at what cost, and until when it lives. */
export function Inoculants({
  coverId,
  sow,
  at,
  seen,
}: {
  coverId: string;
  sow: Sow | undefined;
  at: string;
  seen: Schemas['MixChapterView'] | undefined;
}) {
  const { session, state, us, farm } = useOpenPlan();
  const list = sow?.inoculants ?? [];
  const set = (group: string, change: Partial<Entry> | undefined) =>
    session.change((d) => {
      const others = list.filter((i) => i.group !== group);
      const old = list.find((i) => i.group === group);
      const next = change ? [...others, tidy<Entry>({ group, ...old, ...change })] : others;
      return setMembers(d, 'sow', coverId, { inoculants: next.length ? next : undefined });
    });
  if ((seen?.inoculants.length ?? 0) === 0) return null;
  return (
    <section aria-label="Inoculant">
      <h3 className="mt-4 font-bold">Inoculant</h3>
      <ul className="max-w-[860px] text-[14px]">
        {seen?.inoculants.map((i) => {
          const k = list.findIndex((x) => x.group === i.group);
          const entry = list[k];
          const problem = (what: string) =>
            problemAt(state.problems, `${at}/inoculants/${k}/${what}`);
          const answer = entry ? (entry.notNeeded ? 'none' : 'mixed') : '';
          return (
            <li key={i.group} className="border-b border-rule2 py-1">
              <span className="flex flex-wrap items-baseline justify-between gap-x-4">
                <span>
                  <b>{i.group} group</b> for {i.species.join(', ')}
                  <span className="block text-[13px] text-ink2">
                    {i.grown
                      ? `The field grew ${i.grown}: its rhizobium may still live.`
                      : 'The field is not known to have grown this group in the last four years.'}
                  </span>
                </span>
                {answer !== 'none' && (
                  <span>
                    <FigureText of={i.amount} /> {i.cost && <FigureText of={i.cost} />}
                  </span>
                )}
              </span>
              <span className="flex flex-wrap items-end gap-x-4 gap-y-1">
                <SelectField
                  label={`Inoculate, ${i.group}`}
                  value={answer}
                  empty="not answered"
                  options={[
                    { id: 'mixed', name: 'mixed in on the day' },
                    { id: 'none', name: 'left out on purpose' },
                  ]}
                  disabled={!sow}
                  onChange={(v) =>
                    set(
                      i.group,
                      v === '' ? undefined : { notNeeded: v === 'none' ? true : undefined },
                    )
                  }
                />
                {answer === 'mixed' && (
                  <>
                    <QuantityField
                      label={`Dose on seed, ${i.group}`}
                      value={entry?.dose}
                      units={['g/kg']}
                      placeholder="6.25"
                      onChange={(q) => set(i.group, { dose: q })}
                      problem={problem('dose')}
                    />
                    <QuantityField
                      label={`Price, ${i.group}`}
                      value={entry?.price}
                      units={us ? ['¤/lb', '¤/kg'] : ['¤/kg', '¤/lb']}
                      currency={farm.currency}
                      onChange={(q) => set(i.group, { price: q })}
                      problem={problem('price')}
                    />
                    <DateField
                      label={`Use by, ${i.group}`}
                      value={entry?.useBy}
                      onChange={(d) => set(i.group, { useBy: d || undefined })}
                    />
                  </>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      <Check
        checked={sow?.soaked ?? false}
        onChange={(on) =>
          session.change((d) => setMembers(d, 'sow', coverId, { soaked: on || undefined }))
        }
      >
        seed is soaked before sowing (by hand only)
      </Check>
      <p className="text-[13px] text-ink2">
        Each group on its own seed, on the day, out of the sun. The packet’s label decides.
      </p>
    </section>
  );
}

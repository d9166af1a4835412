import type { ReactNode } from 'react';

import { addDoing, removeOperation, setDoing, type Of } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { spokenDate } from '../ui/days';
import { DateField } from '../ui/DateField';
import { problemAt, QuantityField, SelectField } from '../ui/inputs';

const RATES: { id: Of<'feed'>['rateOf']; name: string }[] = [
  { id: 'nitrogen', name: 'of nitrogen' },
  { id: 'material', name: 'of product' },
];

const PLACES = [
  { id: 'broadcast', name: 'broadcast' },
  { id: 'beside-row', name: 'beside the row' },
  { id: 'in-furrow', name: 'in the furrow' },
  { id: 'injected', name: 'injected' },
];

/**
 * What is planned to be fed to a crop or a cover: each product with its day and rate. It is what the simulation feeds.
 *
 * @param day of the next one
 * @param none what happens while there is none
 */
export function Feedings({
  subject,
  day,
  title,
  none,
}: {
  subject: string;
  day: string;
  title: string;
  none: ReactNode;
}) {
  const { session, state, knowledge, us } = useOpenPlan();
  const mine = state.plan.operations.flatMap((o, i) =>
    o.kind === 'feed' && o.subject === subject ? [{ o, at: `/operations/${i}` }] : [],
  );
  const usual = knowledge.products[0];
  return (
    <section aria-label={title}>
      <h3 className="mt-4 font-bold">{title}</h3>
      {mine.length === 0 && <p className="text-[13px] text-ink2 italic">{none}</p>}
      {mine.map(({ o, at }) => (
        <div key={o.id} className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
          <DateField
            label="Fed on"
            value={o.when.on}
            onChange={(d) => d && session.change((p) => setDoing(p, o.id, { day: d }))}
          />
          <SelectField
            label="Product"
            value={o.material.product}
            options={knowledge.products}
            onChange={(product) =>
              session.change((p) => setDoing(p, o.id, { what: { material: { product } } }))
            }
          />
          <QuantityField
            label="Rate"
            value={o.rate}
            units={us ? ['lb/ac', 'ton/ac', 'kg/ha'] : ['kg/ha', 't/ha', 'lb/ac']}
            onChange={(rate) =>
              rate && session.change((p) => setDoing(p, o.id, { what: { rate } }))
            }
            problem={problemAt(state.problems, `${at}/rate`)}
          />
          <SelectField
            hideLabel
            label="Rate of what"
            value={o.rateOf}
            options={RATES}
            onChange={(rateOf) =>
              session.change((p) => setDoing(p, o.id, { what: { rateOf: rateOf } }))
            }
          />
          <SelectField
            label="Placed"
            value={o.placement ?? ''}
            empty="not said"
            options={PLACES}
            onChange={(v) =>
              session.change((p) =>
                setDoing(p, o.id, {
                  what: { placement: v || undefined },
                }),
              )
            }
          />
          <button
            type="button"
            className="link pb-1 text-[13px]"
            aria-label={`Remove the feeding of ${spokenDate(o.when.on ?? '')}`}
            onClick={() => session.change((p) => removeOperation(p, o.id))}
          >
            remove
          </button>
        </div>
      ))}
      {usual && (
        <button
          type="button"
          className="btn mt-2"
          onClick={() =>
            session.change((p) =>
              addDoing(p, subject, day, {
                kind: 'feed',
                material: { product: usual.id },
                rate: us ? { value: 50, unit: 'lb/ac' } : { value: 50, unit: 'kg/ha' },
                rateOf: 'nitrogen',
              }),
            )
          }
        >
          Add an application
        </button>
      )}
      {mine.length > 0 && (
        <p className="mt-1 text-[13px] text-ink2 italic">
          Local rules on dates, rates and distances to water decide; keep fertiliser off frozen and
          waterlogged ground.
        </p>
      )}
    </section>
  );
}

import { Fragment, useState } from 'react';

import type { Plan, Schemas } from '../api/client';
import { addDoing, removeOperation, setDoing, type Of } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { Check } from '../ui/Check';
import { DateField } from '../ui/DateField';
import { spokenDate } from '../ui/days';
import { NumberField, problemAt, SelectField } from '../ui/inputs';
import { Herd } from './Herd';

type Graze = Of<'graze'>;
type Caution = Schemas['StockCautionView'];

const USUAL_EATEN = 50;

/** The cautions of a cover for a class of stock, all of them while none is chosen. */
function useCautions(subject: string) {
  const { state, knowledge } = useOpenPlan();
  const all = state.evaluation?.grow.steps[subject]?.stockCautions ?? [];
  return (stock: string | undefined): Caution[] => {
    const animal = knowledge.stockClasses.find((c) => c.id === stock)?.animal;
    return all.filter((c) => animal === undefined || c.animals.includes(animal));
  };
}

function Cautions({ of, onRead }: { of: Caution[]; onRead: (read: boolean) => void }) {
  return (
    <div role="group" aria-label="Cautions for the stock" className="mt-2">
      <ul className="list-disc pl-5 text-[13.5px]">
        {of.map((c) => (
          <li key={c.id}>
            <b>{c.name}</b> ({c.species.join(', ')}): {c.text}
          </li>
        ))}
        <li>
          Let stock in full and on a quarter of the field first; a forage test and the veterinarian
          decide.
        </li>
      </ul>
      <Check className="mt-1" checked={false} onChange={onRead}>
        I have read this for these stock
      </Check>
    </div>
  );
}

/** Asks which stock and shows what can harm them, before a first day is kept. */
function FirstGrazing({
  subject,
  day,
  onDone,
}: {
  subject: string;
  day: string;
  onDone: () => void;
}) {
  const { session, knowledge } = useOpenPlan();
  const cautions = useCautions(subject);
  const [stock, setStock] = useState('');
  const [on, setOn] = useState(day);
  const [take, setTake] = useState<number | undefined>(USUAL_EATEN);
  const keep = () =>
    session.change((p) =>
      addDoing(p, subject, on, {
        kind: 'graze',
        takePercent: take ?? USUAL_EATEN,
        stock: { class: stock },
        heeded: cautions(stock).map((c) => c.id),
      }),
    );
  return (
    <div role="group" aria-label="New grazing" className="mt-1 border-l-2 border-rule pl-3">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <SelectField
          label="Stock"
          value={stock}
          empty="choose"
          options={knowledge.stockClasses}
          onChange={(v) => setStock(v)}
        />
        <DateField label="First day" value={on} onChange={(d) => d && setOn(d)} />
        <NumberField
          label="Of the tops eaten"
          value={take}
          max={100}
          suffix="%"
          onChange={setTake}
        />
        <button type="button" className="link pb-1 text-[13px]" onClick={onDone}>
          no grazing
        </button>
      </div>
      {stock === '' ? (
        <p className="mt-1 text-[13px] text-ink2 italic">
          Choose the stock: what this cover can do to them is shown before a day is kept.
        </p>
      ) : (
        <Cautions
          key={stock}
          of={cautions(stock)}
          onRead={() => {
            keep();
            onDone();
          }}
        />
      )}
    </div>
  );
}

function OneGrazing({ o, at, subject }: { o: Graze; at: string; subject: string }) {
  const { session, state } = useOpenPlan();
  const cautions = useCautions(subject);
  const open = cautions(o.stock?.class).filter((c) => !o.heeded?.includes(c.id));
  const what = (change: Partial<Graze>) =>
    session.change((p) => setDoing(p, o.id, { what: change }));
  return (
    <Fragment>
      <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
        <DateField
          label="Grazed from"
          value={o.when.on}
          onChange={(d) => d && session.change((p) => setDoing(p, o.id, { day: d }))}
        />
        <DateField
          label="Last day"
          value={o.until}
          onChange={(d) => what({ until: d || undefined })}
        />
        <NumberField
          label="Of the tops eaten"
          value={o.takePercent}
          max={100}
          suffix="%"
          onChange={(v) => v !== undefined && what({ takePercent: v })}
          problem={problemAt(state.problems, `${at}/takePercent`)}
        />
        <button
          type="button"
          className="link pb-1 text-[13px]"
          aria-label={`Remove the grazing of ${spokenDate(o.when.on ?? '')}`}
          onClick={() => session.change((p) => removeOperation(p, o.id))}
        >
          remove
        </button>
      </div>
      {problemAt(state.problems, `${at}/until`) && (
        <p role="alert" className="text-[13px] text-hand">
          {problemAt(state.problems, `${at}/until`)}
        </p>
      )}
      <Herd graze={o} at={at} />
      {open.length > 0 && o.stock && (
        <Cautions
          of={open}
          onRead={() => what({ heeded: [...(o.heeded ?? []), ...open.map((c) => c.id)] })}
        />
      )}
    </Fragment>
  );
}

/** The grazings of a cover before it ends. */
export function Grazings({ subject, day }: { subject: string; day: string }) {
  const { state } = useOpenPlan();
  const [asking, setAsking] = useState(false);
  const mine = state.plan.operations.flatMap((o: Plan['operations'][number], i) =>
    o.kind === 'graze' && o.subject === subject ? [{ o, at: `/operations/${i}` }] : [],
  );
  return (
    <section aria-label="Grazing">
      <h3 className="mt-4 font-bold">Grazed before it ends</h3>
      {mine.map(({ o, at }) => (
        <OneGrazing key={o.id} o={o} at={at} subject={subject} />
      ))}
      {asking ? (
        <FirstGrazing subject={subject} day={day} onDone={() => setAsking(false)} />
      ) : (
        <button type="button" className="btn mt-2" onClick={() => setAsking(true)}>
          Graze it
        </button>
      )}
      {mine.length > 0 && (
        <p className="mt-1 text-[13px] text-ink2 italic">
          Eight parts in ten of the nitrogen eaten come back to the ground, where the stock stand.
        </p>
      )}
    </section>
  );
}

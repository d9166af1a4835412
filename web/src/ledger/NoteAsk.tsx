import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, type Lot, type Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { tidy } from '../ui/tidy';
import { KeptText, NumberField } from '../ui/inputs';

type Ask = Schemas['MissingFact'];

/** The fact a note lacks, taken where the note is read and kept where it belongs: with the field or with the lot. */
export function NoteAsk({ ask }: { ask: Ask }) {
  switch (ask.kind) {
    case 'livestock':
      return <StockAsked />;
    case 'label-interval':
      return <IntervalAsked herbicide={ask.of} />;
    case 'inoculated':
      return <InoculatedAsked lotId={ask.of} />;
  }
}

function StockAsked() {
  const { field, fieldSave } = useOpenPlan();
  return (
    <div className="mt-1">
      <KeptText
        label="Stock that have access, such as 40 beef cows"
        value={field.livestock}
        problem={fieldSave.save.problems.find((p) => p.pointer === '/livestock')?.message}
        onChange={(livestock) => fieldSave.change({ livestock })}
      />
    </div>
  );
}

function IntervalAsked({ herbicide }: { herbicide: string }) {
  const { field, fieldSave } = useOpenPlan();
  const at = field.residuals?.findIndex(
    (r) => `${r.activeIngredient} ${r.appliedOn}` === herbicide,
  );
  if (at === undefined || at < 0) return null;
  const pointer = `/residuals/${at}/intervalMonths`;
  return (
    <div className="mt-1">
      <NumberField
        label="Interval on the label"
        suffix="months"
        max={60}
        value={field.residuals?.[at]?.intervalMonths}
        problem={fieldSave.save.problems.find((p) => p.pointer === pointer)?.message}
        onChange={(intervalMonths) =>
          fieldSave.change({
            residuals: field.residuals?.map((r, i) =>
              i === at ? tidy({ ...r, intervalMonths }) : r,
            ),
          })
        }
      />
    </div>
  );
}

function InoculatedAsked({ lotId }: { lotId: string }) {
  const { session } = useOpenPlan();
  const queries = useQueryClient();
  const [asked, setAsked] = useState(false);
  const save = useMutation({
    mutationFn: async () => {
      const base = taken(await api.GET('/api/lots')).find((l: Lot) => l.id === lotId);
      if (!base) throw new Error('this lot is not in the seed store');
      taken(
        await api.PUT('/api/lots/{lotId}', {
          params: { path: { lotId } },
          body: { base, mine: { ...base, inoculated: true } },
        }),
      );
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['lots'] });
      await session.evaluate();
    },
  });
  return (
    <p className="mt-1 text-[13px]">
      {asked ? (
        <>
          Does the tag say so?{' '}
          <button type="button" className="link" onClick={() => save.mutate()}>
            yes, it comes inoculated
          </button>{' '}
          <button type="button" className="link" onClick={() => setAsked(false)}>
            no
          </button>
        </>
      ) : (
        <button type="button" className="link" onClick={() => setAsked(true)}>
          this lot comes inoculated
        </button>
      )}
      {save.isError && (
        <span role="alert" className="block text-hand">
          It could not be saved: {save.error.message}
        </span>
      )}
    </p>
  );
}

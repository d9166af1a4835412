import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';

import { api, taken, type Schemas } from '../api/client';
import { useOpenPlan } from '../plan/context';
import { fahrenheitOf } from '../ui/convert';
import { spokenDate } from '../ui/days';
import { Panel } from '../ui/Panel';
import { Verdicts } from './Verdicts';
import { GateForm } from './GateForm';
import { GATES, type GateKind } from './gates';
import { useLog } from './useLog';

type Cover = Schemas['CoverEntry'];
type Proposal = Schemas['LibraryProposal'];

const nameOf = (kind: string | undefined) => GATES.find((g) => g.id === kind)?.name ?? 'Look';

/** A value of the library that was found to be another here; taken over only by a click. */
function Adopt({ proposal, onAdopted }: { proposal: Proposal; onAdopted: () => void }) {
  const { knowledge, us } = useOpenPlan();
  const queries = useQueryClient();
  const name = knowledge.species.find((s) => s.id === proposal.species)?.name ?? proposal.species;
  const adopt = useMutation({
    mutationFn: async () =>
      taken(
        await api.PUT('/api/species/{speciesId}/cells/{columnId}', {
          params: { path: { speciesId: proposal.species, columnId: proposal.column } },
          body: { value: proposal.value, why: proposal.why },
        }),
      ),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['species'] });
      onAdopted();
    },
  });
  return (
    <p className="mt-1 text-[14px]">
      {adopt.isSuccess ? (
        <i role="status">taken into this practice’s species library</i>
      ) : (
        <button
          type="button"
          className="link"
          disabled={adopt.isPending}
          onClick={() => adopt.mutate()}
        >
          Count {name} as killed at{' '}
          {us ? `${Math.round(fahrenheitOf(Number(proposal.value)))} °F` : `${proposal.value} °C`}{' '}
          in this practice
        </button>
      )}
      {adopt.isError && (
        <span role="alert" className="text-hand">
          {' '}
          not taken: {adopt.error.message}
        </span>
      )}
    </p>
  );
}

/** The looks that decide something, each a form of its own; what they said stands below, the newest first. */
export function FieldGates({ cover, kinds }: { cover: Cover; kinds?: string[] }) {
  const { session, state, knowledge, field, us } = useOpenPlan();
  const again = useCallback(() => void session.evaluate(), [session]);
  const log = useLog(field.id, again);
  const [open, setOpen] = useState<GateKind>();
  const verdicts = state.evaluation?.grow.steps[cover.id]?.verdicts ?? {};
  const looks = state.evaluation?.end[cover.id]?.fallbacks ?? [];
  const said = state.evaluation?.end[cover.id]?.checks ?? [];
  const species = (cover.mix?.components ?? []).map((c) => ({
    id: c.species,
    name: knowledge.species.find((k) => k.id === c.species)?.name ?? c.species,
  }));
  const gates = GATES.filter((g) => !kinds || kinds.includes(g.id));
  const mine = log.entries.filter(
    (e) =>
      e.stands && e.coverId === cover.id && (!kinds || kinds.includes(e.check?.gate?.kind ?? '')),
  );
  const take = async (entry: Schemas['LogSave']) => {
    const kept = await log.write(entry);
    if (kept) setOpen(undefined);
    return kept;
  };
  return (
    <section aria-label="Gates in the field">
      <h3 className="mt-3 font-bold">
        Gates in the field{' '}
        <i className="text-[13px] font-medium text-ink2">
          a look, what it decides, and the day of the next
        </i>
      </h3>
      <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(142px,1fr))] gap-1.5">
        {gates.map((g) => {
          const look = looks.find((f) => f.id === g.fallback)?.look;
          return (
            <li key={g.id}>
              <button
                type="button"
                className="min-h-[56px] w-full border border-ink bg-paper px-2 py-1 text-left leading-tight"
                onClick={() => setOpen(g)}
              >
                <b className="block text-[15.5px]">{g.name}</b>
                <span className="text-[13px] text-ink2">
                  {look ? `about ${spokenDate(look)}` : g.aside}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {log.waiting.length > 0 && (
        <p role="status" className="mt-1 text-[13.5px]">
          {log.waiting.length === 1 ? 'One look is' : `${log.waiting.length} looks are`} kept on
          this phone and sent when the connection is back.
        </p>
      )}
      {log.unread && (
        <p role="alert" className="text-[13.5px] text-hand">
          The log could not be read; what was written down before is not shown.
        </p>
      )}
      <ul aria-label="Looks written down">
        {mine.map((e) => (
          <li key={e.ref} className="mt-2 border-l-2 border-rule pl-3 text-[14px]">
            <b>{nameOf(e.check?.gate?.kind)}</b> <span className="fig">{spokenDate(e.on)}</span>
            {e.check?.species && `, ${species.find((s) => s.id === e.check?.species)?.name ?? ''}`}
            <span className="text-[12.5px] text-ink2"> · {e.author}</span>{' '}
            <button
              type="button"
              className="link text-[13px]"
              aria-label={`Take back: ${nameOf(e.check?.gate?.kind)} of ${spokenDate(e.on)}`}
              onClick={() => void log.write({ coverId: e.coverId, on: e.on, replaces: e.ref })}
            >
              take back
            </button>
            <Verdicts verdicts={verdicts[e.ref] ?? []} />
            {(verdicts[e.ref] ?? []).map(
              (v) =>
                v.proposal && (
                  <Adopt key={v.proposal.value} proposal={v.proposal} onAdopted={again} />
                ),
            )}
            {said
              .filter((s) => s.id === e.ref)
              .map((s) => (
                <p key={s.id} className="text-[13px] text-ink2">
                  In the forecast: {s.said}.
                </p>
              ))}
          </li>
        ))}
      </ul>
      <Panel
        title={open ? `${open.name}: ${open.aside}` : ''}
        open={open !== undefined}
        onOpenChange={(o) => !o && setOpen(undefined)}
      >
        {open && (
          <GateForm
            gate={open}
            coverId={cover.id}
            species={species}
            us={us}
            problems={log.problems}
            onWrite={take}
          />
        )}
      </Panel>
    </section>
  );
}

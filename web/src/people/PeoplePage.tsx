import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { useSession } from '../api/useSession';
import { api, taken, type Schemas } from '../api/client';
import { TopBar } from '../app/TopBar';
import { spokenDate } from '../ui/days';
import { SelectField } from '../ui/inputs';
import { spokenTime } from '../ui/dates';
import { Sure } from '../ui/Sure';
import { Invite } from './Invite';
import { Myself } from './Myself';
import { PracticeZone } from './PracticeZone';

type Role = Schemas['Person']['role'];

const ROLES: { id: Role; name: string }[] = [
  { id: 'adviser', name: 'adviser' },
  { id: 'assistant', name: 'assistant' },
];

/** The people of the practice, whom it has invited, and one's own account. */
export function PeoplePage() {
  const session = useSession();
  const queries = useQueryClient();
  const adviser = session.data?.role === 'adviser';
  const [leaving, setLeaving] = useState<Schemas['Person']>();
  const people = useQuery({
    queryKey: ['people'],
    queryFn: async () => taken(await api.GET('/api/people')),
  });
  const again = () =>
    Promise.all([
      queries.invalidateQueries({ queryKey: ['people'] }),
      queries.invalidateQueries({ queryKey: ['session'] }),
    ]);
  const become = useMutation({
    mutationFn: async ({ personId, role }: { personId: number; role: Role }) =>
      taken(
        await api.PUT('/api/people/{personId}/role', {
          params: { path: { personId } },
          body: { role },
        }),
      ),
    onSuccess: again,
  });
  const remove = useMutation({
    mutationFn: async (personId: number) =>
      taken(await api.DELETE('/api/people/{personId}', { params: { path: { personId } } })),
    onSuccess: () => {
      setLeaving(undefined);
      return again();
    },
  });
  const withdraw = useMutation({
    mutationFn: async (invitationId: number) =>
      taken(
        await api.DELETE('/api/invitations/{invitationId}', { params: { path: { invitationId } } }),
      ),
    onSuccess: again,
  });
  const problem = become.error ?? withdraw.error;
  const you = people.data?.people.find((p) => p.id === people.data.you);
  return (
    <>
      <TopBar />
      <main className="grid gap-x-16 gap-y-8 px-4 pb-10 max-[640px]:px-2 min-[1000px]:grid-cols-[minmax(0,1fr)_300px]">
        <section aria-label="People">
          <h1 className="py-3 text-[22px] font-bold">{session.data?.practice}</h1>
          {people.isPending && <p className="italic">reading who belongs to it</p>}
          {people.isError && <p role="alert">It could not be read: {people.error.message}</p>}
          {problem && (
            <p role="alert" className="text-hand">
              {problem.message}
            </p>
          )}
          <table className="w-full">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px]">
                <th className="py-1">name</th>
                <th>address</th>
                <th>is</th>
                <th>since</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {people.data?.people.map((p) => (
                <tr key={p.id} className="border-b border-rule2">
                  <td className="py-1 font-bold">
                    {p.name || '–'}
                    {p.id === people.data.you && (
                      <span className="font-normal text-ink2 italic"> you</span>
                    )}
                  </td>
                  <td>{p.email}</td>
                  <td>
                    {adviser ? (
                      <SelectField
                        hideLabel
                        label={`Role of ${p.email}`}
                        value={p.role}
                        options={ROLES}
                        onChange={(role) => become.mutate({ personId: p.id, role: role as Role })}
                      />
                    ) : (
                      p.role
                    )}
                  </td>
                  <td className="fig">{spokenDate(p.joinedAt.slice(0, 10))}</td>
                  <td className="text-right">
                    {adviser && p.id !== people.data.you && (
                      <button
                        type="button"
                        className="link text-[13px]"
                        aria-label={`Remove ${p.email} from the practice`}
                        onClick={() => {
                          remove.reset();
                          setLeaving(p);
                        }}
                      >
                        remove
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-[13px] text-ink2 italic">
            An assistant works on fields, plans and lots. Who belongs to the practice, and what is
            removed for good, is decided by advisers.
          </p>
          {people.data && (
            <PracticeZone zone={people.data.zone} adviser={adviser} onSet={() => void again()} />
          )}
          {adviser && <Invite onInvited={again} />}
          {adviser && (people.data?.invitations.length ?? 0) > 0 && (
            <section aria-label="Open invitations" className="mt-6">
              <h2 className="text-[17px] font-bold">Open invitations</h2>
              <ul>
                {people.data?.invitations.map((i) => (
                  <li key={i.id} className="flex gap-4 border-b border-rule2 py-1">
                    <span>{i.role}</span>
                    <span className="text-ink2">
                      made by {i.madeBy}, works until{' '}
                      <span className="fig">{spokenTime(i.expiresAt)}</span>
                    </span>
                    <button
                      type="button"
                      className="link ml-auto text-[13px]"
                      aria-label={`Withdraw the invitation made by ${i.madeBy}, number ${i.id}`}
                      onClick={() => withdraw.mutate(i.id)}
                    >
                      withdraw
                    </button>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </section>
        <Sure
          title={`Remove ${leaving?.name ? leaving.name : (leaving?.email ?? '')}`}
          doing="Remove them"
          open={leaving !== undefined}
          pending={remove.isPending}
          error={remove.error}
          onSure={() => leaving && remove.mutate(leaving.id)}
          onClose={() => setLeaving(undefined)}
        >
          {leaving?.email} is signed out everywhere and no longer sees this practice; invitations
          they made end. What they did stays in the history. To come back they need a new
          invitation.
        </Sure>
        {you && <Myself key={you.name} you={you} onChanged={again} />}
      </main>
    </>
  );
}

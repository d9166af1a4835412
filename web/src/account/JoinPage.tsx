import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken } from '../api/client';
import { problemAt, TextField } from '../ui/inputs';
import { EmailField, PasswordField } from './Credentials';
import { Entrance } from './Entrance';
import { ownUnits } from '../api/units';
import { useEntrance } from './useEntrance';

/** The secret of the link stands after the #, which no server sees. */
const secret = () => window.location.hash.slice(1);

const withArticle = (role: string) => (/^[aeiou]/.test(role) ? `an ${role}` : `a ${role}`);

/** Joining a practice by invitation. */
export function JoinPage() {
  const [token] = useState(secret);
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const welcome = useQuery({
    queryKey: ['invitation', token],
    retry: false,
    queryFn: async () => taken(await api.POST('/api/invitations/opened', { body: { token } })),
  });
  const { enter, problems, general } = useEntrance(async () =>
    taken(
      await api.POST('/api/invitations/accepted', {
        body: { token, name, email, password, units: ownUnits() },
      }),
    ),
  );
  if (welcome.isError) {
    return (
      <Entrance title="This invitation does not work" onSubmit={() => undefined}>
        <p role="alert" className="max-w-72">
          {welcome.error.message}
        </p>
        <a className="link" href="/sign-in">
          Sign in
        </a>
      </Entrance>
    );
  }
  return (
    <Entrance
      title={welcome.data ? `Join ${welcome.data.practice}` : 'Join'}
      onSubmit={() => enter.mutate()}
      problem={general}
    >
      {welcome.data && <p className="italic">as {withArticle(welcome.data.role)}</p>}
      <TextField
        label="Your name"
        autoComplete="name"
        value={name}
        onChange={setName}
        problem={problemAt(problems, '/name')}
      />
      <EmailField value={email} onChange={setEmail} problems={problems} />
      <PasswordField fresh value={password} onChange={setPassword} problems={problems} />
      <button type="submit" className="btn btn-main" disabled={enter.isPending || !welcome.data}>
        Join
      </button>
    </Entrance>
  );
}

import { useState } from 'react';

import { api, taken } from '../api/client';
import { problemAt, TextField } from '../ui/inputs';
import { Entrance } from './Entrance';
import { useEntrance } from './useEntrance';

/** Choosing a new password by the link of an email; its secret stands after the #. */
export function ResetPage() {
  const [token] = useState(() => window.location.hash.slice(1));
  const [password, setPassword] = useState('');
  const { enter, problems, general } = useEntrance(async () =>
    taken(await api.POST('/api/resets/used', { body: { token, password } })),
  );
  return (
    <Entrance title="A new password" onSubmit={() => enter.mutate()} problem={general}>
      <TextField
        label="New password"
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={setPassword}
        problem={problemAt(problems, '/password')}
      />
      <p className="max-w-72 text-[13px] text-ink2 italic">
        Everywhere else you are signed out by this.
      </p>
      <button type="submit" className="btn btn-main" disabled={enter.isPending}>
        Use it from now on
      </button>
    </Entrance>
  );
}

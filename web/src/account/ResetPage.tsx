import { useState } from 'react';

import { api, taken } from '../api/client';
import { PasswordField } from './Credentials';
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
      <PasswordField
        label="New password"
        fresh
        value={password}
        onChange={setPassword}
        problems={problems}
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

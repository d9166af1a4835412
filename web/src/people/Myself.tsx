import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { api, Refusal, taken, type Schemas } from '../api/client';
import { useUnits, type Units } from '../api/units';
import { problemAt, SelectField, TextField } from '../ui/inputs';

/** One's own name, password and sessions. */
export function Myself({ you, onChanged }: { you: Schemas['Person']; onChanged: () => unknown }) {
  const [name, setName] = useState(you.name);
  const [old, setOld] = useState('');
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const rename = useMutation({
    mutationFn: async () => taken(await api.PUT('/api/me/name', { body: { name } })),
    onSuccess: onChanged,
  });
  const change = useMutation({
    mutationFn: async () => taken(await api.PUT('/api/me/password', { body: { old, password } })),
    onSuccess: () => {
      setOld('');
      setPassword('');
    },
  });
  const units = useUnits();
  const read = useMutation({
    mutationFn: async (to: Units) => taken(await api.PUT('/api/me/units', { body: { units: to } })),
    onSuccess: () => queries.invalidateQueries(),
  });
  const out = useMutation({
    mutationFn: async () => taken(await api.DELETE('/api/me/sessions')),
    onSuccess: () => {
      queries.clear();
      window.location.assign('/sign-in');
    },
  });
  const problems = change.error instanceof Refusal ? change.error.problems : [];
  return (
    <section
      aria-label="Your account"
      className="flex flex-col items-start gap-3 border-l-[1.25px] border-ink pt-3 pl-5"
    >
      <h2 className="text-[17px] font-bold">Your account</h2>
      <TextField
        label="Your name, as the history shows it"
        value={name}
        onChange={setName}
        onDone={() => name !== you.name && rename.mutate()}
      />
      {rename.error && (
        <p role="alert" className="text-hand">
          {rename.error.message}
        </p>
      )}
      <SelectField
        label="Your units, where no farm is meant (seed store, weather)"
        value={units}
        options={[
          { id: 'us', name: 'lb, ac, in, °F' },
          { id: 'metric', name: 'kg, ha, cm, °C' },
        ]}
        onChange={(to) => read.mutate(to as Units)}
      />
      {read.error && (
        <p role="alert" className="text-hand">
          {read.error.message}
        </p>
      )}
      <form
        noValidate
        className="flex flex-col items-start gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          change.mutate();
        }}
      >
        <input type="hidden" autoComplete="username" value={you.email} readOnly />
        <TextField
          label="Present password"
          type="password"
          autoComplete="current-password"
          value={old}
          onChange={setOld}
          problem={problemAt(problems, '/old')}
        />
        <TextField
          label="New password"
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={setPassword}
          problem={problemAt(problems, '/password')}
        />
        <button type="submit" className="btn" disabled={change.isPending}>
          Change the password
        </button>
        {change.isSuccess && <p role="status">Changed. Your other sessions are ended.</p>}
        {change.error && problems.length === 0 && (
          <p role="alert" className="text-hand">
            {change.error.message}
          </p>
        )}
      </form>
      <button type="button" className="link" onClick={() => out.mutate()}>
        Sign out everywhere
      </button>
      {out.error && (
        <p role="alert" className="text-hand">
          {out.error.message}
        </p>
      )}
    </section>
  );
}

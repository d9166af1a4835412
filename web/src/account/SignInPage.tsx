import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';

import { api, Refusal, taken } from '../api/client';
import { problemAt, TextField } from '../ui/inputs';
import { Horizon } from './Horizon';

export function SignInPage() {
  const [opening, setOpening] = useState(false);
  const [practice, setPractice] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const navigate = useNavigate();
  const enter = useMutation({
    mutationFn: async () =>
      opening
        ? taken(await api.POST('/api/practices', { body: { practice, email, password } }))
        : taken(await api.POST('/api/session', { body: { email, password } })),
    onSuccess: (session) => {
      queries.clear();
      queries.setQueryData(['session'], session);
      void navigate('/fields');
    },
  });
  const error = enter.error;
  const problems = error instanceof Refusal ? error.problems : [];
  const general =
    error && problems.length === 0
      ? error instanceof Refusal
        ? error.message
        : 'The server does not answer. Nothing you typed is lost.'
      : '';
  return (
    <main className="flex min-h-dvh flex-col bg-[var(--soil)]">
      <div className="bg-paper px-8 pt-16 text-right sm:px-24">
        <h1 className="text-[40px] leading-none font-bold">Etlo</h1>
        <p className="text-[16px] text-ink2 italic">
          what grows between the crops, and what it leaves them
        </p>
      </div>
      <div className="bg-paper">
        <Horizon />
      </div>
      <div className="-mt-28 px-8 pb-8 sm:px-24">
        <form
          noValidate
          className="relative ml-auto flex w-fit flex-col items-start gap-3 bg-paper p-5"
          onSubmit={(e) => {
            e.preventDefault();
            enter.mutate();
          }}
        >
          <h2>{opening ? 'Open a practice' : 'Sign in'}</h2>
          {opening && (
            <TextField
              label="Name of the practice"
              value={practice}
              onChange={setPractice}
              problem={problemAt(problems, '/practice')}
            />
          )}
          <TextField
            label="E-mail address"
            type="email"
            autoComplete="username"
            value={email}
            onChange={setEmail}
            problem={problemAt(problems, '/email')}
          />
          <TextField
            label="Password"
            type="password"
            autoComplete={opening ? 'new-password' : 'current-password'}
            value={password}
            onChange={setPassword}
            problem={problemAt(problems, '/password')}
          />
          {general && (
            <p role="alert" className="max-w-64 text-hand">
              {general}
            </p>
          )}
          <div className="flex items-center gap-4">
            <button type="submit" className="btn btn-main" disabled={enter.isPending}>
              {opening ? 'Open it' : 'Sign in'}
            </button>
            <button type="button" className="link" onClick={() => setOpening(!opening)}>
              {opening ? 'I have an account' : 'Open a practice'}
            </button>
          </div>
        </form>
      </div>
    </main>
  );
}

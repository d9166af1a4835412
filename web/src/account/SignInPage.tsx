import { useState } from 'react';

import { api, taken } from '../api/client';
import { problemAt, TextField } from '../ui/inputs';
import { EmailField, PasswordField } from './Credentials';
import { Entrance } from './Entrance';
import { ownUnits } from '../api/units';
import { useEntrance } from './useEntrance';

type Way = 'sign-in' | 'open' | 'forgot';

const WAYS: Record<Way, { title: string; button: string }> = {
  'sign-in': { title: 'Sign in', button: 'Sign in' },
  open: { title: 'Create an account', button: 'Create account' },
  forgot: { title: 'A new password', button: 'Send me a link' },
};

/** Signing in, opening a practice, and asking for a new password: one form, as long as what it needs. */
export function SignInPage() {
  const [way, setWay] = useState<Way>('sign-in');
  const [practice, setPractice] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [asked, setAsked] = useState('');
  // by which the practice's day begins; it can be changed under People
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { enter, problems, general } = useEntrance(async () =>
    way === 'open'
      ? taken(
          await api.POST('/api/practices', {
            body: { practice, email, password, zone, units: ownUnits() },
          }),
        )
      : taken(await api.POST('/api/session', { body: { email, password } })),
  );
  const reset = useEntranceEmail(email, () => setAsked(email));
  const go = (to: Way) => {
    setAsked('');
    enter.reset();
    setWay(to);
  };
  const other = (to: Way, name: string) => (
    <button type="button" className="link" onClick={() => go(to)}>
      {name}
    </button>
  );
  return (
    <Entrance
      title={WAYS[way].title}
      onSubmit={() => (way === 'forgot' ? void reset.send() : enter.mutate())}
      problem={way === 'forgot' ? reset.problem : general}
    >
      {way === 'open' && (
        <TextField
          label="Name of the practice"
          value={practice}
          onChange={setPractice}
          problem={problemAt(problems, '/practice')}
        />
      )}
      <EmailField value={email} onChange={setEmail} problems={problems} />
      {way !== 'forgot' && (
        <PasswordField
          fresh={way === 'open'}
          value={password}
          onChange={setPassword}
          problems={problems}
        />
      )}
      {asked && (
        <p role="status" className="max-w-72">
          If {asked} has an account, an email with a link is on its way.
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="submit"
          className="btn btn-main"
          disabled={enter.isPending || reset.isPending}
        >
          {WAYS[way].button}
        </button>
        {way === 'sign-in'
          ? other('open', 'Create an account')
          : other('sign-in', 'I have an account')}
        {way === 'sign-in' && other('forgot', 'Forgotten password')}
      </div>
    </Entrance>
  );
}

/** Asks for the email; the answer does not tell whether the address is known. */
function useEntranceEmail(email: string, onAsked: () => void) {
  const [problem, setProblem] = useState('');
  const [isPending, setPending] = useState(false);
  const send = async () => {
    setPending(true);
    setProblem('');
    try {
      taken(await api.POST('/api/resets', { body: { email } }));
      onAsked();
    } catch (e) {
      setProblem(e instanceof Error ? e.message : 'it did not work');
    }
    setPending(false);
  };
  return { send, problem, isPending };
}

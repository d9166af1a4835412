import type { Problem } from '../api/client';
import { problemAt, TextField } from '../ui/inputs';

interface Part {
  value: string;
  onChange: (v: string) => void;
  problems: Problem[];
}

/** The address by which a person signs in. */
export const EmailField = ({ value, onChange, problems }: Part) => (
  <TextField
    label="E-mail address"
    type="email"
    autoComplete="username"
    value={value}
    onChange={onChange}
    problem={problemAt(problems, '/email')}
  />
);

/** A password: the one in use, or one that is new. */
export const PasswordField = ({
  value,
  onChange,
  problems,
  fresh = false,
  label = 'Password',
}: Part & { fresh?: boolean; label?: string }) => (
  <TextField
    label={label}
    type="password"
    autoComplete={fresh ? 'new-password' : 'current-password'}
    value={value}
    onChange={onChange}
    problem={problemAt(problems, '/password')}
  />
);

import { type SubmitEvent, useState } from 'react';
import { api } from '../client/api.ts';
import { filledIn, FormField } from './form-field.tsx';
import { useAwake } from '../client/use-awake.ts';

interface JoinProps {
  readonly token: string;
  readonly kind: 'invitation' | 'password';
}

const FIELDS = {
  name: { label: 'Your name in the shop', type: 'text', complete: 'nickname' },
  email: { label: 'E-mail, to sign in with', type: 'email', complete: 'username' },
  password: { label: 'Password, 10 characters or more', type: 'password', complete: 'new-password' },
} as const;

/** What a one-time link leads to: an account of one's own, or a new password. */
export function Join({ token, kind }: JoinProps) {
  const awake = useAwake();
  const [problem, setProblem] = useState('');
  const names = kind === 'invitation' ? (['name', 'email', 'password'] as const) : (['password'] as const);
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = filledIn(event.currentTarget);
    const answer = await api.join(token, form);
    if (!answer.ok) return setProblem(answer.problems[0]?.message ?? answer.detail);
    // An invitation brings the address along, so that one is in at once; a new password is typed again, to be sure of it.
    if (kind === 'invitation') await api.signIn(form.email ?? '', form.password ?? '');
    location.assign('/');
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="mt-4 space-y-3">
      {names.map((name) => (
        <FormField key={name} name={name} {...FIELDS[name]} />
      ))}
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
      <button type="submit" className="button button-dark w-full" disabled={!awake}>
        {kind === 'invitation' ? 'Come in' : 'Take this password'}
      </button>
    </form>
  );
}

import { type SubmitEvent, useEffect, useState } from 'react';
import { api } from '../client/api.ts';
import { nobodyIsHere, onlyHere } from '../client/device.ts';
import { filledIn, FormField } from './form-field.tsx';
import { useAwake } from '../client/use-awake.ts';
import { waitsHereWords } from './left-words.ts';

interface SignInProps {
  readonly demo: {
    readonly shop: string;
    readonly people: readonly { readonly email: string; readonly password: string; readonly role: string }[];
  } | null;
  /** True on an empty database: the first shop is made here. */
  readonly first: boolean;
  readonly to: string;
}

const FIELDS = {
  shop: { label: 'Name of the shop', type: 'text', complete: 'organization' },
  name: { label: 'Your name in the shop', type: 'text', complete: 'nickname' },
  email: { label: 'E-mail', type: 'email', complete: 'username' },
  password: { label: 'Password', type: 'password', complete: 'current-password' },
} as const;

/** Sign-in, the demo shop with one press, or the first set-up. */
export function SignIn({ demo, first, to }: SignInProps) {
  const [problem, setProblem] = useState('');
  const [asking, setAsking] = useState(false);
  const busy = !useAwake() || asking;
  const [waits, setWaits] = useState('');
  // Whoever sees this is not signed in: no job of any shop opens on this device any more.
  useEffect(() => {
    void nobodyIsHere(false)
      .then(onlyHere)
      .then((found) => setWaits(waitsHereWords(found)));
  }, []);
  const enter = async (email: string, password: string) => {
    setAsking(true);
    setProblem('');
    const answer = await api.signIn(email, password);
    if (answer.ok) location.assign(to);
    else {
      setAsking(false);
      setProblem(
        answer.reason === 'offline'
          ? answer.detail
          : answer.reason === 'signed-out'
            ? 'Wrong e-mail or password.'
            : answer.detail,
      );
    }
  };
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = filledIn(event.currentTarget);
    if (first) {
      setAsking(true);
      const answer = await api.setUp(form);
      setAsking(false);
      if (!answer.ok) return setProblem(answer.problems[0]?.message ?? answer.detail);
    }
    await enter(form.email ?? '', form.password ?? '');
  };
  const names = (Object.keys(FIELDS) as (keyof typeof FIELDS)[]).filter(
    (name) => first || name === 'email' || name === 'password',
  );
  return (
    <div className="w-full max-w-sm border-2 border-graphite bg-sheet p-6">
      {demo && (
        <div className="mb-5 border-b border-rule pb-5">
          <button
            type="button"
            className="button button-dark min-h-11 w-full text-base"
            disabled={busy}
            onClick={() => demo.people[0] && void enter(demo.people[0].email, demo.people[0].password)}
          >
            Open the demo shop
          </button>
          <p className="mt-2 text-sm text-pencil">
            {demo.shop}, as the owner. Or as{' '}
            {demo.people.slice(1).map(({ email, password, role }, index) => (
              <span key={role}>
                {index > 0 && ' or '}
                <button type="button" className="underline" disabled={busy} onClick={() => void enter(email, password)}>
                  {role}
                </button>
              </span>
            ))}
            .
          </p>
        </div>
      )}
      {waits !== '' && <p className="mb-4 border-l-4 border-ochre pl-3 text-sm">{waits}</p>}
      <h1 className="heading text-2xl">{first ? 'Set up your shop' : 'Sign in'}</h1>
      <form onSubmit={(event) => void submit(event)} className="mt-3 space-y-3">
        {names.map((name) => (
          <FormField key={name} name={name} {...FIELDS[name]} />
        ))}
        {problem && (
          <p role="alert" className="text-oxide">
            {problem}
          </p>
        )}
        <button type="submit" className="button w-full" disabled={busy}>
          {first ? 'Set up and sign in' : 'Sign in'}
        </button>
      </form>
    </div>
  );
}

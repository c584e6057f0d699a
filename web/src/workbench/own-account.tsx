import { type ComponentProps, type SubmitEvent, useState } from 'react';
import { api, type Answer } from '../client/api.ts';
import { filledIn, FormField } from './form-field.tsx';
import { useAwake } from '../client/use-awake.ts';

/** What one is called in the shop, and one's password. */
export function OwnAccount({ name }: { readonly name: string }) {
  return (
    <div className="grid gap-8 md:grid-cols-2">
      <AccountForm
        title="What you are called"
        about="It stands on what you save and read. What you did under the old name keeps it."
        fields={[{ name: 'name', label: 'Name in the shop', type: 'text', complete: 'nickname', value: name }]}
        press="Change the name"
        done="That is your name from now on."
        send={({ name: called = '' }) => api.rename(called)}
      />
      <AccountForm
        title="Your password"
        about="All other places where you are signed in are signed out."
        fields={[
          { name: 'current', label: 'Password now', type: 'password', complete: 'current-password' },
          { name: 'next', label: 'New password', type: 'password', complete: 'new-password' },
        ]}
        press="Change the password"
        done="That is your password from now on."
        send={({ current = '', next = '' }) => api.changePassword(current, next)}
      />
    </div>
  );
}

interface AccountFormProps {
  readonly title: string;
  readonly about: string;
  readonly fields: readonly ComponentProps<typeof FormField>[];
  readonly press: string;
  readonly done: string;
  readonly send: (form: Readonly<Record<string, string>>) => Promise<Answer<unknown>>;
}

function AccountForm({ title, about, fields, press, done, send }: AccountFormProps) {
  const awake = useAwake();
  const [said, setSaid] = useState<{ readonly ok: boolean; readonly text: string } | null>(null);
  const submit = async (event: SubmitEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = filledIn(event.currentTarget);
    const answer = await send(form);
    setSaid(answer.ok ? { ok: true, text: done } : { ok: false, text: answer.problems[0]?.message ?? answer.detail });
  };
  return (
    <form aria-label={title} onSubmit={(event) => void submit(event)} className="space-y-3">
      <h2 className="heading text-xl">{title}</h2>
      <p className="text-sm text-pencil">{about}</p>
      {fields.map((field) => (
        <FormField key={field.name} {...field} />
      ))}
      {said && (
        <p role={said.ok ? 'status' : 'alert'} className={said.ok ? 'text-passed' : 'text-oxide'}>
          {said.text}
        </p>
      )}
      <button type="submit" className="button" disabled={!awake}>
        {press}
      </button>
    </form>
  );
}

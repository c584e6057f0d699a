import { Copy, LogOut, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { api, type Answer } from '../client/api.ts';
import { useAwake } from '../client/use-awake.ts';
import type { GivenLink, ListedPerson, OpenLink } from '../shared/people.ts';
import { type Role, ROLE_WORDS, ROLES } from '../shared/roles.ts';
import { Dialog } from '../ui/dialog.tsx';

interface PeopleProps {
  readonly people: readonly ListedPerson[];
  /** Links that were given out and not used yet. */
  readonly links: readonly OpenLink[];
  readonly me: string;
  readonly manages: boolean;
  /** Whether links can be mailed. */
  readonly mails: boolean;
}

/** Who works in the shop, as what; an owner lets people in by a link, sets roles, ends sessions and takes people out. */
export function People({ people, links, me, manages, mails }: PeopleProps) {
  const awake = useAwake();
  const [problem, setProblem] = useState('');
  const [link, setLink] = useState<ShownLink | null>(null);
  const [leaving, setLeaving] = useState<ListedPerson | null>(null);
  const [role, setRole] = useState<Role>('fabricator');
  const [email, setEmail] = useState('');
  const disabled = !awake;
  /** The page comes again with what is true then; what was refused says why. */
  const done = async (answering: Promise<Answer<unknown>>) => {
    const answer = await answering;
    if (answer.ok) return location.reload();
    setProblem(answer.problems[0]?.message ?? answer.detail);
    setLeaving(null);
  };
  const give = async (title: string, answering: Promise<Answer<GivenLink>>) => {
    const answer = await answering;
    if (answer.ok) return setLink({ title, url: location.origin + answer.value.path, mailed: answer.value.mailed });
    setProblem(answer.problems[0]?.message ?? answer.detail);
  };
  return (
    <section aria-label="People">
      {problem && (
        <p role="alert" className="mb-3 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was changed.
        </p>
      )}
      <ul className="border-t-2 border-graphite">
        {people.map((person) => (
          <li
            key={person.id}
            className="grid grid-cols-1 items-center gap-x-5 gap-y-2 border-b border-graphite py-4 md:grid-cols-[1fr_24rem_auto]"
          >
            <div>
              <h2 className="heading text-2xl">
                {person.name}
                {person.id === me && <span className="ml-2 text-base text-pencil">you</span>}
              </h2>
              {person.email && <p className="text-pencil">{person.email}</p>}
            </div>
            <div>
              {manages ? (
                <select
                  className="field"
                  aria-label={`Role of ${person.name}`}
                  value={person.role}
                  disabled={disabled}
                  onChange={({ target }) => void done(api.setRole(person.id, target.value as Role))}
                >
                  {ROLES.map((one) => (
                    <option key={one} value={one}>
                      {one}
                    </option>
                  ))}
                </select>
              ) : (
                <b>{person.role}</b>
              )}
              <p className="mt-1 text-sm text-pencil">
                {ROLE_WORDS[person.role]}
                {person.sessions !== undefined && ` · ${placesOf(person.sessions)}`}
              </p>
            </div>
            {manages && (
              <div className="flex gap-2">
                <button
                  type="button"
                  className="button"
                  disabled={disabled}
                  onClick={() => void give(`A new password for ${person.name}`, api.passwordLink(person.id))}
                >
                  New password
                </button>
                <button
                  type="button"
                  className="button px-2"
                  aria-label={`Sign ${person.name} out everywhere`}
                  title="Sign out everywhere"
                  disabled={disabled || person.sessions === 0}
                  onClick={() => void done(api.endSessions(person.id))}
                >
                  <LogOut size={16} aria-hidden="true" />
                </button>
                <button
                  type="button"
                  className="button px-2"
                  aria-label={`Take ${person.name} out of the shop`}
                  title="Take out of the shop"
                  disabled={disabled || person.id === me}
                  onClick={() => setLeaving(person)}
                >
                  <Trash2 size={16} aria-hidden="true" />
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {manages && (
        <div className="mt-6 flex flex-wrap items-end gap-3">
          <label className="block text-sm text-pencil">
            Invite as
            <select
              className="field mt-1 text-graphite"
              value={role}
              disabled={disabled}
              onChange={({ target }) => setRole(target.value as Role)}
            >
              {ROLES.map((one) => (
                <option key={one} value={one}>
                  {one}: {ROLE_WORDS[one]}
                </option>
              ))}
            </select>
          </label>
          {mails && (
            <label className="block text-sm text-pencil">
              Mail it to (or leave it empty and hand it over)
              <input
                className="field mt-1 min-w-72 text-graphite"
                type="email"
                value={email}
                disabled={disabled}
                onChange={({ target }) => setEmail(target.value)}
              />
            </label>
          )}
          <button
            type="button"
            className="button button-dark"
            disabled={disabled}
            onClick={() => void give(`A way into the shop, as ${role}`, api.invite(role, email.trim()))}
          >
            {email.trim() === '' ? 'Make a link' : 'Mail a link'}
          </button>
        </div>
      )}
      {links.length > 0 && (
        <>
          <h2 className="label mt-8">Links given out, not used yet</h2>
          <ul className="mt-1 border-t border-rule">
            {links.map(({ id, kind, role: of, name, expiresAt }) => (
              <li key={id} className="flex items-center justify-between gap-4 border-b border-rule py-2">
                <span>
                  {kind === 'invitation' ? `into the shop, as ${of ?? ''}` : `a new password for ${name ?? 'somebody'}`}
                  <span className="ml-2 text-sm text-pencil">until {expiresAt.slice(0, 16).replace('T', ' ')} UTC</span>
                </span>
                <button
                  type="button"
                  className="button"
                  disabled={disabled}
                  onClick={() => void done(api.withdrawLink(id))}
                >
                  Withdraw
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {link && <LinkDialog {...link} onClose={() => location.reload()} />}
      {leaving && (
        <Dialog title={`Take ${leaving.name} out of the shop?`} onClose={() => setLeaving(null)}>
          <p>
            The account goes, and all places where it is signed in. What {leaving.name} saved and read stays, under that
            name.
          </p>
          <p className="mt-4 flex gap-2">
            <button
              type="button"
              className="button button-dark"
              onClick={() => void done(api.removePerson(leaving.id))}
            >
              Take {leaving.name} out
            </button>
            <button type="button" className="button" onClick={() => setLeaving(null)}>
              Leave it
            </button>
          </p>
        </Dialog>
      )}
    </section>
  );
}

const placesOf = (sessions: number): string =>
  sessions === 0 ? 'signed in nowhere' : `signed in at ${sessions} place${sessions === 1 ? '' : 's'}`;

interface ShownLink {
  readonly title: string;
  readonly url: string;
  readonly mailed: GivenLink['mailed'];
}

/** A link, shown this once, to hand over by whatever way the shop likes. */
function LinkDialog({ title, url, mailed, onClose }: ShownLink & { readonly onClose: () => void }) {
  const [copied, setCopied] = useState(false);
  return (
    <Dialog title={title} onClose={onClose}>
      {mailed.to && <p className="mb-3 border-l-4 border-passed px-3 py-1.5">It went out by mail to {mailed.to}.</p>}
      {mailed.failed && (
        <p role="alert" className="mb-3 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          The mail server did not take it. The link is good: hand it over yourself.
        </p>
      )}
      <p>
        Hand this link over, by message or on paper. It is shown this once, works one time, and whoever has it can use
        it.
      </p>
      <p className="mt-3 flex gap-2">
        <input
          className="field grow"
          aria-label="Link"
          readOnly
          value={url}
          onFocus={({ target }) => target.select()}
        />
        <button
          type="button"
          className="button"
          onClick={() => void navigator.clipboard?.writeText(url).then(() => setCopied(true))}
        >
          <Copy size={15} aria-hidden="true" />
          {copied ? 'Copied' : 'Copy'}
        </button>
      </p>
    </Dialog>
  );
}

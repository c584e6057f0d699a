import {
  changedRules,
  type Job,
  newerThan,
  PROFILES,
  type Rulebook,
  type RuleChange,
  RULE_WORDS,
  type RuleSet,
  rulesOfSet,
  ruleText,
} from '@splay/core';
import { useEffect, useState } from 'react';
import { api } from '../client/api.ts';

interface RuleSetsProps {
  readonly job: Job;
  readonly canWrite: boolean;
  readonly onRules: (label: string, rules: Rulebook) => void;
}

/** The shop's rule sets, as the server has them; null while they are asked for. */
export function useRuleSets() {
  const [sets, setSets] = useState<readonly RuleSet[] | null>(null);
  const [problem, setProblem] = useState('');
  useEffect(() => {
    let there = true;
    void api.ruleSets().then((answer) => {
      if (!there) return;
      if (answer.ok) setSets(answer.value);
      else setProblem(answer.detail);
    });
    return () => {
      there = false;
    };
  }, []);
  return { sets, problem, setSets };
}

/** Which rule set the job goes by, whether the shop has a newer one, and how rules are kept for other jobs. */
export function RuleSets({ job, canWrite, onRules }: RuleSetsProps) {
  const { sets, problem, setSets } = useRuleSets();
  const { rules, display } = job;
  const own = sets?.find(({ id }) => id === rules.from?.set);
  const base = own?.versions.find(({ version }) => version === rules.from?.version);
  const differs = base ? changedRules(base.rules, rules) : [];
  const newer = sets ? newerThan(rules, sets) : null;
  const keep = (set: RuleSet) => {
    setSets([...(sets ?? []).filter(({ id }) => id !== set.id), set].toSorted((a, b) => a.name.localeCompare(b.name)));
    const [newest] = set.versions;
    if (newest) onRules(`Rules of “${set.name}”, version ${newest.version}`, rulesOfSet(set, newest));
  };
  return (
    <section aria-label="Rule set" className="mb-4 max-w-3xl space-y-2 border-b-2 border-graphite pb-4">
      <p>
        {rules.from ? (
          <>
            This job goes by{' '}
            <b>
              “{rules.from.name}”, version {rules.from.version}
            </b>
            {base ? ` of ${base.at.slice(0, 10)}, by ${base.by}: ${base.why}` : ''}
            {differs.length > 0 && `; ${differs.length === 1 ? 'one rule is' : `${differs.length} rules are`} its own.`}
          </>
        ) : (
          <>
            This job goes by <b>“{PROFILES[rules.profile].name}”</b> as it ships, with what was changed in this job.
          </>
        )}
      </p>
      {newer && (
        <div role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-2">
          <p>
            <b>
              The shop’s “{newer.set.name}” is at version {newer.newest.version}
            </b>{' '}
            since {newer.newest.at.slice(0, 10)}, by {newer.newest.by}: {newer.newest.why} This job was planned under
            version {rules.from?.version}.
          </p>
          {newer.since && <Changes changes={changedRules(newer.since.rules, newer.newest.rules)} job={job} />}
          {canWrite && (
            <button
              type="button"
              className="button mt-2"
              onClick={() =>
                onRules(`Rules of “${newer.set.name}”, version ${newer.newest.version}`, {
                  ...rulesOfSet(newer.set, newer.newest),
                  changes: {
                    ...newer.newest.rules.changes,
                    ...Object.fromEntries(differs.map(({ id, now }) => [id, now])),
                  },
                })
              }
            >
              Go by version {newer.newest.version}
              {differs.length > 0 && ', keeping this job’s own rules'}
            </button>
          )}
        </div>
      )}
      {problem && (
        <p role="alert" className="text-sm text-oxide">
          The shop’s rule sets could not be read: {problem} What stands below is this job’s own.
        </p>
      )}
      {sets && sets.length > 0 && canWrite && (
        <label className="block max-w-md text-sm text-pencil">
          Go by a rule set of the shop
          <select
            className="field mt-1"
            value={rules.from?.set ?? ''}
            onChange={({ target }) => {
              const set = sets.find(({ id }) => id === target.value);
              const [newest] = set?.versions ?? [];
              if (set && newest) onRules(`Rules of “${set.name}”, version ${newest.version}`, rulesOfSet(set, newest));
              else onRules('Rules as they ship', { profile: rules.profile, changes: rules.changes });
            }}
          >
            <option value="">none: as it ships, with this job’s changes</option>
            {sets.map(({ id, name, versions }) => (
              <option key={id} value={id}>
                {name}, version {versions[0]?.version}
              </option>
            ))}
          </select>
        </label>
      )}
      {sets && canWrite && <Keep rules={rules} own={own} onKept={keep} />}
      {own && (
        <details className="border border-graphite">
          <summary className="label min-h-9 cursor-pointer px-3 py-2">History of “{own.name}”</summary>
          <ol className="px-3 pb-2 text-[0.94rem]">
            {own.versions.map((version, index) => {
              const before = own.versions[index + 1];
              return (
                <li key={version.version} className="border-t border-rule py-2">
                  <b>Version {version.version}</b>, {version.at.slice(0, 10)}, by {version.by}: {version.why}
                  {before && <Changes changes={changedRules(before.rules, version.rules)} job={{ display }} />}
                </li>
              );
            })}
          </ol>
        </details>
      )}
    </section>
  );
}

/** Rules that changed: each with what it was and what it is. */
function Changes({
  changes,
  job: { display },
}: {
  readonly changes: readonly RuleChange[];
  readonly job: Pick<Job, 'display'>;
}) {
  if (changes.length === 0) return <p className="text-sm text-pencil">No rule differs.</p>;
  return (
    <ul className="mt-1 text-sm">
      {changes.map(({ id, was, now }) => (
        <li key={id}>
          {RULE_WORDS[id].title}: {ruleText(id, was, display)} → <b>{ruleText(id, now, display)}</b>
        </li>
      ))}
    </ul>
  );
}

interface KeepProps {
  readonly rules: Rulebook;
  /** The set that the job goes by, which can get a version. */
  readonly own: RuleSet | undefined;
  readonly onKept: (set: RuleSet) => void;
}

/** The rules of this job kept for other jobs: as a new set of the shop, or as the next version of the one it goes by. */
function Keep({ rules, own, onKept }: KeepProps) {
  const [name, setName] = useState('');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const sent = { profile: rules.profile, changes: rules.changes };
  const done = (set: RuleSet) => {
    setName('');
    setWhy('');
    setProblem('');
    onKept(set);
  };
  const refuse = (answer: { readonly detail: string; readonly problems: readonly { readonly message: string }[] }) =>
    setProblem(answer.problems[0]?.message ?? answer.detail);
  const asNew = async () => {
    if (name.trim() === '') return setProblem('Name the rule set.');
    if (why.trim() === '') return setProblem('Say why: whoever reads it later was not there.');
    setBusy(true);
    const answer = await api.keepRuleSet(name.trim(), sent, why.trim());
    setBusy(false);
    if (answer.ok) done(answer.value);
    else refuse(answer);
  };
  const asNext = async () => {
    if (!own) return;
    if (why.trim() === '') return setProblem('Say why: whoever reads it later was not there.');
    setBusy(true);
    const answer = await api.addRuleVersion(own.id, own.versions[0]?.version ?? 0, sent, why.trim());
    setBusy(false);
    if (answer.ok) done({ ...own, versions: [answer.value, ...own.versions] });
    else refuse(answer);
  };
  const changed = own?.versions[0] ? changedRules(own.versions[0].rules, rules).length > 0 : false;
  return (
    <details className="border border-graphite">
      <summary className="label min-h-9 cursor-pointer px-3 py-2">Keep these rules for other jobs</summary>
      <div className="space-y-2 px-3 pb-3">
        <label className="block text-sm text-pencil">
          Why
          <input className="field mt-1" maxLength={300} value={why} onChange={({ target }) => setWhy(target.value)} />
        </label>
        {own && (
          <button type="button" className="button" disabled={busy || !changed} onClick={() => void asNext()}>
            {changed
              ? `Make them version ${(own.versions[0]?.version ?? 0) + 1} of “${own.name}”`
              : `They are the newest version of “${own.name}”`}
          </button>
        )}
        <div className="flex flex-wrap items-end gap-2">
          <label className="min-w-0 flex-1 text-sm text-pencil">
            Name of a new rule set
            <input
              className="field mt-1"
              maxLength={120}
              value={name}
              onChange={({ target }) => setName(target.value)}
            />
          </label>
          <button type="button" className="button" disabled={busy} onClick={() => void asNew()}>
            Keep as a new set
          </button>
        </div>
        {problem && (
          <p role="alert" className="text-sm text-oxide">
            {problem}
          </p>
        )}
      </div>
    </details>
  );
}

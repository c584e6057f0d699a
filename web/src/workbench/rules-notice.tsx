import { type Job, newerThan } from '@splay/core';
import { useRuleSets } from './rule-sets.tsx';

/** Says that the shop's rules have a newer version than the one that this job was planned under. */
export function RulesNotice({ job, onOpen }: { readonly job: Job; readonly onOpen: () => void }) {
  const { sets } = useRuleSets();
  const newer = sets ? newerThan(job.rules, sets) : null;
  if (!newer) return null;
  return (
    <p role="status" className="mb-3 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-[0.94rem]">
      The shop’s rules “{newer.set.name}” are at version {newer.newest.version}; this job was planned under version{' '}
      {job.rules.from?.version}.{' '}
      <button type="button" className="text-layout underline underline-offset-2" onClick={onOpen}>
        See what changed
      </button>
    </p>
  );
}

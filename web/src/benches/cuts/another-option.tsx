import { isPlanName, type Job, MOST_VARIANTS, nameForVariant, setAside } from '@splay/core';
import { useState } from 'react';
import { change, type JobStore } from '../../client/job-store.ts';

/** Keeps the plan in hand as a variant and goes on under another name. */
export function AnotherOption({ store, job }: { readonly store: JobStore; readonly job: Job }) {
  const [draft, setDraft] = useState<string | null>(null);
  const name = draft ?? nameForVariant(job);
  const problem = isPlanName(job, name.trim())
    ? ''
    : name.trim() === ''
      ? 'A plan needs a name.'
      : 'Another plan of this job has that name.';
  if (job.variants.length >= MOST_VARIANTS)
    return (
      <p className="mt-4 border-t border-graphite pt-2 text-[0.94rem]">
        {MOST_VARIANTS} variants are kept, as many as there can be: drop one to try another way.
      </p>
    );
  const begin = (from: 'copy' | 'empty') => {
    change(store, 'Began another way', (old) => setAside(old, name.trim(), from));
    setDraft(null);
  };
  return (
    <section className="mt-4 border-t border-graphite pt-2">
      <h3 className="label">Another way</h3>
      <p className="mt-1 text-[0.94rem]">
        “{job.plan.name}” is kept as it is, and the new plan becomes the current one.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="flex flex-col text-sm text-pencil">
          Name of the new plan
          <input
            className="field mt-1 w-80 max-w-full text-graphite"
            value={name}
            maxLength={120}
            aria-invalid={problem !== ''}
            onChange={({ target }) => setDraft(target.value)}
          />
        </label>
        <button type="button" className="button button-dark" disabled={problem !== ''} onClick={() => begin('copy')}>
          Begin with a copy
        </button>
        <button type="button" className="button" disabled={problem !== ''} onClick={() => begin('empty')}>
          Begin with nothing
        </button>
      </div>
      {problem && (
        <p role="alert" className="mt-1 text-sm text-oxide">
          {problem}
        </p>
      )}
    </section>
  );
}

import { isPlanName, type Job } from '@splay/core';
import { useId, useState } from 'react';

interface PlanNameProps {
  readonly job: Job;
  readonly name: string;
  readonly disabled: boolean;
  readonly onRename: (name: string) => void;
}

/** The name of a plan, to type over; a name that another plan has is refused with the reason. */
export function PlanName({ job, name, disabled, onRename }: PlanNameProps) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const typed = (draft ?? name).trim();
  const problem = isPlanName(job, typed, name)
    ? ''
    : typed === ''
      ? 'A plan needs a name.'
      : 'Another plan of this job has that name.';
  const settle = () => {
    if (problem) return;
    setDraft(null);
    if (typed !== name) onRename(typed);
  };
  return (
    <>
      <input
        aria-label={`Name of the plan ${name}`}
        aria-invalid={problem !== ''}
        aria-describedby={problem ? id : undefined}
        className="heading w-full min-w-0 truncate border-b border-transparent bg-transparent text-lg enabled:hover:border-rule"
        value={draft ?? name}
        title={name}
        disabled={disabled}
        maxLength={120}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={settle}
        onKeyDown={({ key }) => {
          if (key === 'Enter') settle();
          if (key === 'Escape') setDraft(null);
        }}
      />
      {problem && (
        <p id={id} role="alert" className="text-sm text-oxide">
          {problem}
        </p>
      )}
    </>
  );
}

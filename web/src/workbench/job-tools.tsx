import { Archive, ArchiveRestore, Copy, Trash2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { api } from '../client/api.ts';
import { useAwake } from '../client/use-awake.ts';

interface JobToolsProps {
  readonly id: string;
  readonly name: string;
  readonly place: 'listed' | 'archived' | 'deleted';
}

type Place = JobToolsProps['place'];

/** What can be done with a job as a whole: copied, put away, deleted, and brought back. */
export function JobTools({ id, name, place }: JobToolsProps) {
  const awake = useAwake();
  const [problem, setProblem] = useState('');
  const go = async (
    asked: Promise<{ readonly ok: boolean; readonly detail?: string }>,
    to?: (answer: unknown) => string,
  ) => {
    const answer = await asked;
    if (!answer.ok) return setProblem(answer.detail ?? 'That could not be done. Try again in a moment.');
    if (to) location.assign(to(answer));
    else location.reload();
  };
  const put = (next: Place) => void go(api.placeJob(id, next));
  const tool = (label: string, Icon: typeof Copy, onClick: () => void, words = false) => (
    <button
      type="button"
      className={words ? 'button' : 'p-2 text-pencil hover:text-graphite'}
      aria-label={`${label}: ${name}`}
      title={label}
      disabled={!awake}
      onClick={onClick}
    >
      <Icon size={16} aria-hidden="true" />
      {words && label}
    </button>
  );
  return (
    <div className="flex items-center gap-1">
      {place === 'listed' && (
        <>
          {tool(
            'Copy',
            Copy,
            () => void go(api.copyJob(id), (answer) => `/jobs/${(answer as { value: { id: string } }).value.id}`),
          )}
          {tool('Archive', Archive, () => put('archived'))}
          {tool('Delete', Trash2, () => put('deleted'))}
        </>
      )}
      {place === 'archived' && (
        <>
          {tool('Put back on the list', ArchiveRestore, () => put('listed'), true)}
          {tool('Delete', Trash2, () => put('deleted'))}
        </>
      )}
      {place === 'deleted' && tool('Bring back', Undo2, () => put('listed'), true)}
      {problem && (
        <p role="alert" className="text-sm text-oxide">
          {problem}
        </p>
      )}
    </div>
  );
}

import { Archive, ArchiveRestore, Copy, Trash2, Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { api } from '../client/api.ts';

type Place = 'listed' | 'archived' | 'deleted';
type Tool = 'copy' | Place;

interface JobToolsProps {
  readonly id: string;
  readonly name: string;
  readonly place: Place;
}

const TOOLS: Readonly<
  Record<
    Place,
    readonly { readonly tool: Tool; readonly label: string; readonly Icon: typeof Copy; readonly words?: boolean }[]
  >
> = {
  listed: [
    { tool: 'copy', label: 'Copy', Icon: Copy },
    { tool: 'archived', label: 'Archive', Icon: Archive },
    { tool: 'deleted', label: 'Delete', Icon: Trash2 },
  ],
  archived: [
    { tool: 'listed', label: 'Put back on the list', Icon: ArchiveRestore, words: true },
    { tool: 'deleted', label: 'Delete', Icon: Trash2 },
  ],
  deleted: [{ tool: 'listed', label: 'Bring back', Icon: Undo2, words: true }],
};

/** What can be done with a job as a whole: copied, put away, deleted, and brought back. `JobToolsAwake` makes it answer. */
export const JobTools = ({ id, name, place }: JobToolsProps) => (
  <div className="flex items-center gap-1">
    {TOOLS[place].map(({ tool, label, Icon, words }) => (
      <button
        key={tool}
        type="button"
        className={`${words ? 'button' : 'p-2 text-pencil hover:text-graphite'} ${tool === 'deleted' ? 'ml-4 border-l border-rule pl-4 hover:text-oxide' : ''}`}
        aria-label={`${label}: ${name}`}
        title={label}
        data-tool={tool}
        data-job={id}
      >
        <Icon size={16} aria-hidden="true" />
        {words && label}
      </button>
    ))}
  </div>
);

/** Makes the tools of all jobs of a page answer: the list itself is sent as it is, however long. */
export function JobToolsAwake() {
  const [problem, setProblem] = useState('');
  useEffect(() => {
    const press = async ({ target }: MouseEvent) => {
      const { tool, job } = (target as Element).closest<HTMLElement>('button[data-tool]')?.dataset ?? {};
      if (!tool || !job) return;
      const answer = tool === 'copy' ? await api.copyJob(job) : await api.placeJob(job, tool as Place);
      if (!answer.ok) setProblem(answer.detail);
      else if (tool === 'copy') location.assign(`/jobs/${(answer.value as { readonly id: string }).id}`);
      else location.reload();
    };
    const listener = (event: MouseEvent) => void press(event);
    document.addEventListener('click', listener);
    document.documentElement.dataset.awake = '';
    return () => document.removeEventListener('click', listener);
  }, []);
  return (
    problem && (
      <p role="alert" className="mb-3 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
        {problem}
      </p>
    )
  );
}

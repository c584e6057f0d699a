import { InputError, type Job, type JobTable, readJobTable } from '@splay/core';
import { type ChangeEvent, useState } from 'react';
import { change, type JobStore, useJobState } from '../../client/job-store.ts';

interface TableFileProps {
  readonly table: Exclude<JobTable, 'readings'>;
  readonly job: Job;
  readonly store: JobStore;
  readonly disabled: boolean;
}

/** A table out as CSV, and in again: what comes in replaces the whole table, as one step of undo. */
export function TableFile({ table, job, store, disabled }: TableFileProps) {
  const id = useJobState(store, (state) => state.id);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [taken, setTaken] = useState('');
  const name = table.replace('-', ' ');
  const load = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    setTaken('');
    try {
      const next = readJobTable(table, await file.text(), job);
      setProblems([]);
      setTaken(`${file.name} has replaced the ${name}. Undo brings the old ones back.`);
      change(store, `Loaded ${name} from a CSV file`, () => next);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblems(error.problems.map(({ path, message }) => `${path}: ${message}`));
    }
  };
  return (
    <div className="mt-3 text-sm">
      <p className="flex items-center gap-3">
        <a className="underline" href={`/api/jobs/${id}/table?what=${table}`} download>
          Save as CSV
        </a>
        <label className={`underline ${disabled ? 'text-pencil' : 'cursor-pointer'}`}>
          Load from CSV
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            disabled={disabled}
            aria-label={`Load ${name} from a CSV file`}
            onChange={(event) => void load(event)}
          />
        </label>
        <span className="text-pencil" role="status">
          {taken}
        </span>
      </p>
      {problems.length > 0 && (
        <div role="alert" className="mt-1 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          <p className="font-semibold">Nothing was changed:</p>
          <ul>
            {problems.slice(0, 8).map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
            {problems.length > 8 && <li>and {problems.length - 8} more</li>}
          </ul>
        </div>
      )}
    </div>
  );
}

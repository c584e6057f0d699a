import { type Job, type JobTable, readJobTable } from '@splay/core';
import { change, type JobStore, useJobState } from '../client/job-store.ts';
import { CsvFile } from './csv-file.tsx';

interface TableFileProps {
  readonly table: Exclude<JobTable, 'readings'>;
  readonly job: Job;
  readonly store: JobStore;
  readonly disabled: boolean;
}

/** A table of the donor or of the bodies as CSV: what comes in replaces the whole table, as one step of undo. */
export function TableFile({ table, job, store, disabled }: TableFileProps) {
  const id = useJobState(store, (state) => state.id);
  const name = table.replace('-', ' ');
  return (
    <CsvFile
      name={name}
      href={`/api/jobs/${id}/table?what=${table}`}
      disabled={disabled}
      onText={(text, file) => {
        const next = readJobTable(table, text, job);
        change(store, `Loaded ${name} from a CSV file`, () => next);
        return `${file} has replaced the ${name}. Undo brings the old ones back.`;
      }}
    />
  );
}

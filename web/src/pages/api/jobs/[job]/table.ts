import { InputError, JOB_TABLES, type JobTable, readingsIn, writeJobTable } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { readJob } from '../../../../server/services/jobs.ts';
import { listRecords } from '../../../../server/services/records.ts';

/** One table of a job as CSV: `?what=stations&unit=mm`. */
export const GET = endpoint(async ({ member, job: id, url }) => {
  const what = url.searchParams.get('what') ?? '';
  const { job } = await readJob(member, id);
  const unit = url.searchParams.get('unit') ?? job.display.unit;
  const table = JOB_TABLES.find((candidate): candidate is JobTable => candidate === what);
  if (!table || (unit !== 'mm' && unit !== 'in'))
    throw new InputError([
      { code: 'table', path: 'what', message: `The table is one of ${JOB_TABLES.join(', ')}; the unit is mm or in.` },
    ]);
  const csv = writeJobTable(table, job, readingsIn(await listRecords(member, id)), unit);
  return download(csv, 'text/csv; charset=utf-8', `${job.name} ${table}`, 'csv');
});

export const ALL = notAllowed('GET');

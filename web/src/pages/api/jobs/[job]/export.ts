import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { exportJob } from '../../../../server/services/job-files.ts';

/** The job as a job file: the same bytes that an unchanged import came with. */
export const GET = endpoint(async ({ member, job }) => {
  const { name, text } = await exportJob(member, job, 'inside');
  return download(text, 'application/json', name, 'splay.json');
});

export const ALL = notAllowed('GET');

import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { doLong } from '../../../../server/queue/queue.ts';

/** The job as a job file: the same bytes that an unchanged import came with. */
export const GET = endpoint(async ({ member, job }) => {
  const { name, text } = await doLong(member, 'exportJob', job, 'inside');
  return download(text, 'application/json', name, 'splay.json');
});

export const ALL = notAllowed('GET');

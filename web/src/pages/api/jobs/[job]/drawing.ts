import { InputError } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { inThread } from '../../../../server/threads/pool.ts';
import { readJob } from '../../../../server/services/jobs.ts';

/** A view of the frame in real size: `?what=side&as=dxf`. */
export const GET = endpoint(async ({ member, job: id, url }) => {
  const { job } = await readJob(member, id);
  const [what, as] = [url.searchParams.get('what'), url.searchParams.get('as')];
  if ((what !== 'side' && what !== 'plan') || (as !== 'dxf' && as !== 'svg'))
    throw new InputError([
      { code: 'drawing', path: 'what', message: 'The view is side or plan, and the format is dxf or svg.' },
    ]);
  const type = as === 'dxf' ? 'image/vnd.dxf' : 'image/svg+xml';
  return download(await inThread('drawing', job, what, as), type, `${job.name} ${what}`, as);
});

export const ALL = notAllowed('GET');

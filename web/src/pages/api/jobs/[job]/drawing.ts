import { drawingOf, InputError, writeDxf, writeSvg } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download } from '../../../../server/http/problem.ts';
import { readJob } from '../../../../server/services/jobs.ts';

/** A view of the frame in real size: `?what=side&as=dxf`. */
export const GET = endpoint(async ({ member, job: id, url }) => {
  const { job } = await readJob(member, id);
  const [what, as] = [url.searchParams.get('what'), url.searchParams.get('as')];
  if ((what !== 'side' && what !== 'plan') || (as !== 'dxf' && as !== 'svg'))
    throw new InputError([
      { code: 'drawing', path: 'what', message: 'The view is side or plan, and the format is dxf or svg.' },
    ]);
  const shapes = drawingOf(job, what);
  const name = `${job.name} ${what}`;
  return as === 'dxf'
    ? download(writeDxf(shapes), 'image/vnd.dxf', name, 'dxf')
    : download(writeSvg(shapes, name), 'image/svg+xml', name, 'svg');
});

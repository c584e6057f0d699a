import { InputError } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { paperOf } from '../../../../server/http/sheet-endpoint.ts';
import { NotFound } from '../../../../server/services/errors.ts';
import { kept } from '../../../../server/threads/kept.ts';
import { doLong } from '../../../../server/queue/queue.ts';
import { readJob } from '../../../../server/services/jobs.ts';

const TYPES = { dxf: 'image/vnd.dxf', svg: 'image/svg+xml', pdf: 'application/pdf' } as const;

const refuse = (path: string, message: string): never => {
  throw new InputError([{ code: 'parts', path, message }]);
};

/**
 * The parts of a job's joints, or of its mounts, in real size: `?as=dxf|svg|pdf`, `&of=joints|mounts`, one of them by
 * `&part=A1L`, paper by `&paper=a4`.
 */
export const GET = endpoint(async ({ member, job: id, url }) => {
  const head = await readJob(member, id);
  const { job } = head;
  const [as, mark] = ['as', 'part'].map((key) => url.searchParams.get(key));
  const paper = paperOf(url);
  const of = url.searchParams.get('of') ?? 'joints';
  if (of !== 'joints' && of !== 'mounts') return refuse('of', 'Parts are of joints or of mounts.');
  if (as !== 'dxf' && as !== 'svg' && as !== 'pdf') return refuse('as', 'The format is dxf, svg or pdf.');
  const name = `${job.name} ${mark ?? (of === 'mounts' ? 'mount parts' : 'parts')}`;
  const asked = { of, mark: mark ?? null, as, paper, name } as const;
  const file = await kept(`parts ${id} ${head.revision} ${JSON.stringify(asked)}`, () =>
    doLong(member, 'partsFile', head, asked),
  );
  if (file === null && asked.mark !== null) throw new NotFound();
  if (file === null) return refuse('part', `No ${of === 'mounts' ? 'mount' : 'joint'} that is decided has a part yet.`);
  return download(file, TYPES[as], name, as);
});

export const ALL = notAllowed('GET');

import {
  contextOf,
  drawParts,
  type FlatPart,
  InputError,
  mountParts,
  planOf,
  spliceParts,
  writeDxf,
  writeSvg,
} from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download } from '../../../../server/http/problem.ts';
import { partsPdf } from '../../../../server/pdf/parts-pdf.ts';
import { PAPERS, type Paper } from '../../../../server/pdf/sheet.ts';
import { NotFound } from '../../../../server/services/errors.ts';
import { readJob } from '../../../../server/services/jobs.ts';

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
  const [as, mark, paper] = ['as', 'part', 'paper'].map((key) => url.searchParams.get(key));
  const of = url.searchParams.get('of') ?? 'joints';
  if (of !== 'joints' && of !== 'mounts') return refuse('of', 'Parts are of joints or of mounts.');
  const all: readonly FlatPart[] =
    of === 'mounts' ? mountParts(planOf(job).mountings, contextOf(job)) : spliceParts(planOf(job), job);
  const parts = mark ? all.filter((part) => part.mark === mark) : all;
  if (mark && parts.length === 0) throw new NotFound();
  if (parts.length === 0) refuse('part', `No ${of === 'mounts' ? 'mount' : 'joint'} that is decided has a part yet.`);
  const name = `${job.name} ${mark ?? (of === 'mounts' ? 'mount parts' : 'parts')}`;
  switch (as) {
    case 'dxf':
      return download(writeDxf(drawParts(parts)), 'image/vnd.dxf', name, 'dxf');
    case 'svg':
      return download(writeSvg(drawParts(parts), name), 'image/svg+xml', name, 'svg');
    case 'pdf': {
      const chosen = paper ?? 'a4';
      if (!(chosen in PAPERS)) refuse('paper', 'The paper is a4 or letter.');
      return download(await partsPdf(head, parts, chosen as Paper), 'application/pdf', name, 'pdf');
    }
    default:
      return refuse('as', 'The format is dxf, svg or pdf.');
  }
});

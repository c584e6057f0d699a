import { InputError } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { PAPERS, type Paper } from '../../../../server/pdf/sheet.ts';
import { kept } from '../../../../server/threads/kept.ts';
import { inThread } from '../../../../server/threads/pool.ts';
import { readJob } from '../../../../server/services/jobs.ts';

export const GET = endpoint(async ({ member, job: id, url }) => {
  const paper = url.searchParams.get('paper') ?? 'a4';
  if (!(paper in PAPERS))
    throw new InputError([{ code: 'paper', path: 'paper', message: 'The paper is a4 or letter.' }]);
  const head = await readJob(member, id);
  const pdf = await kept(`marks ${id} ${head.revision} ${paper}`, () => inThread('marksPdf', head, paper as Paper));
  return download(pdf, 'application/pdf', `${head.job.name} marks`, 'pdf');
});

export const ALL = notAllowed('GET');

import { InputError } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { download } from '../../../../server/http/problem.ts';
import { marksPdf } from '../../../../server/pdf/marks-pdf.ts';
import { PAPERS, type Paper } from '../../../../server/pdf/sheet.ts';
import { readJob } from '../../../../server/services/jobs.ts';

export const GET = endpoint(async ({ member, job, url }) => {
  const paper = url.searchParams.get('paper') ?? 'a4';
  if (!(paper in PAPERS))
    throw new InputError([{ code: 'paper', path: 'paper', message: 'The paper is a4 or letter.' }]);
  const head = await readJob(member, job);
  return download(await marksPdf(head, paper as Paper), 'application/pdf', `${head.job.name} marks`, 'pdf');
});

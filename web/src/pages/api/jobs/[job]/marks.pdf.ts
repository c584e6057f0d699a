import { progressOf } from '@splay/core';
import { endpoint } from '../../../../server/http/endpoint.ts';
import { holdPointWords, marksRequest } from '../../../../server/http/marks-request.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { paperOf } from '../../../../server/http/sheet-endpoint.ts';
import { listRecords } from '../../../../server/services/records.ts';
import { kept } from '../../../../server/threads/kept.ts';
import { inThread } from '../../../../server/threads/pool.ts';

/** The marks sheet as a PDF: of the newest revision, or of that of an issued sheet. */
export const GET = endpoint(async ({ member, job, url, origin }) => {
  const paper = paperOf(url);
  const { head, part, facts } = await marksRequest(member, job, url, origin);
  const holdPoint = holdPointWords(progressOf(head.job, await listRecords(member, job)).gates);
  const asked = { ...facts, holdPoint };
  const key = JSON.stringify(['marks', job, head.revision, paper, asked, part]);
  const pdf = await kept(key, () => inThread('marksPdf', head, paper, asked, part));
  const number = facts.number === undefined ? 'marks' : `marks, sheet ${facts.number}`;
  return download(pdf, 'application/pdf', `${head.job.name} ${number}`, 'pdf');
});

export const ALL = notAllowed('GET');

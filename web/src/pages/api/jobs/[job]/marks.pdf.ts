import { endpoint } from '../../../../server/http/endpoint.ts';
import { marksRequest } from '../../../../server/http/marks-request.ts';
import { download, notAllowed } from '../../../../server/http/problem.ts';
import { paperOf } from '../../../../server/http/sheet-endpoint.ts';
import { listRecords } from '../../../../server/services/records.ts';
import { kept } from '../../../../server/threads/kept.ts';
import { doLong } from '../../../../server/queue/queue.ts';

/** The marks sheet as a PDF: of the newest revision, or of that of an issued sheet. */
export const GET = endpoint(async ({ member, job, url, origin }) => {
  const paper = paperOf(url);
  const { head, part, facts } = await marksRequest(member, job, url, origin);
  // How the hold point stands follows from them; they are only ever added to.
  const records = await listRecords(member, job);
  const key = JSON.stringify(['marks', job, head.revision, records.length, paper, facts, part]);
  const pdf = await kept(key, () => doLong(member, 'marksPdf', head, paper, facts, part, records));
  const number = facts.number === undefined ? 'marks' : `marks, sheet ${facts.number}`;
  return download(pdf, 'application/pdf', `${head.job.name} ${number}`, 'pdf');
});

export const ALL = notAllowed('GET');

import { InputError } from '@splay/core';
import { isTimeZone, type SheetFacts } from '../../shared/sheet-facts.ts';
import { PAPERS, type Paper } from '../pdf/sheet.ts';
import { readJob } from '../services/jobs.ts';
import { kept } from '../threads/kept.ts';
import { doLong } from '../queue/queue.ts';
import { endpoint } from './endpoint.ts';
import { download } from './problem.ts';

/** The paper that a request asks for; A4 where it does not say. @throws InputError */
export function paperOf(url: URL): Paper {
  const paper = url.searchParams.get('paper') ?? 'a4';
  if (!Object.hasOwn(PAPERS, paper))
    throw new InputError([{ code: 'paper', path: 'paper', message: 'The paper is a4 or letter.' }]);
  return paper as Paper;
}

/** The time zone that a request names for the moments on its sheet; none where it names none that is known. */
export function zoneOf(url: URL): Pick<SheetFacts, 'timeZone'> {
  const timeZone = url.searchParams.get('zone');
  return timeZone !== null && isTimeZone(timeZone) ? { timeZone } : {};
}

/**
 * Gives a printed sheet of a job's saved revision, on the paper that is asked for.
 *
 * @param task The task that draws it.
 * @param name What the sheet is called.
 */
export const sheetEndpoint = (task: 'standsPdf', name: string) =>
  endpoint(async ({ member, job: id, url }) => {
    const paper = paperOf(url);
    const facts = zoneOf(url);
    const head = await readJob(member, id);
    const key = `${name} ${id} ${head.revision} ${paper} ${facts.timeZone ?? ''}`;
    const pdf = await kept(key, () => doLong(member, task, head, paper, facts));
    return download(pdf, 'application/pdf', `${head.job.name} ${name}`, 'pdf');
  });

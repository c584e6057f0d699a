import {
  cautionsOf,
  dotted,
  type Job,
  lengthText,
  markBlocks,
  markSheet,
  planOf,
  type PlanResult,
  progressOf,
  type SheetBlock,
  type SheetPart,
  type ShopRecord,
} from '@splay/core';
import { checkSolids, loadKernel, solidConflict } from '@splay/core/solids';
import { holdPointWords, type SheetFacts, sheetFacts } from '../../shared/sheet-facts.ts';
import { assumedWords, SHEET_FOOT } from '../../shared/sheet-words.ts';
import type { JobHead } from '../services/jobs.ts';
import { sharedJob } from '../threads/shared-job.ts';
import { DRAWING_WIDTH, type Paper, Sheet } from './sheet.ts';

/**
 * The marks sheet of a job's saved revision as a PDF.
 *
 * @param facts What its title strip says besides the job: number, the shop's clock.
 * @param part All of it, one rail, or one cut as a card.
 * @param records Of the job: how its hold point stands follows from them.
 */
export async function marksPdf(
  head: JobHead,
  paper: Paper,
  facts: SheetFacts = {},
  part: SheetPart = { of: 'all' },
  records: readonly ShopRecord[] = [],
): Promise<Uint8Array<ArrayBuffer>> {
  const job = sharedJob(head.job);
  const result = planOf(job);
  const marks = markSheet(job, result);
  const sheet = await Sheet.make(paper, job.display, {
    title: 'Marks for cutting',
    warning: marks.stops.length > 0 ? `NOT RELEASED: ${marks.stops[0]}` : null,
    facts: [
      ...sheetFacts(head, { ...facts, holdPoint: holdPointWords(progressOf(job, records).holdPoints) }),
      `From: ${marks.datum.toLowerCase()}, squared up to each edge`,
    ],
    ...(facts.url === undefined ? {} : { code: facts.url }),
  });
  for (const stop of marks.stops.slice(1)) sheet.note(`Stops the plan too: ${stop}`);
  for (const line of marks.accepted) sheet.note(line);
  if (marks.assumed.length > 0) sheet.note(assumedWords(marks.assumed));
  for (const block of markBlocks(job, marks, DRAWING_WIDTH, part)) setBlock(sheet, block);
  if (part.of !== 'all') return sheet.bytes(SHEET_FOOT);
  sheet.heading('Check in 3D');
  for (const line of await solidLines(job, result)) sheet.note(line);
  sheet.heading('Before the saw');
  for (const { title, here } of cautionsOf(job, result, 'cutting')) sheet.tickOff(`${title}. ${here}`.trim());
  return sheet.bytes(SHEET_FOOT);
}

/** Sets a part of a sheet. */
function setBlock(sheet: Sheet, block: SheetBlock): void {
  switch (block.kind) {
    case 'page':
      return sheet.nextPage();
    case 'heading':
      return sheet.heading(block.text);
    case 'note':
      return sheet.note(block.text);
    case 'drawings':
      return sheet.drawings(block.drawings, block.titled);
    case 'sign':
      return sheet.sign(block.what);
    case 'notes':
      sheet.heading(block.title);
      for (const { letters, text } of block.notes) sheet.note(`${letters}: ${text}`);
      return;
    case 'table': {
      const { id, caption, measured, columns, rows } = block.table;
      const hasLetters = rows.some(({ lettered }) => lettered);
      const yours = block.yours ? [{ title: 'yours', share: 1.8, right: true }] : [];
      // Its heading, what it is measured from, its head and two rows stay together.
      sheet.keep(125);
      sheet.heading(caption);
      sheet.note(`${measured}.`);
      sheet.table(
        [
          { title: '', share: id === 'checks' ? 4 : hasLetters ? 1 : 2.4 },
          ...columns.map(({ title, figure, share }) => ({ title: title.toLowerCase(), share, right: figure })),
          ...yours,
        ],
        rows.map(({ mark, lettered, cells }) => [lettered ? dotted(mark) : mark, ...cells, ...yours.map(() => '')]),
        [...(hasLetters ? [0] : []), ...columns.flatMap(({ bold }, at) => (bold ? [at + 1] : []))],
        block.yours ? columns.length + 1 : -1,
      );
    }
  }
}

/** Lines of the check in 3D for jobs printed before: a plan is printed on either paper, and again as issued. */
const checked = new WeakMap<Job, readonly string[]>();

/** Lines of the check in 3D, one per finding. Where it cannot run, one line that says so. */
async function solidLines(job: Job, result: PlanResult): Promise<readonly string[]> {
  const known = checked.get(job);
  if (known) return known;
  try {
    const show = (mm: number) => lengthText(mm, job.display, true);
    const found = checkSolids(await loadKernel(), job, show, result);
    const lines = found.flatMap((finding) => {
      const conflict = solidConflict(finding, job.plan.accepted);
      return conflict ? [conflict.message] : [];
    });
    const said =
      lines.length > 0
        ? lines
        : ['Nothing found: no overlap of what it knows as solid. Brackets and tires are not among that.'];
    checked.set(job, said);
    return said;
  } catch (problem) {
    console.error('the check in 3D of a sheet failed', problem);
    return ['It could not run for this sheet: look at it on the bench Cuts before cutting.'];
  }
}

import {
  cautionsOf,
  dotted,
  type Job,
  lengthText,
  MARKS_RULES,
  markSheet,
  markTables,
  planOf,
  type PlanResult,
} from '@splay/core';
import { checkSolids, loadKernel, solidConflict } from '@splay/core/solids';
import { assumedWords, SHEET_FOOT } from '../../shared/sheet-words.ts';
import type { JobHead } from '../services/jobs.ts';
import { type Paper, Sheet } from './sheet.ts';

/** The marks sheet of a job's saved revision as a PDF. */
export async function marksPdf(head: JobHead, paper: Paper): Promise<Uint8Array<ArrayBuffer>> {
  const { job } = head;
  const result = planOf(job);
  const marks = markSheet(job, result);
  const sheet = await Sheet.make(paper, job.display, {
    title: 'Marks for cutting',
    warning: marks.stops.length > 0 ? `NOT RELEASED: ${marks.stops[0]}` : null,
    facts: [
      job.name,
      `Plan “${job.plan.name}”, revision ${head.revision}`,
      `Donor: ${job.donor.name}`,
      `Saved ${head.savedAt.slice(0, 16).replace('T', ' ')} UTC`,
      `From: ${marks.datum.toLowerCase()}, squared up to each edge`,
      job.display.unit === 'in' ? 'Inches' : 'Millimetres',
    ],
  });
  for (const stop of marks.stops.slice(1)) sheet.note(`Stops the plan too: ${stop}`);
  for (const line of marks.accepted) sheet.note(line);
  if (marks.assumed.length > 0) sheet.note(assumedWords(marks.assumed));
  const tables = markTables(marks);
  if (tables.length === 0) sheet.note('The plan cuts nothing yet.');
  for (const { id, caption, measured, columns, rows } of tables) {
    sheet.heading(caption);
    sheet.note(`${measured}.`);
    // Checks are ticked off against one's own tape.
    const yours = id === 'checks' ? [{ title: 'yours', share: 1.8, right: true }] : [];
    sheet.table(
      [
        { title: '', share: id === 'checks' ? 4 : rows.some(({ lettered }) => lettered) ? 1 : 2.4 },
        ...columns.map(({ title, figure, share }) => ({ title: title.toLowerCase(), share, right: figure })),
        ...yours,
      ],
      rows.map(({ mark, lettered, cells }) => [lettered ? dotted(mark) : mark, ...cells, ...yours.map(() => '')]),
      [
        ...(rows.some(({ lettered }) => lettered) ? [0] : []),
        ...columns.flatMap(({ bold }, at) => (bold ? [at + 1] : [])),
      ],
    );
  }
  if (marks.notes.length > 0) {
    sheet.heading('Notes');
    for (const { letters, text } of marks.notes) sheet.note(`${letters}: ${text}`);
  }
  if (marks.welds.length > 0) {
    sheet.heading('Welds');
    for (const { letters, text } of marks.welds) sheet.note(`${letters}: ${text}`);
  }
  if (tables.length > 0) sheet.note(MARKS_RULES);
  if (marks.assumptions.length > 0)
    sheet.note(
      `The strength of the joints rests on: ${marks.assumptions.map(({ what, value, source, changed }) => `${what.toLowerCase()} ${value} (${changed ? 'set by the shop' : source})`).join('; ')}.`,
    );
  sheet.heading('Check in 3D');
  for (const line of await solidLines(job, result)) sheet.note(line);
  sheet.heading('Before the saw');
  for (const { title, here } of cautionsOf(job, result, 'cutting')) sheet.tickOff(`${title}. ${here}`.trim());
  return sheet.bytes(SHEET_FOOT);
}

/** What the check in 3D says of the plan, a line each; a sheet is made without it where it cannot run, and says so. */
async function solidLines(job: Job, result: PlanResult): Promise<readonly string[]> {
  try {
    const show = (mm: number) => lengthText(mm, job.display, true);
    const found = checkSolids(await loadKernel(), job, show, result);
    const lines = found.flatMap((finding) => {
      const conflict = solidConflict(finding, job.plan.accepted);
      return conflict ? [conflict.message] : [];
    });
    return lines.length > 0
      ? lines
      : ['Nothing found: no overlap of what it knows as solid. Brackets and tires are not among that.'];
  } catch (problem) {
    console.error('the check in 3D of a sheet failed', problem);
    return ['It could not run for this sheet: look at it on the bench Cuts before cutting.'];
  }
}

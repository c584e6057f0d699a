import { cautionsOf, evaluatePlan, type KerfSide, type MarkSheet, markSheet, operationName, SIDES } from '@splay/core';
import { SHEET_FOOT } from '../../shared/sheet-words.ts';
import type { JobHead } from '../services/jobs.ts';
import { type Cell, type Paper, Sheet } from './sheet.ts';

const BLADE: Readonly<Record<KerfSide, string>> = {
  ahead: 'ahead of line',
  behind: 'behind line',
  line: 'on the line',
};
const letters = (text: string) => text.replace(' ', '·');

function lineRows(sheet: MarkSheet, side: 'left' | 'right'): Cell[][] {
  return sheet.lines
    .filter((line) => line.side === side)
    .map((line) => [
      letters(line.letters),
      operationName(line.operation).toLowerCase(),
      BLADE[line.kerf],
      { mm: line.from.top },
      { mm: line.from.web },
      { mm: line.from.bottom },
      { mm: line.from.level },
    ]);
}

/** The marks sheet of a job's saved revision as a PDF. */
export async function marksPdf(head: JobHead, paper: Paper): Promise<Uint8Array<ArrayBuffer>> {
  const { job } = head;
  const result = evaluatePlan(job);
  const marks = markSheet(job, result);
  const sheet = await Sheet.make(paper, job.display, {
    title: 'Marks for cutting',
    facts: [
      job.name,
      `Plan “${job.plan.name}”, revision ${head.revision}`,
      `Donor: ${job.donor.name}`,
      `Saved ${head.savedAt.slice(0, 16).replace('T', ' ')} UTC`,
      `From: ${marks.datum.toLowerCase()}, squared up to each edge`,
      job.display.unit === 'in' ? 'Inches' : 'Millimetres',
    ],
  });
  const columns = [
    { title: 'mark', share: 1 },
    { title: '', share: 2 },
    { title: 'blade', share: 2 },
    { title: 'top edge', share: 1.6, right: true },
    { title: 'web', share: 1.6, right: true },
    { title: 'bottom edge', share: 1.6, right: true },
    { title: 'level', share: 1.6, right: true },
  ];
  if (marks.lines.length === 0) sheet.note('The plan cuts nothing yet.');
  for (const side of SIDES) {
    const rows = lineRows(marks, side);
    if (rows.length === 0) continue;
    sheet.heading(side === 'left' ? 'Left rail' : 'Right rail');
    sheet.table(columns, rows, [0, 3]);
  }
  if (marks.punches.length > 0) {
    sheet.heading('Holes to punch and drill');
    sheet.table(
      [
        { title: '', share: 3 },
        { title: 'rail', share: 1 },
        { title: 'along the web', share: 2, right: true },
        { title: 'below the top', share: 2, right: true },
        { title: 'drill', share: 1.5, right: true },
      ],
      marks.punches.map((punch) => [
        punch.name,
        punch.side,
        { mm: punch.from.web },
        { mm: punch.down },
        { mm: punch.diameter },
      ]),
      [2],
    );
  }
  if (marks.newPieces.length > 0) {
    sheet.heading('New rail to cut');
    sheet.table(
      [
        { title: 'between', share: 1.5 },
        { title: 'rail', share: 1.5 },
        { title: 'as planned', share: 2, right: true },
        { title: 'kerf to make good', share: 2, right: true },
        { title: 'cut to', share: 2, right: true },
      ],
      marks.newPieces.map((piece) => [
        letters(piece.letters),
        piece.side,
        { mm: piece.length },
        { mm: piece.kerf },
        { mm: piece.length + piece.kerf },
      ]),
      [0, 4],
    );
  }
  if (marks.checks.length > 0) {
    sheet.heading('Check the marks before cutting');
    sheet.table(
      [
        { title: '', share: 1.6 },
        { title: '', share: 4 },
        { title: 'tape reads', share: 2, right: true },
        { title: 'yours', share: 2, right: true },
      ],
      marks.checks.map((check) => [check.kind, check.name, { mm: check.distance }, '']),
      [2],
    );
  }
  sheet.heading('Before the saw');
  for (const { title, here } of cautionsOf(job, result, 'cutting')) sheet.tickOff(`${title}. ${here}`.trim());
  return sheet.bytes(SHEET_FOOT);
}

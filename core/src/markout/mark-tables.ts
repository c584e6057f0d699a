import { type Side, SIDES } from '../frame/index.ts';
import { dotted, isPaired, operationName, type RailEndAngle } from '../plan/index.ts';
import type { SpliceForm } from '../splice/index.ts';
import { angleText } from '../units/index.ts';
import type { BracketMark, CrossmemberMark, CutLine, KerfSide, MarkOrigin, MarkSheet } from './marks.ts';
import { bold, figure, orDash, railName, type SheetCell, type SheetTable, words } from './sheet-table.ts';
import { partsTable } from './splice-tables.ts';

const KERF_WORDS: Readonly<Record<KerfSide, string>> = {
  ahead: 'ahead of the line',
  behind: 'behind the line',
  line: 'on the line',
};

/**
 * What a line is for, in few words: its operation, and which of two lines of a wedge it is.
 *
 * @param line A line to cut by.
 */
export function lineName({ operation, kerf, lean, part, form, runsOut }: CutLine): string {
  return [
    operationName(operation).toLowerCase(),
    ...(isPaired(operation) && kerf !== 'line' ? [`${kerf === 'behind' ? 'front' : 'rear'} line`] : []),
    ...(form === null ? [] : [part === 'across' ? form : `${form}, ${PART_WORDS[part]}`]),
    ...(form === null && Math.abs(lean) > 0.05 ? ['leaning'] : []),
    ...(runsOut === null ? [] : ['runs out of the end of the rail: the end stays square beyond it']),
  ].join(', ');
}

/** What the lines of a step run over. */
const PART_WORDS: Readonly<Record<CutLine['part'], string>> = {
  across: '',
  'upper vertical': 'upper line and top flange',
  horizontal: 'level line in the web',
  'lower vertical': 'lower line and bottom flange',
};

const onNewRail = (origin: MarkOrigin): string =>
  origin.on === 'new' ? `, from the front end of new rail ${dotted(origin.letters)}` : '';

function linesTable(sheet: MarkSheet, side: Side): SheetTable {
  const lines = sheet.lines.filter((line) => line.side === side);
  const stepped = lines.some(({ form }) => form === 'step');
  const runningOut = lines.some(({ runsOut }) => runsOut !== null);
  return {
    id: `lines-${side}`,
    caption: railName(side),
    measured: `From the ${sheet.datum.toLowerCase()}: top edge, web and bottom edge with the tape laid on the steel from over the hole; level plumbed down; hooked in the hole and pulled straight to the top edge${stepped ? '; heights over the underside' : ''}`,
    columns: [
      words('', 3.2),
      words('Blade', 1.7),
      bold('Top edge'),
      bold('Web'),
      bold('Bottom edge'),
      ...(stepped ? [figure('Web, to'), figure('Height'), figure('Corners', 1.2)] : []),
      ...(runningOut ? [figure('Runs out below top')] : []),
      figure('Level'),
      figure('Hooked in hole', 1.9),
    ],
    rows: lines.map((line) => ({
      mark: line.letters,
      lettered: true,
      cells: [
        lineName(line),
        KERF_WORDS[line.kerf],
        orNone(line.from.top),
        orNone(line.from.web),
        orNone(line.from.bottom),
        ...(stepped
          ? [orNone(line.to), orNone(line.height), line.form === 'step' ? orDash(line.radius, 'square') : '–']
          : []),
        ...(runningOut ? [orNone(line.runsOut)] : []),
        { mm: line.from.level },
        orNone(line.from.hooked),
      ],
    })),
  };
}

/** A length, or a dash where there is none. */
const orNone = (mm: number | null): SheetCell => (mm === null ? '–' : { mm });

const FIXING: Readonly<Record<string, string>> = {
  bolts: 'bolted',
  rivets: 'riveted',
  weld: 'welded',
  hole: 'hole only',
};
const FACES: Readonly<Record<BracketMark['face'], string>> = {
  top: 'on the top',
  'web-outside': 'outside the web',
  'web-inside': 'inside the web',
  bottom: 'on the bottom',
};

function bracketsTable(sheet: MarkSheet, side: Side): SheetTable {
  const marks = sheet.brackets.filter((mark) => mark.side === side);
  const blocked = marks.some(({ block }) => block > 0);
  return {
    id: `brackets-${side}`,
    caption: `Brackets and holes, ${railName(side).toLowerCase()}`,
    measured: `Middle of the fastening, from the ${sheet.datum.toLowerCase()} along the web at its own height`,
    columns: [
      words('', 3.4),
      bold('Middle'),
      figure('Below the top'),
      figure('In from outside', 1.3),
      figure('Drill', 1.2),
      figure('Ahead', 1.2),
      figure('Behind', 1.2),
      ...(blocked ? [figure('On a block of', 1.3)] : []),
      figure('Level'),
    ],
    rows: marks.map((mark) => ({
      mark: mark.name,
      lettered: false,
      cells: [
        `${mark.what === 'off' ? 'comes off' : mark.what}, ${FACES[mark.face]}, ${FIXING[mark.fixedBy] ?? mark.fixedBy}${onNewRail(mark.origin)}`,
        { mm: mark.web },
        { mm: mark.down },
        mark.across === null ? '–' : { mm: mark.across },
        orDash(mark.diameter),
        orDash(mark.ahead),
        orDash(mark.behind),
        ...(blocked ? [orDash(mark.block)] : []),
        { mm: mark.level },
      ],
    })),
  };
}

const CHANGES: Readonly<Record<CrossmemberMark['what'], string>> = {
  new: 'new',
  moved: 'moved',
  lowered: 'lowered',
  thinned: 'thinned',
  out: 'comes out',
};

function crossmembersTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'crossmembers',
    caption: 'Crossmembers',
    measured: `Middle, from the ${sheet.datum.toLowerCase()} along the top edge of each rail`,
    columns: [
      words('', 2.6),
      words('Rail', 1),
      bold('Middle'),
      figure('Long'),
      figure('Its top below the rail’s'),
      figure('Deep'),
      figure('Level'),
    ],
    rows: sheet.crossmembers.map((mark) => ({
      mark: mark.name,
      lettered: false,
      cells: [
        `${CHANGES[mark.what]}${onNewRail(mark.origin)}`,
        mark.side,
        { mm: mark.top },
        { mm: mark.length },
        { mm: mark.below },
        { mm: mark.depth },
        { mm: mark.level },
      ],
    })),
  };
}

function reworksTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'reworks',
    caption: 'Notches and boxing plates',
    measured: `From the ${sheet.datum.toLowerCase()} along the edge that is named`,
    columns: [
      words('', 2.6),
      words('Rail', 1),
      words('Along', 1.4),
      bold('Front end'),
      bold('Rear end'),
      figure('Deep, or taper'),
      figure('Deep at rear'),
      figure('Plate'),
    ],
    rows: sheet.reworks.map((mark) => ({
      mark: operationName(mark.operation),
      lettered: false,
      cells: [
        `${mark.what}${mark.floor === null ? '' : mark.floor === 'level' ? ', floor level' : ', floor follows the edge'}${onNewRail(mark.origin)}`,
        mark.side,
        `${mark.edge} edge`,
        { mm: mark.from },
        { mm: mark.to },
        orDash(mark.deep),
        orNone(mark.deepRear),
        orDash(mark.plate),
      ],
    })),
  };
}

function membersTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'members',
    caption: 'Members and braces',
    measured: 'Along the middle of each from its own front end; wedges by its width, both faces alike',
    columns: [words('', 3.4), words('Which', 1), bold('From its front end'), bold('Length'), figure('Wedge, sideways')],
    rows: sheet.members.map((mark) => ({
      mark: mark.name,
      lettered: false,
      cells: [mark.what, mark.side ?? '–', orNone(mark.from), orNone(mark.length), orNone(mark.wedge)],
    })),
  };
}

/** How an end of new rail is cut, in words. */
function endWords({ side, plan }: RailEndAngle): string {
  const parts = [
    ...(Math.abs(side) > 5e-4 ? [`${angleText(Math.abs(side))}, ${side > 0 ? 'top' : 'bottom'} longer`] : []),
    ...(Math.abs(plan) > 5e-4 ? [`${angleText(Math.abs(plan))} in plan`] : []),
  ];
  return parts.length === 0 ? 'square' : parts.join('; ');
}

/** How an end of new rail is cut where its joint is no square one: to match what is scribed on the donor. */
function formWords(form: SpliceForm | null): string {
  if (form?.form === 'step') return `, stepped to match: upper half ${form.upper === 'ahead' ? 'forward' : 'rearward'}`;
  return form?.form === 'angled' ? ', angled to match' : '';
}

function newRailTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'new-rail',
    caption: 'New rail to cut',
    measured:
      'As it ends up, along the edges of the outside face; ends from square. Gaps are those of the joints that are decided, less what their welds pull. A stepped or angled end needs a longer blank: by half of the step or slant at each end',
    columns: [
      words('Rail', 1),
      words('Section', 1.2),
      words('Front end', 2),
      words('Rear end', 2),
      figure('Bottom edge'),
      figure('Top edge'),
      figure('Kerf', 1),
      figure('Gaps', 1),
      bold('Cut the top to'),
    ],
    rows: sheet.newPieces.map((piece) => ({
      mark: piece.letters,
      lettered: true,
      cells: [
        piece.side,
        piece.section,
        `${endWords(piece.front)}${formWords(piece.forms.front)}`,
        `${endWords(piece.rear)}${formWords(piece.forms.rear)}`,
        { mm: piece.bottom },
        { mm: piece.length },
        orDash(piece.kerf),
        orDash(piece.gaps),
        { mm: piece.cutTo },
      ],
    })),
  };
}

function checksTable(sheet: MarkSheet): SheetTable {
  return {
    id: 'checks',
    caption: 'Check the marks before cutting',
    measured: 'Along the top edge with the tape laid on the steel; straight across from corner to corner',
    columns: [words('', 2.4), bold('Tape reads')],
    rows: sheet.checks.map((check) => ({
      mark: check.name,
      lettered: false,
      cells: [check.kind, { mm: check.distance }],
    })),
  };
}

/**
 * The tables of a marks sheet in the order they are worked by; those with nothing in them are left out.
 *
 * @param sheet The sheet.
 */
export function markTables(sheet: MarkSheet): SheetTable[] {
  return [
    ...SIDES.map((side) => linesTable(sheet, side)),
    ...SIDES.map((side) => bracketsTable(sheet, side)),
    crossmembersTable(sheet),
    membersTable(sheet),
    reworksTable(sheet),
    newRailTable(sheet),
    partsTable(sheet),
    checksTable(sheet),
  ].filter(({ rows }) => rows.length > 0);
}

/** What holds for every marks sheet. */
export const MARKS_RULES =
  'Gaps and the pull of the welds are in the lengths of new rail where a joint is decided, and told in the notes where rail comes out. Marks left and right must agree before any cut.';

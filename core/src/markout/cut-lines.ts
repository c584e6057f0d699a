import { railAt, type Side, SIDES } from '../frame/index.ts';
import {
  type CutFace,
  distance,
  dotted,
  faceSpan,
  type FaceSpan,
  type Operation,
  operationName,
  type Piece,
  type PlanResult,
} from '../plan/index.ts';
import type { SpliceForm } from '../splice/index.ts';
import { isAt } from '../units/index.ts';
import type { CrossCheck, CutLine, KerfSide, LinePart } from './marks.ts';
import { type MarkPlaces, type Measurer, SHARES } from './measure.ts';

type End = 'front' | 'rear';

/** An end of donor steel that the plan cuts. */
interface DonorEnd {
  readonly piece: Piece;
  readonly index: number;
  readonly end: End;
  readonly face: CutFace;
}

/** Every end of donor steel that the plan cuts, front to rear. */
const donorEnds = (pieces: readonly Piece[]): readonly DonorEnd[] =>
  pieces.flatMap((piece, index) =>
    piece.source === 'donor'
      ? (['front', 'rear'] as const).flatMap((end) =>
          piece[end].operation === undefined ? [] : [{ piece, index, end, face: piece[end] }],
        )
      : [],
  );

/** The joint at an end of a piece; undefined at a free end. */
const jointAt = ({ joints }: PlanResult, { index, end }: DonorEnd) =>
  joints.find(({ piece }) => piece === (end === 'rear' ? index : index - 1));

/** The letter of the joint or the free end that an end of steel makes. */
function letterAt(result: PlanResult, at: DonorEnd, operation: Operation): string {
  const joint = jointAt(result, at);
  return joint?.letter ?? result.cutEnds.find(({ end }) => end === at.end)?.letter ?? operationName(operation);
}

/** How the joint at an end of a rail is cut, where that is decided. */
function formAt(result: PlanResult, at: DonorEnd, side: Side): SpliceForm | null {
  const joint = jointAt(result, at);
  const outcome = joint && result.splices.find((splice) => splice.joint.id === joint.id && splice.decided);
  return outcome?.rails.find(({ rail }) => rail === side)?.splice.form ?? null;
}

/** A line before it is measured from the datum: stations on the donor, mm. */
interface BareLine extends Pick<CutLine, 'part' | 'form' | 'height' | 'radius' | 'runsOut'> {
  readonly places: MarkPlaces;
  /** Station of the rear end of a horizontal. */
  readonly to: number | null;
}

const ACROSS = { part: 'across', form: null, to: null, height: null, radius: 0, runsOut: null } as const;

/** A straight cut as far as it cuts steel: along an edge that it does not reach it has no figure. */
function straight({ upper, lower }: FaceSpan, depth: number): BareLine {
  const half = depth * SHARES.web;
  const inWeb = upper.down <= half && lower.down >= half;
  const share = (half - upper.down) / (lower.down - upper.down || 1);
  const out = [upper, lower].find(({ runsOut }) => runsOut);
  return {
    ...ACROSS,
    places: {
      top: upper.runsOut ? null : upper.x,
      web: inWeb ? upper.x + share * (lower.x - upper.x) : null,
      bottom: lower.runsOut ? null : lower.x,
    },
    runsOut: out?.down ?? null,
  };
}

/** The lines that are really cut at an end of a rail, as its joint is made there. */
function linesOf(span: FaceSpan, form: SpliceForm | null, depth: number): readonly BareLine[] {
  const { x } = span.upper;
  if (form?.form === 'angled')
    return [{ ...ACROSS, form: 'angled cut', places: { top: x + form.run / 2, web: x, bottom: x - form.run / 2 } }];
  if (form?.form !== 'step') return [straight(span, depth)];
  const { height, radius } = form;
  const upper = x + (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
  const lower = 2 * x - upper;
  const step = { form: 'step', to: null, height, radius, runsOut: null } as const;
  return [
    { ...step, part: 'upper vertical', places: { top: upper, web: upper, bottom: null } },
    {
      ...step,
      part: 'horizontal',
      places: { top: null, web: Math.min(upper, lower), bottom: null },
      to: Math.max(upper, lower),
    },
    { ...step, part: 'lower vertical', places: { top: null, web: lower, bottom: lower } },
  ];
}

/** Whether two lines are one on the steel. */
function isSameLine(a: CutLine, b: CutLine): boolean {
  const alike = (p: number | null, q: number | null) => (p === null || q === null ? p === q : isAt(p, q));
  return (
    a.side === b.side &&
    a.part === b.part &&
    a.height === b.height &&
    (['top', 'web', 'bottom'] as const).every((level) => alike(a.from[level], b.from[level])) &&
    alike(a.to, b.to)
  );
}

/** Both sides of a cut are kept where a front end and a rear end lie on one line: it is scribed once. */
const merged = (lines: readonly CutLine[]): readonly CutLine[] =>
  lines.reduce<readonly CutLine[]>((all, line) => {
    const at = all.findIndex((other) => other.kerf !== line.kerf && isSameLine(other, line));
    const known = all[at];
    if (!known) return [...all, line];
    const letters = known.letters === line.letters ? known.letters : `${known.letters} ${line.letters}`;
    return all.with(at, { ...known, letters, kerf: 'line' });
  }, []);

/**
 * The lines to scribe and cut on both rails of the donor, front to rear on each: for every operation the line at each of its
 * ends, as the joint is really cut there.
 *
 * @param result What the plan gives.
 * @param operations Operations of the plan by id.
 * @param measurer Measures along the donor’s rails.
 */
export function cutLines(
  result: PlanResult,
  operations: ReadonlyMap<string, Operation>,
  measurer: Measurer,
): readonly CutLine[] {
  const ends = donorEnds(result.pieces);
  return SIDES.flatMap((side) =>
    merged(
      ends.flatMap((at): CutLine[] => {
        const operation = operations.get(at.face.operation ?? '');
        const span = faceSpan(at.piece, side, at.end, measurer.depthOf);
        if (!operation || !span) return [];
        const { section } = railAt(at.piece.rails[side], span.upper.x, at.end === 'front' ? 'rear' : 'front');
        const kerf: KerfSide = at.end === 'rear' ? 'behind' : 'ahead';
        return linesOf(span, formAt(result, at, side), measurer.depthOf(section)).map(({ places, to, ...line }) => {
          const from = measurer.from(side, places);
          return {
            ...line,
            letters: letterAt(result, at, operation),
            operation,
            side,
            kerf,
            from,
            to: to === null ? null : measurer.from(side, { top: null, web: to, bottom: null }).web,
            lean: places.top === null || places.bottom === null ? 0 : places.bottom - places.top,
          };
        });
      }),
    ),
  );
}

const PART_NAMES: Readonly<Record<LinePart, string>> = {
  across: '',
  'upper vertical': ' upper vertical',
  horizontal: ' horizontal',
  'lower vertical': ' lower vertical',
};

/**
 * Distances that prove the lines: along the top edge from mark to mark, and straight across from the datum's corner.
 *
 * @param all The lines to scribe.
 */
export function crossChecks(all: readonly CutLine[], { corner, datum }: Measurer): CrossCheck[] {
  const lines = all.flatMap((line) => (line.from.top === null ? [] : [{ line, top: line.from.top }]));
  const on = (side: Side) => lines.filter(({ line }) => line.side === side);
  const name = ({ letters, side, kerf, part }: CutLine) => {
    const isPaired = lines.filter(({ line }) => line.side === side && line.letters === letters).length > 1;
    return `${dotted(letters)}${isPaired ? (kerf === 'behind' ? ' front line' : ' rear line') : ''}${PART_NAMES[part]}`;
  };
  const along = SIDES.flatMap((side) =>
    on(side)
      .slice(1)
      .map(({ line, top }, index): CrossCheck => {
        const before = on(side)[index] as (typeof lines)[number];
        return {
          name: `${name(before.line)} to ${name(line)}, ${side}`,
          kind: 'along the top edge',
          distance: top - before.top,
        };
      }),
  );
  const across = SIDES.flatMap((side) =>
    on(side).map(({ line }): CrossCheck => {
      const other: Side = side === 'left' ? 'right' : 'left';
      return {
        name: `over the datum hole ${other} to ${name(line)} ${side}`,
        kind: 'straight across',
        distance: distance(corner(other, datum), corner(side, datum + line.from.level)),
      };
    }),
  );
  return [...along, ...across.sort((a, b) => a.distance - b.distance)];
}

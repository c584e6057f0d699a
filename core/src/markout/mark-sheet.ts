import {
  datumStation,
  type Frame,
  type Rail,
  railAt,
  railOf,
  type Side,
  SIDES,
  sideSign,
  straightLength,
  type Vec3,
} from '../frame/index.ts';
import { sectionLookup } from '../frame/index.ts';
import {
  type CutFace,
  distance,
  faceAt,
  type Operation,
  operationName,
  type Piece,
  type PlanInput,
  type PlanResult,
} from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';

/** Which side of the line the blade goes: on the waste; `line` where both sides are kept. */
export type KerfSide = 'ahead' | 'behind' | 'line';

/** Distances from the datum hole, mm: along the steel on three lines, and level. Negative: ahead of the datum. */
export interface MarkDistances {
  readonly top: number;
  readonly web: number;
  readonly bottom: number;
  readonly level: number;
}

/** One line to scribe across a rail. */
export interface CutLine {
  /** Letters of the joints or ends this line makes: `A`, or `A B` where one cut makes both ends of a new piece. */
  readonly letters: string;
  readonly operation: Operation;
  readonly side: Side;
  readonly kerf: KerfSide;
  readonly from: MarkDistances;
  /** The line square across the web, or leaning: bottom end ahead (−) or behind (+) of the top end, mm. */
  readonly lean: number;
}

/** One hole to centre-punch. */
export interface PunchMark {
  readonly name: string;
  readonly side: Side;
  readonly from: MarkDistances;
  /** Below the rail top, mm. */
  readonly down: number;
  readonly diameter: number;
}

/** A distance that proves the marks: taped straight from one to the other. */
export interface CrossCheck {
  readonly name: string;
  readonly kind: 'mark to mark' | 'diagonal';
  readonly distance: number;
}

/** A piece of new rail to cut, one for each side. */
export interface NewPiece {
  readonly letters: string;
  readonly operation: Operation;
  readonly side: Side;
  readonly section: string;
  /** Along the top edge as planned, and the kerf to add so that the built length comes out right, mm. */
  readonly length: number;
  readonly kerf: number;
}

export interface MarkSheet {
  readonly datum: string;
  readonly lines: readonly CutLine[];
  readonly punches: readonly PunchMark[];
  readonly checks: readonly CrossCheck[];
  readonly newPieces: readonly NewPiece[];
}

type Level = 'top' | 'web' | 'bottom';

/** Developed length along one line of a rail from station `a` to `b`, mm; negative when `b` lies ahead of `a`. */
export function alongRail(
  rail: Rail,
  a: number,
  b: number,
  depthShare: number,
  depthOf: (section: string) => number,
): number {
  if (b < a) return -alongRail(rail, b, a, depthShare, depthOf);
  const xs = [a, ...rail.map((station) => station.x).filter((x) => x > a && x < b), b];
  const at = (x: number, toward: 'front' | 'rear'): Vec3 => {
    const here = railAt(rail, x, toward);
    return { x, y: here.halfWidth, z: here.top - depthShare * depthOf(here.section) };
  };
  return xs.slice(1).reduce((sum, x, index) => sum + distance(at(xs[index] ?? x, 'rear'), at(x, 'front')), 0);
}

interface DonorFace {
  readonly face: CutFace;
  readonly end: 'front' | 'rear';
}

/** Faces that the plan cuts on donor steel, a pair that coincides joined into one. */
function donorCuts(pieces: readonly Piece[]): { readonly face: CutFace; readonly kerf: KerfSide }[] {
  const faces = pieces
    .filter((piece) => piece.source === 'donor')
    .flatMap((piece): DonorFace[] => [
      { face: piece.front, end: 'front' },
      { face: piece.rear, end: 'rear' },
    ])
    .filter(({ face }) => face.operation !== undefined);
  const same = (a: CutFace, b: CutFace) => Math.abs(a.x - b.x) < 1e-6 && Math.abs(a.lean - b.lean) < 1e-9;
  return faces
    .filter(({ face, end }) => end === 'rear' || !faces.some((other) => other.end === 'rear' && same(other.face, face)))
    .map(({ face, end }) => {
      const shared = end === 'rear' && faces.some((other) => other.end === 'front' && same(other.face, face));
      return { face, kerf: shared ? 'line' : end === 'rear' ? 'behind' : 'ahead' };
    });
}

function punchesOf(result: PlanResult, from: (side: Side, x: number, down: number) => MarkDistances): PunchMark[] {
  return result.features
    .filter(
      ({ fate, feature, piece }) =>
        (fate === 're-drill' || fate === 'new') &&
        feature.diameter > 0 &&
        result.pieces[piece ?? -1]?.source === 'donor',
    )
    .flatMap(({ feature, places }) =>
      SIDES.filter((side) => places[side]).map((side) => ({
        name: feature.name,
        side,
        from: from(side, feature.x, feature.down),
        down: feature.down,
        diameter: feature.diameter,
      })),
    );
}

function crossChecks(
  lines: readonly CutLine[],
  corner: (line: CutLine) => Vec3,
  datumCorner: (side: Side) => Vec3,
): CrossCheck[] {
  const on = (side: Side) => lines.filter((line) => line.side === side);
  const name = (line: CutLine) => {
    const paired = lines.some((other) => other !== line && other.side === line.side && other.letters === line.letters);
    return `${line.letters.replace(' ', '·')}${paired ? (line.kerf === 'behind' ? ' front line' : ' rear line') : ''}`;
  };
  const along = SIDES.flatMap((side) =>
    on(side)
      .slice(1)
      .map((line, index): CrossCheck => {
        const before = on(side)[index] as CutLine;
        return {
          name: `${name(before)} to ${name(line)}, ${side}`,
          kind: 'mark to mark',
          distance: distance(corner(before), corner(line)),
        };
      }),
  );
  const across = SIDES.flatMap((side) =>
    on(side).map((line): CrossCheck => {
      const other: Side = side === 'left' ? 'right' : 'left';
      return {
        name: `datum ${other} to ${name(line)} ${side}`,
        kind: 'diagonal',
        distance: distance(datumCorner(other), corner(line)),
      };
    }),
  );
  return [...along, ...across.sort((a, b) => a.distance - b.distance)];
}

/** The marks for a plan: what to scribe on both rails of the donor, and the new steel. */
export function markSheet(input: PlanInput, result: PlanResult): MarkSheet {
  const frame: Frame = input.donor;
  const section = sectionLookup(frame);
  const depthOf = (id: string) => section(id).depth;
  const datum = datumStation(frame);
  const shares: Readonly<Record<Level, number>> = { top: 0, web: 0.5, bottom: 1 };
  const measure = (side: Side, xs: Readonly<Record<Level, number>>): MarkDistances => {
    const rail = railOf(frame.rails, side);
    const along = (level: Level) => alongRail(rail, datum, xs[level], shares[level], depthOf);
    return { top: along('top'), web: along('web'), bottom: along('bottom'), level: xs.top - datum };
  };
  const operations = new Map(input.plan.operations.map((operation) => [operation.id, operation]));
  const marks = [...result.joints, ...result.cutEnds];

  const cuts = donorCuts(result.pieces);
  const lines = SIDES.flatMap((side) =>
    cuts.flatMap(({ face, kerf }): CutLine[] => {
      const operation = operations.get(face.operation ?? '');
      if (!operation) return [];
      const here = railAt(railOf(frame.rails, side), face.x);
      const at = (share: number) =>
        faceAt(face.lean === 0 ? { ...face, z: here.top } : face, here.top - share * depthOf(here.section));
      const xs = { top: at(0), web: at(0.5), bottom: at(1) };
      const letters = lettersAt(face, kerf, operation, marks);
      return [{ letters, operation, side, kerf, from: measure(side, xs), lean: xs.bottom - xs.top }];
    }),
  );
  const corner = (side: Side, x: number): Vec3 => {
    const here = railAt(railOf(frame.rails, side), x);
    return { x, y: sideSign(side) * here.halfWidth, z: here.top };
  };
  return {
    datum: frame.features.find((feature) => feature.id === frame.datum)?.name ?? 'front axle',
    lines,
    punches: punchesOf(result, (side, x) => measure(side, { top: x, web: x, bottom: x })),
    checks: crossChecks(
      lines,
      (line) => corner(line.side, datum + line.from.level),
      (side) => corner(side, datum),
    ),
    newPieces: newPiecesOf(result, operations, ruleValue(input.rules, 'cut/kerf')),
  };
}

/** Letters of the joints and ends that a donor face makes: the nearest ones of its operation. */
function lettersAt(
  face: CutFace,
  kerf: KerfSide,
  operation: Operation,
  marks: readonly { letter: string; operation: string; donorX: number | null }[],
): string {
  const own = marks.filter((mark) => mark.operation === operation.id);
  if (kerf === 'line') return own.map((mark) => mark.letter).join(' ');
  const nearest = [...own].sort((a, b) => Math.abs((a.donorX ?? 0) - face.x) - Math.abs((b.donorX ?? 0) - face.x))[0];
  return nearest?.letter ?? operationName(operation);
}

function newPiecesOf(result: PlanResult, operations: ReadonlyMap<string, Operation>, kerf: number): NewPiece[] {
  return result.pieces.flatMap((piece, index): NewPiece[] => {
    const operation = operations.get(piece.source);
    if (!operation) return [];
    const letters = result.joints
      .filter((joint) => joint.piece === index - 1 || joint.piece === index)
      .map((joint) => joint.letter)
      .join(' ');
    return SIDES.map((side) => {
      const rail = piece.rails[side];
      return {
        letters,
        operation,
        side,
        section: rail[0]?.section ?? '',
        length: straightLength(rail),
        kerf: operation.kind === 'lengthen' ? kerf : 0,
      };
    });
  });
}

import { type Frame, railOf, type Side, SIDES } from '../frame/index.ts';
import {
  type CutFace,
  crossing,
  dotted,
  type Operation,
  operationName,
  type Piece,
  type PlanResult,
} from '../plan/index.ts';
import { distance } from '../plan/index.ts';
import type { CrossCheck, CutLine, KerfSide } from './marks.ts';
import { type MarkPlaces, type Measurer, SHARES } from './measure.ts';

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

/** Letters of the joints and ends that a donor face makes: the nearest ones of its operation. */
function lettersAt(face: CutFace, kerf: KerfSide, operation: Operation, { joints, cutEnds }: PlanResult): string {
  const own = [...joints, ...cutEnds].filter((mark) => mark.operation === operation.id);
  if (kerf === 'line') return own.map((mark) => mark.letter).join(' ');
  const nearest = [...own].sort((a, b) => Math.abs((a.donorX ?? 0) - face.x) - Math.abs((b.donorX ?? 0) - face.x))[0];
  return nearest?.letter ?? operationName(operation);
}

const INSTEAD = { butt: null, bolted: null, angled: 'angled cut', step: 'step' } as const;

/** What is cut in place of a square line, where one of the joints that it makes is decided to be something else. */
function insteadOf(letters: string, side: Side, { splices }: PlanResult): CutLine['instead'] {
  const made = splices.filter(({ joint, decided }) => decided && letters.split(' ').includes(joint.letter));
  const forms = made.flatMap(({ rails }) => rails.filter(({ rail }) => rail === side).map(({ splice }) => splice.form));
  return forms.map(({ form }) => INSTEAD[form]).find((instead) => instead !== null) ?? null;
}

/**
 * The lines to scribe on both rails of the donor, front to rear on each.
 *
 * @param frame The donor; validated.
 * @param result What the plan gives.
 * @param operations Operations of the plan by id.
 * @param measurer Measures along the donor’s rails.
 */
export function cutLines(
  frame: Frame,
  result: PlanResult,
  operations: ReadonlyMap<string, Operation>,
  measurer: Measurer,
): CutLine[] {
  const cuts = donorCuts(result.pieces);
  return SIDES.flatMap((side) =>
    cuts.flatMap(({ face, kerf }): CutLine[] => {
      const operation = operations.get(face.operation ?? '');
      if (!operation) return [];
      const rail = railOf(frame.rails, side);
      const at = (share: number) => crossing(rail, face, (id) => share * measurer.depthOf(id));
      const places: MarkPlaces = { top: at(SHARES.top), web: at(SHARES.web), bottom: at(SHARES.bottom) };
      const letters = lettersAt(face, kerf, operation, result);
      const from = measurer.from(side, places);
      const instead = insteadOf(letters, side, result);
      return [{ letters, operation, side, kerf, from, lean: places.bottom - places.top, instead }];
    }),
  );
}

/**
 * Distances that prove the lines: along the top edge from mark to mark, and straight across from the datum's corner.
 *
 * @param lines The lines to scribe.
 */
export function crossChecks(lines: readonly CutLine[], { corner, datum }: Measurer): CrossCheck[] {
  const on = (side: Side) => lines.filter((line) => line.side === side);
  const name = (line: CutLine) => {
    const paired = lines.some((other) => other !== line && other.side === line.side && other.letters === line.letters);
    return `${dotted(line.letters)}${paired ? (line.kerf === 'behind' ? ' front line' : ' rear line') : ''}`;
  };
  const along = SIDES.flatMap((side) =>
    on(side)
      .slice(1)
      .map((line, index): CrossCheck => {
        const before = on(side)[index] as CutLine;
        return {
          name: `${name(before)} to ${name(line)}, ${side}`,
          kind: 'along the top edge',
          distance: line.from.top - before.from.top,
        };
      }),
  );
  const across = SIDES.flatMap((side) =>
    on(side).map((line): CrossCheck => {
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

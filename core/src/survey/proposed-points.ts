import { type ControlPoint, type Frame, railEnds, railOf, railAt, SIDES } from '../frame/index.ts';
import { faceTop, type PlanResult } from '../plan/index.ts';
import { inches } from '../units/index.ts';

/** A control point that is proposed, before it has an id. */
export type ProposedPoint = Pick<ControlPoint, 'name' | 'x'>;

/** Inside the ends of the frame, and to each side of a cut, mm. */
const [FROM_END, FROM_CUT] = [inches(1), inches(6)];
/** Points nearer to each other than this tell the same, mm. */
const APART = inches(3);
/** A rail whose slope changes by more than this is bent, dz/dx. */
const BENT = 0.02;

/** Stations where the top of either rail bends, mm. */
function bends({ rails }: Frame): readonly ProposedPoint[] {
  return SIDES.flatMap((side) => {
    const rail = railOf(rails, side);
    return rail.slice(1, -1).flatMap(({ x }): ProposedPoint[] => {
      const [ahead, behind] = [railAt(rail, x, 'front').topSlope, railAt(rail, x, 'rear').topSlope];
      return Math.abs(behind - ahead) > BENT ? [{ name: behind > ahead ? 'Kick-up' : 'Kick-down', x }] : [];
    });
  });
}

/** Both sides of every cut of donor steel: ahead of what it is joined to, and behind. */
function besideCuts({ pieces, joints }: Pick<PlanResult, 'pieces' | 'joints'>): readonly ProposedPoint[] {
  const letter = (piece: number) => joints.find((joint) => joint.piece === piece)?.letter;
  return pieces.flatMap((piece, index): ProposedPoint[] => {
    if (piece.source !== 'donor') return [];
    const [before, after] = [letter(index - 1), letter(index)];
    return [
      ...(before ? [{ name: `Behind ${before}`, x: faceTop(piece, piece.front, 'front') + FROM_CUT }] : []),
      ...(after ? [{ name: `Ahead of ${after}`, x: faceTop(piece, piece.rear, 'rear') - FROM_CUT }] : []),
    ];
  });
}

/**
 * Where to punch control points for a plan: inside both ends, 6 in to each side of every joint, at the axles, and where the rails
 * bend; front to rear, in donor stations, mm. None on steel that is taken out, and none beside one that is there already or that
 * tells more.
 *
 * @param frame The donor; validated.
 * @param result What the plan gives.
 */
export function proposedPoints(frame: Frame, result: Pick<PlanResult, 'pieces' | 'joints'>): readonly ProposedPoint[] {
  const [front, rear] = railEnds(railOf(frame.rails, 'left'));
  const stays = (x: number) =>
    result.pieces.some(
      (piece) =>
        piece.source === 'donor' &&
        x >= faceTop(piece, piece.front, 'front') - 1e-6 &&
        x <= faceTop(piece, piece.rear, 'rear') + 1e-6,
    );
  // In the order of what each tells: of two beside each other the first is kept.
  const wanted: readonly ProposedPoint[] = [
    ...besideCuts(result),
    { name: 'Front end', x: front + FROM_END },
    { name: 'Rear end', x: rear - FROM_END },
    ...frame.axles.map(({ name, x }) => ({ name, x })),
    ...bends(frame),
  ];
  const kept: ProposedPoint[] = [];
  for (const point of wanted) {
    const isNear = (other: { readonly x: number }) => Math.abs(other.x - point.x) < APART;
    if (stays(point.x) && !kept.some(isNear) && !frame.controlPoints.some(isNear)) kept.push(point);
  }
  return kept.toSorted((a, b) => a.x - b.x);
}

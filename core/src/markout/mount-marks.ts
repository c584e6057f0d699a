import { type Frame, type Side, SIDES } from '../frame/index.ts';
import { heightOf } from '../mounting/index.ts';
import { bracketAlong, findSpot, type MountingOutcome, type Piece, type PlanResult } from '../plan/index.ts';
import type { BracketMark } from './marks.ts';
import { lettersOfPiece, type Measurer, originOn } from './measure.ts';

/** How the bracket of a mount is fixed: on which face, how far below the rail top, and what is drilled for it. */
function fixingOf({
  mounting,
  seat,
  height,
  contact,
  tag,
  name,
}: MountingOutcome): Pick<BracketMark, 'name' | 'face' | 'down' | 'diameter' | 'fixedBy'> {
  const { bracket } = mounting;
  if (bracket.form === 'none')
    return { name: `hole for ${tag}`, face: 'top', down: 0, diameter: seat.mount.hole ?? 0, fixedBy: 'hole' };
  const called = `${name} ${tag}`;
  if (bracket.form === 'perch' || bracket.form === 'old')
    return { name: called, face: 'top', down: 0, diameter: 0, fixedBy: 'weld' };
  const bolted = bracket.fixing.by === 'bolts';
  return {
    name: called,
    face: seat.sideways < 0 ? 'web-inside' : 'web-outside',
    down: Math.max(0, -(height ?? 0)) + contact.height / 2,
    diameter: bracket.fixing.by === 'bolts' ? bracket.fixing.diameter : 0,
    fixedBy: bolted ? 'bolts' : 'weld',
  };
}

/** What lies between the rail and a bracket, or the body where it has none; under an old bracket also what must go under it, mm. */
const blockOf = ({ under, block }: MountingOutcome): number => heightOf(under) + Math.max(0, block ?? 0);

/**
 * Where the brackets of a body's mounts go, and holes of those that sit on the rail: of mounts that are decided and can be
 * made. They move with the body.
 *
 * @param result What the plan gives.
 * @param measurer Measures along the donor’s rails.
 * @param frame The donor, for the sections of its rails.
 */
export function mountMarks(result: PlanResult, measurer: Measurer, frame: Pick<Frame, 'sections'>): BracketMark[] {
  const state = result.steps.at(-1)?.state ?? result.donorState;
  const depthAt = (piece: Piece, side: Side, x: number) => {
    const station = piece.rails[side].findLast((one) => one.x <= x) ?? piece.rails[side][0];
    return frame.sections.find(({ id }) => id === station?.section)?.section.depth ?? 0;
  };
  const marks = result.mountings.flatMap((outcome): BracketMark[] => {
    const { decided, problems, rail, side, seat } = outcome;
    if (!decided || problems.length > 0 || !rail) return [];
    const fixing = fixingOf(outcome);
    if (fixing.fixedBy === 'hole' && fixing.diameter === 0) return [];
    const spot = findSpot(state, { x: seat.at.x, on: 'built' });
    const piece = result.pieces[spot.index];
    if (!piece) return [];
    const { origin, along, level } = originOn(piece, lettersOfPiece(result, spot.index), measurer);
    const depth = depthAt(piece, side, spot.x);
    const half = bracketAlong(outcome) / 2;
    const share = fixing.face === 'top' || depth === 0 ? 0 : Math.min(1, fixing.down / depth);
    return [
      {
        ...fixing,
        side,
        across: fixing.face === 'top' ? rail.outer - Math.abs(seat.at.y) : null,
        block: blockOf(outcome),
        what: 'new',
        origin,
        web: along(side, spot.x, share),
        level: level(spot.x),
        ahead: half,
        behind: half,
      },
    ];
  });
  return SIDES.flatMap((side) => marks.filter((mark) => mark.side === side));
}

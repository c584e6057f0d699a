import { railAt, SIDES } from '../frame/index.ts';
import type { Section } from '../sections/index.ts';
import { isAt } from '../units/index.ts';
import { type LineOf, TOP_EDGE } from './face.ts';
import { sideOutline } from './outline.ts';
import { endCrossing, type Piece } from './piece.ts';
import { posed } from './pose.ts';

/** An end of the frame: its farthest corner along the frame, of both rails, mm. */
export interface FrameEnd {
  readonly x: number;
  /** Height of the top edge of the rails there, mm. */
  readonly top: number;
  /** Which corner is the farthest; null where the end stands square. */
  readonly corner: 'top' | 'bottom' | null;
}

/** Both ends of the frame. */
export interface FrameEnds {
  readonly front: FrameEnd;
  readonly rear: FrameEnd;
}

/** How an end is called in words: `end of the frame, lower corner`. */
export const endWords = ({ corner }: FrameEnd): string =>
  corner === null ? 'end of the frame' : `end of the frame, ${corner === 'top' ? 'upper' : 'lower'} corner`;

function endOf(pieces: readonly Piece[], end: 'front' | 'rear', sectionOf: (id: string) => Section): FrameEnd {
  const way = end === 'rear' ? 1 : -1;
  let farthest: FrameEnd = { x: -way * Infinity, top: 0, corner: null };
  for (const piece of pieces)
    for (const side of SIDES) {
      const xs = sideOutline(piece, side, sectionOf).map(([x]) => x);
      const x = end === 'rear' ? Math.max(...xs) : Math.min(...xs);
      if (way * x <= way * farthest.x) continue;
      const rail = piece.rails[side];
      const cornerAt = (line: LineOf) => {
        const at = endCrossing(piece, side, end, line);
        const { top, section } = railAt(rail, at, end === 'rear' ? 'front' : 'rear');
        return posed(piece.pose, at, top - line(section));
      };
      const [upper, lower] = [cornerAt(TOP_EDGE), cornerAt((id) => sectionOf(id).depth)];
      const corner = isAt(upper.x, lower.x) ? null : way * upper.x > way * lower.x ? 'top' : 'bottom';
      farthest = { x, top: upper.z, corner };
    }
  return farthest;
}

/**
 * Where a frame ends: overhangs, its length and what is laid on it are measured to these.
 *
 * @param pieces The pieces of the frame, one at least.
 * @param sectionOf Looks a section up by its id.
 */
export const frameEnds = (pieces: readonly Piece[], sectionOf: (id: string) => Section): FrameEnds => ({
  front: endOf(pieces, 'front', sectionOf),
  rear: endOf(pieces, 'rear', sectionOf),
});

import { whereIs } from './locate.ts';
import { isWithin } from '../units/index.ts';
import { faceAt, facesOf } from './face.ts';
import { holds, holdsInside, type Piece } from './piece.ts';
import type { PlanState } from './state.ts';

/** What became of something attached to the frame. */
export type AttachmentStatus =
  | 'stays'
  | 'moves'
  /** Taken off and put back elsewhere: through new holes, or with a new weld. */
  | 're-drill'
  | 're-weld'
  | 'new'
  | 'removed'
  /** On steel that was taken out. */
  | 'lost'
  /** A cut runs through it. */
  | 'cut-through';

/** A stretch of a piece over some heights, local: each of them is looked at. */
export interface Extent {
  readonly from: number;
  readonly to: number;
  readonly zs: readonly number[];
}

type ExtentStatus =
  | { readonly status: 'kept'; readonly piece: number }
  | { readonly status: 'lost'; readonly operation: string | null }
  | { readonly status: 'cut-through'; readonly operation: string | null };

/**
 * The piece an extent lies on whole, at all of its heights, or what happened to it. Where it lies on a face of two, the front one.
 * The piece at `guess` is looked at first.
 *
 * @param state The frame in work.
 * @param source Whose coordinates: `donor`, or the id of the operation that added the steel.
 * @param extent A stretch at one height, in the steel’s own coordinates, mm.
 * @param guess Index of the piece to look at first.
 */
export function statusOfExtent(state: PlanState, source: string, extent: Extent, guess = 0): ExtentStatus {
  const { pieces } = state;
  const near = pieces[guess];
  const { from, to, zs } = extent;
  if (near?.source === source && zs.every((z) => holdsInside(near, from, z) && holdsInside(near, to, z)))
    return { status: 'kept', piece: guess };
  for (let index = 0; index < pieces.length; index += 1) {
    const piece = pieces[index] as Piece;
    if (piece.source === source && zs.every((z) => holds(piece, from, z) && holds(piece, to, z)))
      return { status: 'kept', piece: index };
  }
  const ends = zs.flatMap((z) => [from, to].map((x) => whereIs(state, source, x, z)));
  const takers = ends.flatMap((end) => (end.at === 'removed' ? [end.operation] : []));
  if (takers.length === ends.length) return { status: 'lost', operation: takers[0] ?? null };
  return { status: 'cut-through', operation: takers[0] ?? cutterBetween(state, source, extent) };
}

/** The frame ahead of an operation that moved or took off something; undefined where there is none such. */
export type StateBefore = (operation: string | null) => PlanState | undefined;

/**
 * The operation that cut through an extent of the donor while it still hung there; null where none did.
 *
 * @param state The frame ahead of the operation; undefined where there is none such.
 * @param extent A stretch of the donor at one height, mm.
 */
export function cutThroughBefore(state: PlanState | undefined, extent: Extent): string | null {
  if (!state) return null;
  const lies = statusOfExtent(state, 'donor', extent);
  return lies.status === 'cut-through' ? lies.operation : null;
}

/** The operation whose face runs through an extent, if one. */
function cutterBetween(state: PlanState, source: string, extent: Extent): string | null {
  for (const piece of state.pieces)
    for (const face of [...facesOf(piece.front), ...facesOf(piece.rear)]) {
      const cuts = extent.zs.some((z) => isWithin(faceAt(face, z), extent));
      if (piece.source === source && face.operation && cuts) return face.operation;
    }
  return null;
}

import { whereIs } from './locate.ts';
import { TOLERANCE } from '../units/index.ts';
import { faceAt, facesOf } from './face.ts';
import { holds, holdsInside, type Piece } from './piece.ts';
import type { PlanState } from './state.ts';

/** What became of something attached to the frame. */
export type Fate =
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

/** A stretch of a piece at one height, local. */
interface Extent {
  readonly from: number;
  readonly to: number;
  readonly z: number;
}

type ExtentFate =
  | { readonly fate: 'kept'; readonly piece: number }
  | { readonly fate: 'lost'; readonly operation: string | null }
  | { readonly fate: 'cut-through'; readonly operation: string | null };

/**
 * The piece an extent lies on whole, or what happened to it. Where it lies on a face of two, the front one. The piece
 * at `guess` is looked at first.
 *
 * @param state The frame in work.
 * @param source Whose coordinates: `donor`, or the id of the operation that added the steel.
 * @param extent A stretch at one height, in the steel’s own coordinates, mm.
 * @param guess Index of the piece to look at first.
 */
export function fateOfExtent(state: PlanState, source: string, extent: Extent, guess = 0): ExtentFate {
  const { pieces } = state;
  const near = pieces[guess];
  if (near?.source === source && holdsInside(near, extent.from, extent.z) && holdsInside(near, extent.to, extent.z))
    return { fate: 'kept', piece: guess };
  for (let index = 0; index < pieces.length; index += 1) {
    const piece = pieces[index] as Piece;
    if (piece.source === source && holds(piece, extent.from, extent.z) && holds(piece, extent.to, extent.z))
      return { fate: 'kept', piece: index };
  }
  const ends = [extent.from, extent.to].map((x) => whereIs(state, source, x, extent.z));
  const [a, b] = ends as [ReturnType<typeof whereIs>, ReturnType<typeof whereIs>];
  if (a.at === 'removed' && b.at === 'removed') return { fate: 'lost', operation: a.operation };
  const remover = a.at === 'removed' ? a.operation : b.at === 'removed' ? b.operation : null;
  return { fate: 'cut-through', operation: remover ?? cutterBetween(state, source, extent) };
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
  const lies = fateOfExtent(state, 'donor', extent);
  return lies.fate === 'cut-through' ? lies.operation : null;
}

/** The operation whose face runs through an extent, if one. */
function cutterBetween(state: PlanState, source: string, extent: Extent): string | null {
  for (const piece of state.pieces)
    for (const face of [...facesOf(piece.front), ...facesOf(piece.rear)]) {
      const x = faceAt(face, extent.z);
      if (piece.source === source && face.operation && x >= extent.from - TOLERANCE && x <= extent.to + TOLERANCE)
        return face.operation;
    }
  return null;
}

import {
  type Brace,
  type Crossmember,
  type Feature,
  type Frame,
  type Member,
  railEnds,
  railOf,
} from '../frame/index.ts';
import type { Box } from './operations/box.ts';
import type { Notch } from './operations/notch.ts';
import type { CutFace } from './face.ts';
import type { Piece, RemovedPiece } from './piece.ts';
import { STAY } from './pose.ts';

/** A feature or crossmember and the local coordinates its `x` is in. */
export interface Hung<T> {
  readonly item: T;
  readonly source: string;
  /** What an operation did to it on purpose. */
  readonly change: 'none' | 'added' | 'removed' | 'moved' | 'lowered' | 'thinned';
  readonly operation: string | null;
}

/** A member or a brace of the donor, and what an operation did to it on purpose. */
interface Beside<T, C> {
  readonly item: T;
  readonly change: 'none' | 'removed' | C;
  readonly operation: string | null;
}
export type HungMember = Beside<Member, 're-fitted'>;
export type HungBrace = Beside<Brace, 'remade'>;

/** A notch or a boxing plate on a piece, in local coordinates. */
export interface Rework {
  readonly operation: Notch | Box;
  readonly source: string;
  readonly from: number;
  readonly to: number;
}

/** The frame in work: what every operation takes and gives. */
export interface PlanState {
  readonly pieces: readonly Piece[];
  readonly removed: readonly RemovedPiece[];
  readonly features: readonly Hung<Feature>[];
  readonly crossmembers: readonly Hung<Crossmember>[];
  readonly members: readonly HungMember[];
  readonly braces: readonly HungBrace[];
  readonly reworks: readonly Rework[];
}

/**
 * The frame in work before any operation: the donor as one piece.
 *
 * @param frame The donor; validated.
 */
export function donorState(frame: Frame): PlanState {
  const rails = { left: railOf(frame.rails, 'left'), right: railOf(frame.rails, 'right') };
  const [frontX, rearX] = [railEnds(rails.left), railEnds(rails.right)].reduce(
    ([front, rear], [otherFront, otherRear]) => [Math.min(front, otherFront), Math.max(rear, otherRear)],
    [Infinity, -Infinity] as const,
  );
  const end = (x: number): CutFace => ({ x, z: 0, lean: 0 });
  const hang = <T>(item: T): Hung<T> => ({ item, source: 'donor', change: 'none', operation: null });
  return {
    pieces: [{ source: 'donor', rails, front: end(frontX), rear: end(rearX), pose: STAY, spread: 0 }],
    removed: [],
    features: frame.features.map(hang),
    crossmembers: frame.crossmembers.map(hang),
    members: frame.members.map((item) => ({ item, change: 'none', operation: null })),
    braces: frame.braces.map((item) => ({ item, change: 'none', operation: null })),
    reworks: [],
  };
}

/** Why an operation could not be carried out as given. */
export interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly fixes: readonly string[];
}

export class OperationRefused extends Error {
  readonly refusal: Refusal;
  constructor(code: string, message: string, fixes: readonly string[] = []) {
    super(message);
    this.refusal = { code, message, fixes };
  }
}

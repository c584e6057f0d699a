import { type Crossmember, railAt, type Vec3 } from '../frame/index.ts';
import { sectionProperties } from '../sections/index.ts';
import type { Context } from './context.ts';
import {
  cutThroughBefore,
  type Extent,
  type AttachmentStatus,
  statusOfExtent,
  type StateBefore,
} from './attachment-status.ts';
import { steelOf, topAt } from './locate.ts';
import { meanTop, type Piece } from './piece.ts';
import { posed } from './pose.ts';
import type { Hung, PlanState } from './state.ts';

export interface CrossmemberOutcome {
  readonly crossmember: Crossmember;
  readonly status: AttachmentStatus;
  readonly reason: string;
  readonly operation: string | null;
  readonly donor: Vec3 | null;
  /** Middle of its top, on the center line. */
  readonly built: Vec3 | null;
  readonly turn: number;
  /** How much wider it must become, mm. */
  readonly wider: number;
  /** As weighed; else of its section from rail to rail, as long as it then is; 0 where it has no section, kg. */
  readonly mass: number;
  /** From web to web on the built frame, mm: what a new one is cut to; null where it is not there. */
  readonly cutLength: number | null;
  readonly piece: number | null;
  /** The operation that cuts through it before the plan takes it out or moves it; null where none does. */
  readonly cutBefore: string | null;
}

/** Outside width of the frame at local x. */
const widthAt = (piece: Piece, x: number): number =>
  railAt(piece.rails.left, x).halfWidth + railAt(piece.rails.right, x).halfWidth + 2 * piece.spread;

/** What a crossmember takes up of the rail, from its top to its underside as far as the rail is beside it. */
function extentOf({ x, length, below, depth }: Crossmember, piece: Piece, context: Context): Extent {
  const { top } = meanTop(piece, x);
  const rail = context.section(railAt(piece.rails.left, x).section).depth;
  const within = (down: number): number => top - Math.min(rail, Math.max(0, down));
  const [upper, lower] = [within(below), within(below + depth)];
  return { from: x - length / 2, to: x + length / 2, zs: [upper, (upper + lower) / 2, lower] };
}

/** From web to web at local x, mm. */
const betweenWebs = (piece: Piece, x: number, context: Context): number =>
  widthAt(piece, x) - 2 * context.section(railAt(piece.rails.left, x).section).thickness;

/** Mass of a crossmember on a piece, kg. */
function massOf({ x, mass, section }: Crossmember, piece: Piece, context: Context): number {
  if (mass !== undefined) return mass;
  if (section === undefined) return 0;
  return sectionProperties(context.section(section)).area * betweenWebs(piece, x, context) * context.density;
}

const verb = (state: PlanState, operation: string | null): string => {
  const wedge = state.removed.some((piece) => piece.operation === operation);
  return wedge ? 'taken out' : 'cut';
};

/**
 * What became of a crossmember.
 *
 * @param state The frame in work.
 * @param hung The crossmember, and what the plan did to it on purpose.
 * @param donor Where and what it was on the donor.
 * @param before Gives the frame ahead of an operation.
 * @param context Sections, rules and how lengths are written.
 */
export function crossmemberOutcome(
  state: PlanState,
  hung: Hung<Crossmember>,
  donor: { readonly piece: Piece; readonly crossmember: Crossmember | undefined },
  before: StateBefore,
  context: Context,
): CrossmemberOutcome {
  const { item, source, change, operation } = hung;
  const was = donor.crossmember;
  const donorPlace = was ? { x: was.x, y: 0, z: meanTop(donor.piece, was.x).top - was.below } : null;
  const top = topAt(state, source, item.x);
  const cutBefore =
    was && (change === 'removed' || change === 'moved')
      ? cutThroughBefore(before(operation), extentOf(was, donor.piece, context))
      : null;
  const nowhere = (status: AttachmentStatus, reason: string, by: string | null): CrossmemberOutcome => ({
    crossmember: item,
    status,
    reason,
    operation: by,
    donor: donorPlace,
    built: null,
    turn: 0,
    wider: 0,
    mass: 0,
    cutLength: null,
    piece: null,
    cutBefore,
  });
  if (change === 'removed') return nowhere('removed', 'taken out by the plan', operation);
  const steel = steelOf(state, source);
  if (!steel) return nowhere('lost', 'on steel that is taken out', null);
  const lies = statusOfExtent(state, source, extentOf(item, steel, context));
  if (lies.status !== 'kept')
    return nowhere(
      lies.status,
      lies.status === 'lost' ? 'on steel that is taken out' : `${verb(state, lies.operation)} in part`,
      lies.operation,
    );
  const piece = state.pieces[lies.piece] as Piece;
  const at = posed(piece.pose, item.x, top - item.below);
  const built = { x: at.x, y: 0, z: at.z };
  const still =
    donorPlace !== null && Math.hypot(built.x - donorPlace.x, built.z - donorPlace.z) < 1e-6 && piece.pose.turn === 0;
  const status: AttachmentStatus =
    change === 'added'
      ? 'new'
      : change === 'none'
        ? still
          ? 'stays'
          : 'moves'
        : item.fixing === 'welded'
          ? 're-weld'
          : 're-drill';
  const reason =
    change === 'added'
      ? 'added by the plan'
      : change === 'none'
        ? still
          ? 'not moved'
          : 'goes along with its piece'
        : `${change} by the plan`;
  const wider = change === 'added' || !was ? 0 : widthAt(piece, item.x) - widthAt(donor.piece, was.x);
  return {
    crossmember: item,
    status,
    reason,
    operation,
    donor: donorPlace,
    built,
    turn: piece.pose.turn,
    wider: Math.abs(wider) < 1e-6 ? 0 : wider,
    mass: massOf(item, piece, context),
    cutLength: betweenWebs(piece, item.x, context),
    piece: lies.piece,
    cutBefore,
  };
}

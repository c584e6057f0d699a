import {
  copiesOf,
  type Member,
  type MemberPoint,
  memberPlace,
  type RailId,
  railIdOf,
  type Side,
  sideSign,
  type Vec3,
} from '../../frame/index.ts';
import { sectionProperties, widthOf } from '../../sections/index.ts';
import { isAt } from '../../units/index.ts';
import type { Context } from '../context.ts';
import { carrierOf } from '../locate.ts';
import type { Piece } from '../piece.ts';
import { distance, posed } from '../pose.ts';
import type { HungMember, PlanState } from '../state.ts';
import { type LegAnchor, type LegAxis, refittedLeg, type RefittedLeg } from './leg.ts';
import { type MemberMeeting, meetingOf } from './meeting.ts';
import { distanceAlong, type MemberRun, outwardShift, pathLength, placedRun, runOn } from './runs.ts';

/** One copy of a member that is re-fitted between its two ends. */
interface Refit extends RefittedLeg {
  readonly from: Vec3;
  readonly to: Vec3;
}

/** One copy of a member on the built frame. */
export interface MemberCopy {
  readonly rail: RailId;
  readonly side: Side;
  readonly donor: readonly Vec3[];
  /** What there is of it now, front to rear, as lines in space: its own steel, and what is put in to re-fit it. */
  readonly built: readonly {
    readonly points: readonly Vec3[];
    readonly piece: number | null;
    readonly isNew: boolean;
  }[];
  /** What comes out of it, where it stood on the donor. */
  readonly removed: readonly { readonly points: readonly Vec3[]; readonly operation: string }[];
  /** Where it is cut through: along its own center line from its front end, mm, and the piece ahead of the cut. */
  readonly cuts: readonly { readonly along: number; readonly piece: number; readonly end: 'ahead' | 'behind' }[];
  /** How its cut ends meet; none where it is re-fitted. */
  readonly meetings: readonly MemberMeeting[];
  readonly refit: Refit | null;
  /** How far each end has come from what it is fixed to, outward, mm: 0 where it still lies there. */
  readonly parted: { readonly front: number; readonly rear: number };
  readonly lengthBefore: number;
  readonly lengthAfter: number;
}

/** What became of a member. */
export interface MemberOutcome {
  readonly member: Member;
  readonly status: 'stays' | 'moves' | 'cut' | 're-fitted' | 'removed' | 'lost';
  /** The operation that decided it, if one. */
  readonly operation: string | null;
  readonly copies: readonly MemberCopy[];
  /** Of all copies as built, and as they were, kg. */
  readonly mass: number;
  readonly massBefore: number;
}

const lineLength = (points: readonly Vec3[]): number =>
  points.slice(1).reduce((sum, point, index) => sum + distance(points[index] as Vec3, point), 0);

/** How far the end of a member goes outward with what it is fixed to, when its piece's rails move apart, mm. */
function outwardOfEnd({ front, rear, path }: Member, end: 'front' | 'rear', piece: Piece): number {
  const { on } = end === 'front' ? front : rear;
  const { outward } = path[end === 'front' ? 0 : path.length - 1] as MemberPoint;
  const toOwnSide = outward >= 0;
  if (on === 'own-rail') return piece.spread;
  if (on === 'other-rail') return -piece.spread;
  // In the middle of a crossmember it stays in the middle, however much wider that becomes.
  return on === 'free' || isAt(outward, 0) ? 0 : toOwnSide ? piece.spread : -piece.spread;
}

/** The piece that a vertex of a member's path rides on; null where its steel was taken out. */
function pieceUnder(state: PlanState, { x }: MemberPoint): { readonly piece: Piece; readonly index: number } | null {
  const under = carrierOf(state, x);
  return 'index' in under ? { piece: state.pieces[under.index] as Piece, index: under.index } : null;
}

function anchorAt(state: PlanState, member: Member, side: Side, index: number): LegAnchor | null {
  const point = member.path[index] as MemberPoint;
  const under = pieceUnder(state, point);
  if (!under) return null;
  const { piece } = under;
  const end = index === 0 ? 'front' : index === member.path.length - 1 ? 'rear' : null;
  const shift = end ? outwardOfEnd(member, end, piece) : outwardShift({ points: [point], piece });
  const at = posed(piece.pose, point.x, point.z);
  return {
    donor: memberPlace(point, side),
    built: { x: at.x, y: sideSign(side) * (point.outward + shift), z: at.z },
    turn: piece.pose.turn,
  };
}

/** The runs of a copy on the frame as it is, front to rear. */
function runsOf({ pieces }: PlanState, member: Member, side: Side): MemberRun[] {
  return pieces.flatMap((piece, index) => {
    if (piece.source !== 'donor') return [];
    const [before, after] = [pieces[index - 1]?.rear, pieces[index + 1]?.front];
    const run = runOn(member, side, piece, index, {
      ...(before ? { front: before } : {}),
      ...(after ? { rear: after } : {}),
    });
    return run ? [run] : [];
  });
}

/** How far an end of a member lies from where what it is fixed to has gone, outward, mm. */
function partedAt(member: Member, run: MemberRun | undefined, end: 'front' | 'rear'): number {
  if (!run || run.cut[end]) return 0;
  return outwardOfEnd(member, end, run.piece) - outwardShift(run);
}

/**
 * Where a re-fitted leg is cut: in the straight stretch that the plan's first cut runs through, at that cut; a leg that no cut runs
 * through is cut in the middle of its longest stretch.
 */
function refitAxis(
  { path }: Member,
  side: Side,
  meetings: readonly MemberMeeting[],
  runs: readonly MemberRun[],
): LegAxis {
  const points = path.map((point) => memberPlace(point, side));
  const first = meetings[0];
  const cut = first && runs.find(({ index }) => index === first.pieces[0])?.points.at(-1);
  if (cut) {
    const next = path.findIndex(({ x }) => x >= cut.x);
    return { path: points, stretch: Math.max(0, next - 1), along: distanceAlong(path, cut) };
  }
  const lengths = points.slice(1).map((point, index) => distance(points[index] as Vec3, point));
  return { path: points, stretch: lengths.indexOf(Math.max(...lengths)) };
}

function copyOf(state: PlanState, hung: HungMember, side: Side, context: Context): MemberCopy {
  const { item: member, change } = hung;
  const section = context.section(member.section);
  const runs = change === 'removed' ? [] : runsOf(state, member, side);
  const meetings = runs.slice(1).map((behind, index) => meetingOf(runs[index] as MemberRun, behind, section.depth));
  const parted = {
    front: partedAt(member, runs[0], 'front'),
    rear: partedAt(member, runs.at(-1), 'rear'),
  };
  const removed = state.removed.flatMap((piece) => {
    const run = piece.source === 'donor' ? runOn(member, side, piece, null) : null;
    return run ? [{ points: run.points.map((point) => memberPlace(point, side)), operation: piece.operation }] : [];
  });
  const cuts = runs.flatMap((run) => {
    const [first, last] = [run.points[0] as MemberPoint, run.points.at(-1) as MemberPoint];
    const index = run.index ?? 0;
    return [
      ...(run.cut.front
        ? [{ along: distanceAlong(member.path, first), piece: index - 1, end: 'behind' as const }]
        : []),
      ...(run.cut.rear ? [{ along: distanceAlong(member.path, last), piece: index, end: 'ahead' as const }] : []),
    ];
  });
  const common = {
    rail: railIdOf(member.id, side),
    side,
    cuts,
    donor: member.path.map((point) => memberPlace(point, side)),
    removed,
    parted,
    lengthBefore: pathLength(member.path),
  };
  const refit = change === 're-fitted' ? refitOf(state, member, side, meetings, runs, section) : null;
  if (refit) {
    return {
      ...common,
      built: [{ points: refit.points, piece: null, isNew: true }],
      meetings: [],
      refit,
      parted: { front: 0, rear: 0 },
      lengthAfter: lineLength(refit.points),
    };
  }
  const built = runs.map((run) => ({ points: placedRun(run), piece: run.index, isNew: false }));
  return {
    ...common,
    built,
    meetings,
    refit: null,
    lengthAfter:
      built.reduce((sum, { points }) => sum + lineLength(points), 0) +
      meetings.reduce((sum, { fill, pieces }) => sum + (pieces[1] - pieces[0] > 1 ? Math.max(0, fill) : 0), 0),
  };
}

function refitOf(
  state: PlanState,
  member: Member,
  side: Side,
  meetings: readonly MemberMeeting[],
  runs: readonly MemberRun[],
  section: Parameters<typeof widthOf>[0],
): Refit | null {
  const [front, rear] = [0, member.path.length - 1].map((index) => anchorAt(state, member, side, index));
  if (!front || !rear) return null;
  const axis = refitAxis(member, side, meetings, runs);
  const leg = refittedLeg(front, rear, { width: widthOf(section), depth: section.depth }, axis);
  return { ...leg, from: front.built, to: rear.built };
}

const still = ({ donor, built }: MemberCopy): boolean =>
  built.length === 1 &&
  donor.every((point, index) => distance(point, built[0]?.points[index] ?? { x: NaN, y: 0, z: 0 }) < 1e-6);

/**
 * What became of a member of the donor, in the frame as it now is.
 *
 * @param state The frame in work.
 * @param hung The member, and what the plan did to it on purpose.
 * @param context Sections, rules and how lengths are written.
 */
export function memberOutcome(state: PlanState, hung: HungMember, context: Context): MemberOutcome {
  const { item: member, change, operation } = hung;
  const copies = copiesOf(member).map((side) => copyOf(state, hung, side, context));
  const perLength = sectionProperties(context.section(member.section)).area * context.density;
  const whole = copies.every(({ meetings }) => meetings.length === 0);
  const gone = copies.every(({ built }) => built.length === 0);
  const cutter = copies.flatMap(({ removed }) => removed.map((part) => part.operation))[0] ?? null;
  const status =
    change === 'removed'
      ? 'removed'
      : gone
        ? 'lost'
        : change === 're-fitted' && copies.some(({ refit }) => refit !== null)
          ? 're-fitted'
          : !whole || copies.some(({ removed }) => removed.length > 0)
            ? 'cut'
            : copies.every(still)
              ? 'stays'
              : 'moves';
  return {
    member,
    status,
    operation: operation ?? (status === 'cut' || status === 'lost' ? cutter : null),
    copies,
    mass: perLength * copies.reduce((sum, { lengthAfter }) => sum + lengthAfter, 0),
    massBefore: perLength * copies.reduce((sum, { lengthBefore }) => sum + lengthBefore, 0),
  };
}

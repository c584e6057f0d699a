import { type ByRail, railAt, type RailId, type Side, SIDES } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import { widthOf } from '../sections/index.ts';
import { inches } from '../units/index.ts';
import type { Context } from './context.ts';
import { jointIdsOf, operationAt } from './joint-ids.ts';
import type { MemberMeeting, MemberOutcome } from './members/index.ts';
import { type Operation, turnsRail } from './operations/index.ts';
import { endCrossing, type Piece, type RailEnd, railEnd } from './piece.ts';
import { posed } from './pose.ts';
import type { PlanState } from './state.ts';

export const JOINT_VERDICTS = ['meets', 'dress', 'ease-with-a-pie-cut', 'needs-a-transition-piece', 'cannot'] as const;
export type JointVerdict = (typeof JOINT_VERDICTS)[number];

/** How the two ends of one rail meet: rear end minus front end, mm and radians, at the top edge of the outside face. */
export interface JointSide {
  /** Opening along the rail at the top and at the bottom edge; below 0 the ends overlap. */
  readonly gapTop: number;
  readonly gapBottom: number;
  readonly dy: number;
  readonly dz: number;
  readonly yaw: number;
  readonly pitch: number;
  /** Section difference, rear minus front: depth, width, wall. */
  readonly depth: number;
  readonly width: number;
  readonly wall: number;
  readonly verdict: JointVerdict;
}

export interface Joint {
  /** Names it whatever is cut elsewhere: the operation that made it, and which of its joints it is from the front. */
  readonly id: string;
  /** `A`, `B` … from front to rear, shared with the free ends that the plan cuts. */
  readonly letter: string;
  readonly operation: string;
  /** Index of the piece ahead of the joint; the next one is behind it. */
  readonly piece: number;
  /** Built station of the joint on the top edge, and the donor station where either end is donor steel. */
  readonly builtX: number;
  readonly donorX: number | null;
  /** Each rail's ends, and those of each copy of a member that runs through here. */
  readonly sides: ByRail<JointSide>;
  readonly verdict: JointVerdict;
  /** True where the kink is what the plan asks for (pie cut, step, transition). */
  readonly plannedKink: boolean;
}

/**
 * The worst of several verdicts.
 *
 * @param verdicts Any number; of none, the ends meet.
 */
export const worstVerdict = (verdicts: readonly JointVerdict[]): JointVerdict =>
  verdicts.reduce(
    (worst, verdict) => (JOINT_VERDICTS.indexOf(verdict) > JOINT_VERDICTS.indexOf(worst) ? verdict : worst),
    'meets',
  );

/** What is judged of two ends: how far they lie apart across the rail, how they are turned, what gapes or overlaps. */
interface Fit {
  readonly offset: number;
  readonly kink: number;
  readonly opening: number;
  readonly overlap: number;
  readonly sectionStep: number;
}

function verdictOf({ offset, kink, opening, overlap, sectionStep }: Fit, rules: Rulebook): JointVerdict {
  if (offset > ruleValue(rules, 'joint/transition')) return 'cannot';
  if (offset > ruleValue(rules, 'joint/dress')) return 'needs-a-transition-piece';
  if (kink > ruleValue(rules, 'joint/pie-limit')) return 'needs-a-transition-piece';
  if (opening > ruleValue(rules, 'joint/gap')) return 'needs-a-transition-piece';
  if (kink > ruleValue(rules, 'joint/straight') || overlap > ruleValue(rules, 'joint/gap'))
    return 'ease-with-a-pie-cut';
  if (sectionStep > ruleValue(rules, 'joint/dress')) return 'needs-a-transition-piece';
  return Math.max(offset, sectionStep, opening, overlap) > ruleValue(rules, 'joint/meets') ? 'dress' : 'meets';
}

/** Where a piece's face meets the bottom edge of one rail, present. */
function bottomEdge(piece: Piece, side: Side, end: 'front' | 'rear', context: Context) {
  const depth = (section: string) => context.section(section).depth;
  const x = endCrossing(piece, side, end, depth);
  const { top, section } = railAt(piece.rails[side], x, end === 'front' ? 'rear' : 'front');
  return posed(piece.pose, x, top - depth(section));
}

/** One rail's end at a joint, and the piece it is the end of. */
interface EndOf {
  readonly piece: Piece;
  readonly end: RailEnd;
}

function jointSide(
  side: Side,
  { piece: front, end: a }: EndOf,
  { piece: rear, end: b }: EndOf,
  planned: boolean,
  context: Context,
): JointSide {
  const [sectionA, sectionB] = [context.section(a.section), context.section(b.section)];
  const along = { x: Math.cos(front.pose.turn), z: Math.sin(front.pose.turn) };
  const [dx, dy, dz] = [b.point.x - a.point.x, b.point.y - a.point.y, b.point.z - a.point.z];
  const [bottomA, bottomB] = [bottomEdge(front, side, 'rear', context), bottomEdge(rear, side, 'front', context)];
  const gapTop = dx * along.x + dz * along.z;
  const gapBottom = (bottomB.x - bottomA.x) * along.x + (bottomB.z - bottomA.z) * along.z;
  const sideways = { y: dy, z: dz * along.x - dx * along.z };
  const [yaw, pitch] = [b.yaw - a.yaw, b.pitch - a.pitch];
  const depth = sectionB.depth - sectionA.depth;
  const width = widthOf(sectionB) - widthOf(sectionA);
  const kink = planned ? 0 : Math.hypot(yaw, pitch);
  return {
    gapTop,
    gapBottom,
    dy,
    dz,
    yaw,
    pitch,
    depth,
    width,
    wall: sectionB.thickness - sectionA.thickness,
    verdict: verdictOf(
      {
        offset: Math.hypot(sideways.y, sideways.z),
        kink,
        opening: Math.max(gapTop, gapBottom),
        overlap: -Math.min(gapTop, gapBottom),
        sectionStep: Math.max(Math.abs(depth), Math.abs(width)),
      },
      context.rules,
    ),
  };
}

/** How far apart the ends of the worse rail are across its line, mm. */
const apart = ({ sides }: Joint): number =>
  Math.max(...SIDES.map((side) => Math.hypot(sides[side].dy, sides[side].dz)));

/** The side of a joint whose ends fit worse. */
export const worseSide = ({ sides }: Pick<Joint, 'sides'>): JointSide => {
  const misfit = ({ dy, dz, gapTop, gapBottom }: JointSide) => Math.hypot(dy, dz, gapTop, gapBottom);
  return railsOf({ sides })
    .map(([, side]) => side)
    .reduce((worst, side) => {
      const [a, b] = [JOINT_VERDICTS.indexOf(worst.verdict), JOINT_VERDICTS.indexOf(side.verdict)];
      if (a !== b) return b > a ? side : worst;
      return misfit(side) > misfit(worst) + 1e-9 ? side : worst;
    });
};

/** Every rail and member of a joint with how its ends meet: the two rails first. */
export const railsOf = ({ sides }: Pick<Joint, 'sides'>): readonly (readonly [RailId, JointSide])[] =>
  Object.entries(sides) as [RailId, JointSide][];

/** How a member's ends meet at the joint between piece `index` and the next; null where it does not run through there. */
function memberSide(meeting: MemberMeeting, index: number, planned: boolean, { rules }: Context): JointSide | null {
  const [ahead, behind] = meeting.pieces;
  if (index < ahead || index >= behind) return null;
  const filled = behind - ahead > 1;
  // New member goes on in the rear part's line: at its rear end it meets that, ahead it shows how far the line lies off.
  if (filled && index > ahead) return index === behind - 1 ? MEETS : null;
  const { yaw, pitch, lineOffset, front, rear } = meeting;
  const [dy, dz] = filled ? [lineOffset.dy, lineOffset.dz] : [rear.y - front.y, rear.z - front.z];
  const [gapTop, gapBottom] = filled ? [0, 0] : [meeting.gapTop, meeting.gapBottom];
  const fit = {
    offset: filled ? Math.hypot(dy, dz) : meeting.square,
    kink: planned ? 0 : Math.hypot(yaw, pitch),
    opening: Math.max(gapTop, gapBottom),
    overlap: -Math.min(gapTop, gapBottom),
    sectionStep: 0,
  };
  return { gapTop, gapBottom, dy, dz, yaw, pitch, depth: 0, width: 0, wall: 0, verdict: verdictOf(fit, rules) };
}

const MEETS: JointSide = {
  gapTop: 0,
  gapBottom: 0,
  dy: 0,
  dz: 0,
  yaw: 0,
  pitch: 0,
  depth: 0,
  width: 0,
  wall: 0,
  verdict: 'meets',
};

/**
 * The length of a transition piece that joins two ends which do not meet, mm: the shortest, to a whole inch or
 * centimetre, that turns the rail by no more than half of what the rulebook allows, since a taper may add the other
 * half. Null where none is needed, and where the ends are farther apart than the rulebook lets one reach.
 *
 * @param joint The joint.
 */
export function transitionFor(joint: Joint, { rules, display }: Pick<Context, 'rules' | 'display'>): number | null {
  const offset = apart(joint);
  if (offset <= ruleValue(rules, 'joint/dress') || offset > ruleValue(rules, 'joint/transition')) return null;
  const shortest = offset / Math.tan(ruleValue(rules, 'joint/transition-turn') / 2);
  const step = display.unit === 'in' ? inches(1) : 10;
  return Number.isFinite(shortest) ? Math.ceil(shortest / step) * step : null;
}

/**
 * The letter of a count from 0: A … Z, AA, AB …
 *
 * @param count A whole number from 0.
 */
export function letterOf(count: number): string {
  const letter = String.fromCharCode(65 + (count % 26));
  return count < 26 ? letter : letterOf(Math.floor(count / 26) - 1) + letter;
}

/**
 * Every joint of the frame in work, front to rear; `made` finds the operation that made it.
 *
 * @param state The frame in work.
 * @param made Finds the operation that made a joint.
 * @param members What became of each member.
 * @param context Sections, rules and how lengths are written.
 */
export function jointsOf(
  state: PlanState,
  made: (operation: string) => Operation | undefined,
  members: readonly MemberOutcome[],
  context: Context,
): Omit<Joint, 'letter'>[] {
  const meetings = members.flatMap(({ copies }) => copies.flatMap((copy) => copy.meetings));
  const ids = jointIdsOf(state);
  return state.pieces.slice(0, -1).map((front, index) => {
    const rear = state.pieces[index + 1] as Piece;
    const operation = operationAt(front, rear);
    const maker = made(operation);
    const plannedKink = maker !== undefined && turnsRail(maker);
    const ahead = { left: railEnd(front, 'left', 'rear'), right: railEnd(front, 'right', 'rear') };
    const behind = { left: railEnd(rear, 'left', 'front'), right: railEnd(rear, 'right', 'front') };
    const sideOf = (side: Side) =>
      jointSide(side, { piece: front, end: ahead[side] }, { piece: rear, end: behind[side] }, plannedKink, context);
    const beside = meetings.flatMap((meeting) => {
      const side = memberSide(meeting, index, plannedKink, context);
      return side ? [[meeting.rail, side] as const] : [];
    });
    const sides: ByRail<JointSide> = {
      left: sideOf('left'),
      right: sideOf('right'),
      ...Object.fromEntries(beside),
    };
    return {
      id: ids[index] as string,
      operation,
      piece: index,
      builtX: ahead.left.point.x,
      donorX: front.source === 'donor' ? ahead.left.localX : rear.source === 'donor' ? behind.left.localX : null,
      sides,
      verdict: worstVerdict(railsOf({ sides }).map(([, { verdict }]) => verdict)),
      plannedKink,
    };
  });
}

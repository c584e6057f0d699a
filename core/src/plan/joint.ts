import { type Side, SIDES } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import { widthOf } from '../sections/index.ts';
import { inches } from '../units/index.ts';
import type { Context } from './context.ts';
import type { Operation } from './operation.ts';
import { faceAt, type Piece, type RailEnd, railEnd } from './piece.ts';
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
  /** `A`, `B` … from front to rear, shared with the free ends that the plan cuts. */
  readonly letter: string;
  readonly operation: string;
  /** Index of the piece ahead of the joint; the next one is behind it. */
  readonly piece: number;
  /** Built station of the joint on the top edge, and the donor station where either end is donor steel. */
  readonly builtX: number;
  readonly donorX: number | null;
  readonly sides: Readonly<Record<Side, JointSide>>;
  readonly verdict: JointVerdict;
  /** True where the kink is what the plan asks for (pie cut, step, transition). */
  readonly plannedKink: boolean;
}

/** Whether an operation turns the rail at its joints on purpose: by its cut, or by an oblique new piece. */
const turnsRail = (operation: Operation | undefined): boolean =>
  operation?.kind === 'pie-cut' ||
  operation?.kind === 'step' ||
  operation?.kind === 'widen' ||
  (operation?.kind === 'shorten' && operation.transition > 0);

/** The worst of several verdicts. */
export const worstVerdict = (verdicts: readonly JointVerdict[]): JointVerdict =>
  verdicts.reduce(
    (worst, verdict) => (JOINT_VERDICTS.indexOf(verdict) > JOINT_VERDICTS.indexOf(worst) ? verdict : worst),
    'meets',
  );

function verdictOf(offset: number, kink: number, sectionStep: number, rules: Rulebook): JointVerdict {
  if (offset > ruleValue(rules, 'joint/transition')) return 'cannot';
  if (offset > ruleValue(rules, 'joint/dress')) return 'needs-a-transition-piece';
  if (kink > ruleValue(rules, 'joint/pie-limit')) return 'needs-a-transition-piece';
  if (kink > ruleValue(rules, 'joint/straight')) return 'ease-with-a-pie-cut';
  if (sectionStep > ruleValue(rules, 'joint/dress')) return 'needs-a-transition-piece';
  return Math.max(offset, sectionStep) > ruleValue(rules, 'joint/meets') ? 'dress' : 'meets';
}

/** Where a piece's face meets the bottom edge of one rail, present. */
function bottomEdge(piece: Piece, end: 'front' | 'rear', x: number, top: number, depth: number) {
  return posed(piece.pose, faceAt({ ...piece[end], x, z: top }, top - depth), top - depth);
}

/** One rail's end at a joint, and the piece it is the end of. */
interface EndOf {
  readonly piece: Piece;
  readonly end: RailEnd;
}

function jointSide(
  { piece: front, end: a }: EndOf,
  { piece: rear, end: b }: EndOf,
  planned: boolean,
  context: Context,
): JointSide {
  const [sectionA, sectionB] = [context.section(a.section), context.section(b.section)];
  const along = { x: Math.cos(front.pose.turn), z: Math.sin(front.pose.turn) };
  const [dx, dy, dz] = [b.point.x - a.point.x, b.point.y - a.point.y, b.point.z - a.point.z];
  const bottomA = bottomEdge(front, 'rear', a.localX, a.top, sectionA.depth);
  const bottomB = bottomEdge(rear, 'front', b.localX, b.top, sectionB.depth);
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
      Math.hypot(sideways.y, sideways.z),
      kink,
      Math.max(Math.abs(depth), Math.abs(width)),
      context.rules,
    ),
  };
}

/** How far apart the ends of the worse rail are across its line, mm. */
const apart = ({ sides }: Joint): number =>
  Math.max(...SIDES.map((side) => Math.hypot(sides[side].dy, sides[side].dz)));

/**
 * The length of a transition piece that joins two ends which do not meet, mm: the shortest, to a whole inch or
 * centimetre, that turns the rail by no more than half of what the rulebook allows, since a taper may add the other
 * half. Null where none is needed, and where the ends are farther apart than the rulebook lets one reach.
 */
export function transitionFor(joint: Joint, { rules, display }: Pick<Context, 'rules' | 'display'>): number | null {
  const offset = apart(joint);
  if (offset <= ruleValue(rules, 'joint/dress') || offset > ruleValue(rules, 'joint/transition')) return null;
  const shortest = offset / Math.tan(ruleValue(rules, 'joint/transition-turn') / 2);
  const step = display.unit === 'in' ? inches(1) : 10;
  return Number.isFinite(shortest) ? Math.ceil(shortest / step) * step : null;
}

/** The letter of a count from 0: A … Z, AA, AB … */
export function letterOf(count: number): string {
  const letter = String.fromCharCode(65 + (count % 26));
  return count < 26 ? letter : letterOf(Math.floor(count / 26) - 1) + letter;
}

/** Every joint of the frame in work, front to rear; `made` finds the operation that made it. */
export function jointsOf(
  state: PlanState,
  made: (operation: string) => Operation | undefined,
  context: Context,
): Omit<Joint, 'letter'>[] {
  return state.pieces.slice(0, -1).map((front, index) => {
    const rear = state.pieces[index + 1] as Piece;
    const operation = rear.front.operation ?? front.rear.operation ?? rear.source;
    const plannedKink = turnsRail(made(operation));
    const ahead = { left: railEnd(front, 'left', 'rear'), right: railEnd(front, 'right', 'rear') };
    const behind = { left: railEnd(rear, 'left', 'front'), right: railEnd(rear, 'right', 'front') };
    const sideOf = (side: Side) =>
      jointSide({ piece: front, end: ahead[side] }, { piece: rear, end: behind[side] }, plannedKink, context);
    const sides = { left: sideOf('left'), right: sideOf('right') };
    return {
      operation,
      piece: index,
      builtX: ahead.left.point.x,
      donorX: front.source === 'donor' ? ahead.left.localX : rear.source === 'donor' ? behind.left.localX : null,
      sides,
      verdict: worstVerdict(SIDES.map((side) => sides[side].verdict)),
      plannedKink,
    };
  });
}

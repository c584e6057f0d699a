import { type Side, SIDES, straightLength } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { angleText } from '../units/index.ts';
import type { Conflict } from './conflict.ts';
import { builtXOf, type Finder } from './findings.ts';
import type { JointSide, JointVerdict } from './joint.ts';
import type { Piece } from './piece.ts';

const JOINT_WORDS: Readonly<
  Record<JointVerdict, { severity: Conflict['severity']; words: string; waysOut: readonly string[] }>
> = {
  meets: { severity: 'note', words: 'ends meet', waysOut: [] },
  dress: {
    severity: 'note',
    words: 'ends meet after dressing',
    waysOut: ['Clamp, hammer and grind the ends level before tacking.'],
  },
  'ease-with-a-pie-cut': {
    severity: 'warn',
    words: 'rails meet at a kink',
    waysOut: ['Cut where the rail runs straight.', 'Take the kink out with a pie cut.'],
  },
  'needs-a-transition-piece': {
    severity: 'warn',
    words: 'ends do not meet',
    waysOut: [
      'Cut where both ends have the same width and height.',
      'Put a transition piece between them, where rail comes out.',
    ],
  },
  cannot: {
    severity: 'stop',
    words: 'ends cannot meet',
    waysOut: ['Cut somewhere else, or split the change over two places.'],
  },
};

const degrees = (radians: number): string => angleText(Math.abs(radians));

/** Joints whose ends do not simply meet. */
export const joints: Finder = (findings, { show }) =>
  findings.joints.flatMap((joint): Conflict[] => {
    if (joint.verdict === 'meets') return [];
    const { severity, words, waysOut } = JOINT_WORDS[joint.verdict];
    const side = joint.sides.left.verdict === joint.verdict ? joint.sides.left : joint.sides.right;
    const parts = [
      ...(Math.abs(side.dy) > 0.2 ? [`${show(Math.abs(side.dy))} apart sideways`] : []),
      ...(Math.abs(side.dz) > 0.2 ? [`${show(Math.abs(side.dz))} apart in height`] : []),
      ...(Math.abs(side.pitch) > 0.001 && !joint.plannedKink ? [`${degrees(side.pitch)} in side view`] : []),
      ...(Math.abs(side.yaw) > 0.001 && !joint.plannedKink ? [`${degrees(side.yaw)} in plan`] : []),
      ...(Math.abs(side.depth) > 0.2 ? [`depths differ by ${show(Math.abs(side.depth))}`] : []),
      ...(Math.abs(side.width) > 0.2 ? [`flanges differ by ${show(Math.abs(side.width))}`] : []),
    ];
    return [
      {
        code: `joint-${joint.verdict}`,
        severity,
        operation: joint.operation,
        donorX: joint.donorX,
        builtX: joint.builtX,
        about: joint.letter,
        message: `Joint ${joint.letter}: ${words}: ${parts.join(', ')}.`,
        waysOut,
      },
    ];
  });

/** How far an oblique new piece brings a rail over from the line of the rail ahead, and how much it turns it at most. */
function slantOf(piece: Piece, ahead: JointSide, behind: JointSide, side: Side) {
  const [first, second] = [Math.hypot(ahead.yaw, ahead.pitch), Math.hypot(behind.yaw, behind.pitch)];
  return { over: straightLength(piece.rails[side]) * Math.sin(first), turn: Math.max(first, second) };
}

/** Transition pieces that bring a rail farther over, or turn it more, than the rulebook allows. */
export const transitions: Finder = ({ plan, state, joints: all }, { rules, show }) => {
  const bridging = new Set(
    plan.operations.flatMap((operation) =>
      (operation.kind === 'widen' || operation.kind === 'shorten') && operation.transition > 0 ? [operation.id] : [],
    ),
  );
  const [most, steepest] = [ruleValue(rules, 'joint/transition'), ruleValue(rules, 'joint/transition-turn')];
  return state.pieces.flatMap((piece, index): Conflict[] => {
    const [ahead, behind] = [all[index - 1], all[index]];
    if (!bridging.has(piece.source) || !ahead || !behind) return [];
    const slants = SIDES.map((side) => slantOf(piece, ahead.sides[side], behind.sides[side], side));
    const over = Math.max(...slants.map((slant) => slant.over));
    const turn = Math.max(...slants.map((slant) => slant.turn));
    const at = { operation: piece.source, donorX: ahead.donorX, builtX: ahead.builtX, about: ahead.letter };
    const piecesName = `The transition piece between ${ahead.letter} and ${behind.letter}`;
    if (over > most)
      return [
        {
          ...at,
          code: 'transition-far',
          severity: 'stop',
          message: `${piecesName} brings the rail ${show(over)} over; the rulebook allows ${show(most)}.`,
          waysOut: ['Split the change over two places.', 'Cut where the two ends lie nearer to each other.'],
        },
      ];
    if (turn <= steepest) return [];
    return [
      {
        ...at,
        code: 'transition-steep',
        severity: 'warn',
        message: `${piecesName} turns the rail by ${degrees(turn)}; the rulebook allows ${degrees(steepest)}.`,
        waysOut: ['Make the transition longer.'],
      },
    ];
  });
};

/** Holes, brackets and the identity stamp close to a joint. */
export const nearJoints: Finder = ({ joints: all, features }, { rules, show }) => {
  const limit = ruleValue(rules, 'joint/hole-distance');
  const found: Conflict[] = [];
  for (const outcome of features) {
    const x = builtXOf(outcome);
    if (x === null || outcome.fate === 'new') continue;
    const { feature } = outcome;
    const reach = Math.max(feature.length, feature.diameter) / 2;
    for (const joint of all) {
      const clear = Math.abs(x - joint.builtX) - reach;
      if (clear >= limit) continue;
      const stamp = feature.kind === 'identity-stamp';
      found.push({
        code: stamp ? 'identity-stamp' : 'near-joint',
        severity: stamp ? 'stop' : 'note',
        operation: joint.operation,
        donorX: joint.donorX,
        builtX: x,
        about: feature.id,
        message: `${feature.name} is ${show(Math.max(0, clear))} from joint ${joint.letter}.`,
        waysOut: stamp
          ? ['Move the cut well clear of the stamp: grinding and plates come near it.']
          : ['Move the cut a little.', 'Weld the hole shut before the joint, or let the plate run round it.'],
      });
    }
  }
  return found;
};

/** What the material and the shop's school of practice allow to be welded. */
export const schools: Finder = ({ frame, joints: all, features }, { rules }) => {
  const { material } = frame;
  const first = all[0];
  if (!first) return [];
  const at = { operation: first.operation, donorX: first.donorX, builtX: first.builtX, about: first.letter };
  if (material.heatTreated || !material.weldable)
    return [
      {
        ...at,
        code: 'not-weldable',
        severity: 'stop',
        message: `The rails are ${material.name}: they must not be welded or heated.`,
        waysOut: ['Bolt through existing holes instead.', 'Use a donor with mild-steel rails.'],
      },
    ];
  if (ruleValue(rules, 'weld/ahead-of-hanger') !== 0) return [];
  const hangers = features
    .filter(({ feature }) => feature.kind === 'spring-hanger' || feature.kind === 'link-bracket')
    .map((outcome) => builtXOf(outcome) ?? -Infinity);
  const last = Math.max(...hangers);
  return all
    .filter((joint) => joint.builtX < last)
    .map((joint) => ({
      code: 'ahead-of-hanger',
      severity: 'stop' as const,
      operation: joint.operation,
      donorX: joint.donorX,
      builtX: joint.builtX,
      about: joint.letter,
      message: `Joint ${joint.letter} is ahead of the rearmost suspension hanger or link: the shop’s rulebook bolts there and welds only behind it.`,
      waysOut: [
        'Move the cut behind the rearmost hanger.',
        'Change the rule, with your reason, if this frame allows it.',
      ],
    }));
};

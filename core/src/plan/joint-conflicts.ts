import { extentOf, factsOf, type Side, SIDES, sidesOf, straightLength } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { angleText, readsLess } from '../units/index.ts';
import { advise, type Finding, type SuggestedFix } from './conflict.ts';
import type { Context } from './context.ts';
import { builtXOf, type Finder, type Findings } from './findings.ts';
import { type Joint, type JointSide, type JointVerdict, transitionFor, worseSide, worstVerdict } from './joint.ts';
import { fixesToClear } from './moving-cuts.ts';
import { applyOperation } from './operations/index.ts';
import type { Piece } from './piece.ts';
import { weldDistance } from './weld-distance.ts';

export const JOINT_WORDS: Readonly<
  Record<JointVerdict, { severity: Finding['severity']; words: string; advice: readonly string[] }>
> = {
  meets: { severity: 'note', words: 'ends meet', advice: [] },
  dress: {
    severity: 'note',
    words: 'ends meet after dressing',
    advice: ['Clamp, hammer and grind the ends level before tacking.'],
  },
  'ease-with-a-pie-cut': {
    severity: 'warn',
    words: 'rails meet at a kink',
    advice: ['Cut where the rail runs straight.', 'Take the kink out with a pie cut.'],
  },
  'needs-a-transition-piece': {
    severity: 'warn',
    words: 'ends do not meet',
    advice: ['Cut where both ends have the same width and height.'],
  },
  cannot: {
    severity: 'stop',
    words: 'ends cannot meet',
    advice: ['Cut somewhere else, or split the change over two places.'],
  },
};

/** Differences smaller than this are not said, mm. */
const SMALL = 0.2;

const degrees = (radians: number): string => angleText(Math.abs(radians));

/**
 * In what the ends of one side differ, in words and numbers.
 *
 * @param side How the two ends of one rail meet.
 * @param show Writes a length, mm, in the job’s unit.
 */
export function differences(side: JointSide, { plannedKink }: Joint, show: Context['show']): string[] {
  const gap = (mm: number, edge: string) =>
    Math.abs(mm) <= SMALL
      ? []
      : [mm > 0 ? `open ${show(mm)} at the ${edge}` : `overlapping ${show(-mm)} at the ${edge}`];
  return [
    ...(Math.abs(side.dy) > SMALL ? [`${show(Math.abs(side.dy))} apart sideways`] : []),
    ...(Math.abs(side.dz) > SMALL ? [`${show(Math.abs(side.dz))} apart in height`] : []),
    ...gap(side.gapTop, 'top'),
    ...gap(side.gapBottom, 'bottom'),
    ...(Math.abs(side.pitch) > 0.001 && !plannedKink ? [`${degrees(side.pitch)} in side view`] : []),
    ...(Math.abs(side.yaw) > 0.001 && !plannedKink ? [`${degrees(side.yaw)} in plan`] : []),
    ...(Math.abs(side.depth) > SMALL ? [`depths differ by ${show(Math.abs(side.depth))}`] : []),
    ...(Math.abs(side.width) > SMALL ? [`flanges differ by ${show(Math.abs(side.width))}`] : []),
  ];
}

/** A transition piece for ends that do not meet, where rail comes out and the frame has room for one. */
function transitionOffered(joint: Joint, { plan, before }: Findings, context: Context): SuggestedFix[] {
  const operation = plan.operations.find(({ id }) => id === joint.operation);
  if (operation?.kind !== 'shorten' || operation.transition !== 0) return [];
  const transition = transitionFor(joint, context);
  const state = before(operation.id);
  if (transition === null || !state) return [];
  const bridged = { ...operation, transition };
  if (!applyOperation(state, bridged, context).done) return [];
  return [
    {
      say: `Put a transition piece of ${context.show(transition)} between them`,
      edit: { do: 'replace', operation: bridged },
    },
  ];
}

/**
 * Joints whose ends do not simply meet.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const joints: Finder = (findings, context) =>
  findings.joints.flatMap((joint): Finding[] => {
    // Members are told of by themselves.
    const rails = { sides: { left: joint.sides.left, right: joint.sides.right } };
    const side = worseSide(rails);
    const verdict = worstVerdict(SIDES.map((rail) => joint.sides[rail].verdict));
    if (verdict === 'meets') return [];
    const { severity, words, advice } = JOINT_WORDS[verdict];
    const gapes = Math.max(side.gapTop, side.gapBottom) > ruleValue(context.rules, 'joint/gap');
    return [
      {
        code: `joint-${verdict}`,
        severity,
        operation: joint.operation,
        donorX: joint.donorX,
        builtX: joint.builtX,
        about: joint.id,
        message: `Joint ${joint.letter}: ${[words, ...differences(side, joint, context.show)].join(', ')}.`,
        fixes: [
          ...transitionOffered(joint, findings, context),
          ...advise(...(gapes ? ['Fill the opening with a wedge of the same steel, welded all round.'] : advice)),
        ],
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
  return state.pieces.flatMap((piece, index): Finding[] => {
    const [ahead, behind] = [all[index - 1], all[index]];
    if (!bridging.has(piece.source) || !ahead || !behind) return [];
    const slants = SIDES.map((side) => slantOf(piece, ahead.sides[side], behind.sides[side], side));
    const over = Math.max(...slants.map((slant) => slant.over));
    const turn = Math.max(...slants.map((slant) => slant.turn));
    const at = { operation: piece.source, donorX: ahead.donorX, builtX: ahead.builtX, about: ahead.id };
    const piecesName = `The transition piece between ${ahead.letter} and ${behind.letter}`;
    if (over > most)
      return [
        {
          ...at,
          code: 'transition-far',
          severity: 'stop',
          message: `${piecesName} brings the rail ${show(over)} over; the rulebook allows ${show(most)}.`,
          fixes: advise('Split the change over two places.', 'Cut where the two ends lie nearer to each other.'),
        },
      ];
    if (turn <= steepest) return [];
    return [
      {
        ...at,
        code: 'transition-steep',
        severity: 'warn',
        message: `${piecesName} turns the rail by ${degrees(turn)}; the rulebook allows ${degrees(steepest)}.`,
        fixes: advise('Make the transition longer.'),
      },
    ];
  });
};

/**
 * Holes, brackets and the VIN stamp close to a joint.
 *
 * @param context Sections, rules and how lengths are written.
 */
export const nearJoints: Finder = ({ joints: all, splices, features, state }, context) => {
  const { rules, show } = context;
  const limit = ruleValue(rules, 'joint/hole-distance');
  const close = Math.min(limit, ruleValue(rules, 'joint/hole-close'));
  const made = new Map(splices.map((outcome) => [outcome.joint.id, outcome.rails]));
  const welds = all.map((joint) => {
    const reaches = (made.get(joint.id) ?? []).map(({ reach }) => reach.weld);
    return {
      joint,
      from: joint.builtX + Math.min(0, ...reaches.map(([front]) => front)),
      to: joint.builtX + Math.max(0, ...reaches.map(([, rear]) => rear)),
    };
  });
  const found: Finding[] = [];
  for (const outcome of features) {
    const x = builtXOf(outcome);
    if (x === null || outcome.status === 'new') continue;
    const { feature } = outcome;
    const { from, to } = extentOf(feature);
    const ahead = x - feature.x + from;
    const behind = x - feature.x + to;
    const sides = sidesOf(feature);
    for (const weld of welds) {
      if (Math.max(ahead - weld.to, weld.from - behind) >= limit) continue;
      const { joint } = weld;
      const rails = (made.get(joint.id) ?? []).filter(({ rail }) => sides.includes(rail as Side));
      const [front, rear] = [
        Math.min(0, ...rails.map(({ reach }) => reach.weld[0])),
        Math.max(0, ...rails.map(({ reach }) => reach.weld[1])),
      ];
      const span = { from: ahead - joint.builtX, to: behind - joint.builtX };
      // Along the rail alone it is as far as asked.
      if (Math.max(span.from - rear, front - span.to) >= limit) continue;
      const clear = Math.min(
        ...(rails.length > 0
          ? rails.map(({ splice, steel }) => weldDistance(splice.form, steel.section, feature, span))
          : [Math.max(span.from, -span.to)]),
      );
      if (!readsLess(clear, limit, show)) continue;
      const stamp = factsOf(feature.kind).untouchable;
      found.push({
        code: stamp ? 'identity-stamp' : 'near-joint',
        severity: stamp ? 'stop' : readsLess(clear, close, show) ? 'warn' : 'note',
        operation: joint.operation,
        donorX: joint.donorX,
        builtX: x,
        about: feature.id,
        message: `${feature.name} is ${show(Math.max(0, clear))} from joint ${joint.letter}.`,
        fixes: [
          ...fixesToClear(
            state,
            joint.operation,
            { from: extentOf(feature).from - rear, to: extentOf(feature).to - front },
            context,
          ),
          ...advise(
            stamp
              ? 'Move the cut well clear of the stamp: grinding and plates come near it.'
              : 'Weld the hole shut before the joint, or let the plate run round it.',
          ),
        ],
      });
    }
  }
  return found;
};

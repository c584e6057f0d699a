import { SIDES } from '../frame/index.ts';
import { type Joint, type JointVerdict, type PlanInput, worseSide, worstVerdict } from '../plan/index.ts';
import { type RuleId, ruleValue } from '../rules/index.ts';
import { angleText, inches } from '../units/index.ts';
import type { Part } from './ground.ts';

/** How the ends of the rails meet at a joint of an option: how far they lie apart, left and right, mm. */
export interface EndsApart {
  readonly letter: string;
  readonly left: number;
  readonly right: number;
  readonly verdict: JointVerdict;
}

/**
 * How far apart the ends of one rail lie across it, mm.
 *
 * @param joint The joint.
 * @param side Left or right, as seated.
 */
export const apart = (joint: Pick<Joint, 'sides'>, side: 'left' | 'right'): number =>
  Math.hypot(joint.sides[side].dy, joint.sides[side].dz);

const ENDS_RULE: Readonly<Partial<Record<JointVerdict, RuleId>>> = {
  dress: 'finder/dress',
  'ease-with-a-pie-cut': 'finder/ease',
  'needs-a-transition-piece': 'finder/transition',
};

const ENDS_WORDS: Readonly<Record<JointVerdict, string>> = {
  meets: 'the ends meet',
  dress: 'the ends meet once dressed',
  'ease-with-a-pie-cut': 'the ends are eased with a pie cut',
  'needs-a-transition-piece': 'the ends need a transition piece',
  cannot: 'the ends cannot meet',
};

/** What lies less apart than this is not said, mm: half a sixteenth would be read as none. */
const SAID = inches(1 / 32);

/** How far apart ends are when they weigh as the rule says, mm. */
const EIGHTH = inches(1 / 8);

/**
 * How the ends of a joint lie, in words: `1 3/8 apart sideways`.
 *
 * @param joint The joint.
 * @param show Writes a length.
 */
function apartText(joint: Pick<Joint, 'sides'>, show: (mm: number) => string): string {
  const { dy, dz, yaw, pitch } = worseSide({ sides: { left: joint.sides.left, right: joint.sides.right } });
  const said = [
    ...(Math.abs(dy) > SAID ? [`${show(Math.abs(dy))} apart sideways`] : []),
    ...(Math.abs(dz) > SAID ? [`${show(Math.abs(dz))} apart in height`] : []),
  ];
  const kink = Math.hypot(yaw, pitch);
  const turned = kink > 0.001 ? `at a kink of ${angleText(kink)}` : '';
  if (said.length === 0) return turned ? `the ends meet ${turned}` : 'the ends meet';
  return `the ends lie ${said.join(' and ')}${turned ? `, ${turned}` : ''}`;
}

/**
 * What the ends of an option's joints cost, rails only: dressing, easing or bridging them, and how far apart they lie.
 *
 * @param joints The option's joints.
 * @param rules The rulebook.
 */
export function endsParts(joints: readonly Omit<Joint, 'letter'>[], rules: PlanInput['rules']): Part[] {
  return joints.flatMap((joint): Part[] => {
    const verdict = worstVerdict(SIDES.map((side) => joint.sides[side].verdict));
    if (joint.plannedKink)
      return verdict === 'meets' || verdict === 'dress'
        ? []
        : [
            {
              code: 'ends-wedge',
              rule: 'finder/ease',
              lane: 'bend',
              counts: 'work',
              about: null,
              hours: ruleValue(rules, 'finder/ease'),
              say: () => 'the kerf opens where the rail turns, and a wedge goes in',
            },
          ];
    const far = Math.max(apart(joint, 'left'), apart(joint, 'right'));
    const rule = ENDS_RULE[verdict];
    const { dy, dz } = worseSide({ sides: { left: joint.sides.left, right: joint.sides.right } });
    const lane = Math.abs(dz) > Math.abs(dy) ? 'bend' : 'taper';
    const words = (show: (mm: number) => string) => apartText(joint, show);
    return [
      ...(rule
        ? [
            {
              code: `ends-${verdict}`,
              rule,
              lane,
              counts: 'work',
              about: null,
              hours: ruleValue(rules, rule),
              say: (show) => `${words(show)}: ${ENDS_WORDS[verdict]}`,
            } satisfies Part,
          ]
        : []),
      ...(far > 0.2
        ? [
            {
              code: 'apart',
              rule: 'finder/apart',
              lane,
              counts: 'weighed',
              about: null,
              hours: (ruleValue(rules, 'finder/apart') * far) / EIGHTH,
              say: far > SAID ? words : () => 'the ends all but meet',
            } satisfies Part,
          ]
        : []),
    ];
  });
}

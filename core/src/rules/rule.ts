import {
  angleText,
  finer,
  inches,
  type LengthFormat,
  lengthText,
  type QuantityKind,
  quantityText,
} from '../units/index.ts';
import { MOUNT_RULES } from './mount-rules.ts';
import { SPLICE_RULES } from './splice-rules.ts';
import { type Rule, SHOP_PRACTICE } from './rule-type.ts';

const degrees = (count: number): number => (count * Math.PI) / 180;

/** The rules of the frame and its joints, with the defaults of *weld and reinforce*. */
const FRAME_RULES = {
  'joint/meets': {
    title: 'Ends meet',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'Up to here the ends are pulled level with a clamp and welded as they are.',
    source: SHOP_PRACTICE,
  },
  'joint/dress': {
    title: 'Ends meet after dressing',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'Up to here a hammer, a clamp and some grinding bring the ends together.',
    source: SHOP_PRACTICE,
  },
  'joint/gap': {
    title: 'Ends touch along the whole face',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'A wider opening at the top or bottom edge is not bridged by weld: it wants a filler of the same steel.',
    source: SHOP_PRACTICE,
  },
  'joint/transition': {
    title: 'A transition piece can still join them',
    measures: 'length',
    value: inches(4),
    reason: 'Beyond this a transition piece gets too steep to carry the rail’s bending.',
    source: SHOP_PRACTICE,
  },
  'joint/transition-turn': {
    title: 'A transition piece turns the rail by at most',
    measures: 'angle',
    value: degrees(15),
    reason: 'Steeper, the pull along the rail pushes its flanges sideways where it turns: a longer piece turns less.',
    source: SHOP_PRACTICE,
  },
  'joint/straight': {
    title: 'Rails run straight through',
    measures: 'angle',
    value: degrees(0.5),
    reason: 'A smaller kink than this is lost in fit-up.',
    source: SHOP_PRACTICE,
  },
  'joint/pie-limit': {
    title: 'A pie cut can take out the kink',
    measures: 'angle',
    value: degrees(15),
    reason: 'Beyond this the wedge is so wide that a new piece is the better job.',
    source: SHOP_PRACTICE,
  },
  'joint/hole-distance': {
    title: 'Joint to nearest hole or bracket',
    measures: 'length',
    value: inches(2),
    reason: 'A hole beside a weld sits in its heat-affected zone and where the plate wants to end.',
    source: SHOP_PRACTICE,
  },
  'unit/moved': {
    title: 'Mounts of a unit keep their distance',
    measures: 'length',
    value: inches(1 / 32),
    reason: 'Links, axle and springs are set to each other; a longer link changes the geometry.',
    source: SHOP_PRACTICE,
  },
  'reading/length': {
    title: 'A length or width is right',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'As near as a steel tape hooked on a hole repeats itself.',
    source: SHOP_PRACTICE,
  },
  'reading/diagonal': {
    title: 'A diagonal is right',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'A diagonal sums the errors of a length and a width.',
    source: SHOP_PRACTICE,
  },
  'reading/height': {
    title: 'A height is right',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'As near as a level and a rule repeat themselves; a rail corner this low is twist that a shim takes out.',
    source: SHOP_PRACTICE,
  },
  'reading/inch': {
    title: 'A reading off by a whole inch was misread',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'Reading from the 1 in mark and forgetting it leaves exactly one inch; steel does not.',
    source: SHOP_PRACTICE,
  },
  'body/cab-gap': {
    title: 'Gap between the cab and what is built behind it',
    measures: 'length',
    value: inches(2),
    reason: 'Cab and body move apart from each other on a flexing frame; without a gap they touch.',
    source: SHOP_PRACTICE,
  },
  'body/opening': {
    title: 'A wheel opening stands over its axle',
    measures: 'length',
    value: inches(1 / 4),
    reason: 'Up to here nobody sees it; more, and the tyre stands crooked in its opening.',
    source: SHOP_PRACTICE,
  },
  'mount/sits': {
    title: 'A body sits on the rail with shims alone',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'A stack of shims up to here holds; a larger gap wants a bracket of its own.',
    source: SHOP_PRACTICE,
  },
  'mount/serves': {
    title: 'A bracket of the donor serves a mount',
    measures: 'length',
    value: inches(1 / 2),
    reason: 'As far off along the rail as a slotted hole or a new one in the same bracket makes good.',
    source: SHOP_PRACTICE,
  },
  'tyre/bump': {
    title: 'A wheel rises at most',
    measures: 'length',
    value: inches(3),
    reason: 'From ride height to the bump stop: a tyre that rubs there cuts itself or the body.',
    source: 'assumed; measure from axle to bump stop on your own donor',
  },
  'tyre/droop': {
    title: 'A wheel hangs down at most',
    measures: 'length',
    value: inches(3),
    reason: 'From ride height to where the springs or shocks stop it: the tyre then stands lowest in its opening.',
    source: 'assumed; measure with the frame lifted on your own donor',
  },
  'tyre/width': {
    title: 'A tyre is wide',
    measures: 'length',
    value: inches(9),
    reason: 'Over its widest, with its weight on it: what must pass the body when the wheel is turned.',
    source: 'assumed; the tyre’s own table, or a square held to both sides of it',
  },
  'tyre/lock': {
    title: 'A steered wheel turns at most',
    measures: 'angle',
    value: degrees(35),
    reason: 'Turned, the corners of a tyre reach ahead, behind and inward of where it stands.',
    source: 'assumed; turn it to both stops and read the angle',
  },
  'tyre/offset': {
    title: 'Middle of a steered tyre outboard of its kingpin',
    measures: 'length',
    value: inches(1.5),
    reason: 'The farther out, the wider the arc that the tyre sweeps when it is turned.',
    source: 'assumed; from the middle of the tread to a line through both ball joints',
  },
  'shaft/angle': {
    title: 'A drive shaft joint works at up to',
    measures: 'angle',
    value: degrees(3),
    reason: 'Steeper, the joint shakes and wears at road speed; the angle is the true one in space.',
    source: 'common practice for road speeds; the joint maker’s table for the shaft speed rules',
  },
  'shaft/room': {
    title: 'Room about the middle of a drive shaft',
    measures: 'length',
    value: inches(2.5),
    reason: 'Half of its tube and joints, and what it whips: a body that comes nearer is rubbed through.',
    source: SHOP_PRACTICE,
  },
  'body/fender': {
    title: 'A fender reaches beyond the tyre by',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'A tyre that stands out throws stones, and many vehicle codes want its tread covered.',
    source: 'your local vehicle code rules',
  },
  'shaft/ends': {
    title: 'Joints at the two ends of a shaft differ by up to',
    measures: 'angle',
    value: degrees(1),
    reason: 'The second joint takes out the unevenness of the first only as far as the two angles are alike.',
    source: 'common practice for shafts in phase',
  },
  'cut/kerf': {
    title: 'Width of the cut',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'What the blade or disc turns to dust; the new piece makes it good where both sides of a cut are kept.',
    source: 'measure a trial cut with your own blade',
  },
  'weld/ahead-of-hanger': {
    title: 'Welding ahead of the rearmost suspension hanger',
    measures: 'allowed',
    value: 1,
    reason: 'Allowed: with a designed splice. Not: cut and weld only behind the last hanger, bolt ahead of it.',
    source: 'two schools of practice; heat-treated rails allow only 0',
  },
} as const satisfies Record<string, Rule>;

/** All rules with the defaults of *weld and reinforce*. */
export const RULES = { ...FRAME_RULES, ...MOUNT_RULES, ...SPLICE_RULES } as const satisfies Record<string, Rule>;

export type RuleId = keyof typeof RULES;

/** Starting points for a shop's rulebook; each changes what it must and keeps the rest. */
export const PROFILES = {
  'weld-and-reinforce': { name: 'Weld and reinforce', changes: {} },
  'bolt-ahead-weld-behind': { name: 'Bolt ahead, weld behind', changes: { 'weld/ahead-of-hanger': 0 } },
} as const satisfies Record<string, { name: string; changes: Partial<Record<RuleId, number>> }>;

export type ProfileId = keyof typeof PROFILES;

/** A shop's rules: a profile, and what was changed since. Values in mm, radians, or 1 and 0. */
export interface Rulebook {
  readonly profile: ProfileId;
  readonly changes: Readonly<Partial<Record<RuleId, number>>>;
}

export const RULE_IDS = Object.keys(RULES) as RuleId[];

/**
 * What a profile starts a rule with.
 *
 * @param profile The profile.
 * @param id The rule.
 */
export function usualValue(profile: ProfileId, id: RuleId): number {
  const changes: Partial<Record<RuleId, number>> = PROFILES[profile].changes;
  return changes[id] ?? RULES[id].value;
}

/**
 * The value of a rule in a rulebook.
 *
 * @param id The rule.
 */
export const ruleValue = ({ profile, changes }: Rulebook, id: RuleId): number => changes[id] ?? usualValue(profile, id);

/**
 * What is wrong with a value for a rule; null when it can be judged by.
 *
 * @param id The rule.
 * @param value mm, radians, or 1 and 0.
 */
export function ruleProblem(id: RuleId, value: number): string | null {
  switch (RULES[id].measures) {
    case 'length':
      return value >= 0 ? null : 'The length must be 0 or more.';
    case 'angle':
      return value >= 0 && value < Math.PI / 2 ? null : 'The angle must be from 0 to less than 90°.';
    case 'allowed':
      return value === 0 || value === 1 ? null : 'It is either allowed (1) or not (0).';
    case 'share':
      return value > 0 && value <= 1 ? null : 'The share must be more than 0 and at most 100 %.';
    case 'stress':
    case 'times':
    case 'heat':
    case 'hours':
      return value >= 0 && value < 10_000 ? null : 'The figure must be 0 or more.';
  }
}

/**
 * The value of a rule as it is said: `3/32`, `60 %`, `4 times`.
 *
 * @param id The rule.
 * @param value In what the rule measures.
 * @param format How lengths are written.
 */
export function ruleText(id: RuleId, value: number, format: LengthFormat): string {
  switch (RULES[id].measures) {
    case 'length':
      return lengthText(value, finer(format), true);
    case 'angle':
      return angleText(value, 3, false);
    case 'allowed':
      return value === 1 ? 'allowed' : 'not';
    case 'share':
    case 'stress':
    case 'times':
    case 'heat':
    case 'hours':
      return quantityText(RULES[id].measures as QuantityKind, value, format.unit);
  }
}

/**
 * The rulebook with one rule set; what its profile says anyway is no change.
 *
 * @param id The rule.
 * @param value mm, radians, or 1 and 0.
 */
export function withRule({ profile, changes }: Rulebook, id: RuleId, value: number): Rulebook {
  const { [id]: _, ...others } = changes;
  return { profile, changes: value === usualValue(profile, id) ? others : { ...others, [id]: value } };
}

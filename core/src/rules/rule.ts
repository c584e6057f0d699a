import { inches } from '../units/index.ts';

/** A threshold that a verdict rests on. */
export interface Rule {
  readonly title: string;
  /** What `value` measures: mm, radians, or a plain number. */
  readonly measures: 'length' | 'angle' | 'number';
  readonly value: number;
  readonly reason: string;
  readonly source: string;
}

const degrees = (count: number): number => (count * Math.PI) / 180;
const shopPractice = 'common shop practice; set your own from your logged jobs';

/** All rules with the defaults of *weld and reinforce*. */
export const RULES = {
  'joint/meets': {
    title: 'Ends meet',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'Up to here the ends are pulled level with a clamp and welded as they are.',
    source: shopPractice,
  },
  'joint/dress': {
    title: 'Ends meet after dressing',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'Up to here a hammer, a clamp and some grinding bring the ends together.',
    source: shopPractice,
  },
  'joint/transition': {
    title: 'A transition piece can still join them',
    measures: 'length',
    value: inches(4),
    reason: 'Beyond this a transition piece gets too steep to carry the rail’s bending.',
    source: shopPractice,
  },
  'joint/straight': {
    title: 'Rails run straight through',
    measures: 'angle',
    value: degrees(0.5),
    reason: 'A smaller kink than this is lost in fit-up.',
    source: shopPractice,
  },
  'joint/pie-limit': {
    title: 'A pie cut can take out the kink',
    measures: 'angle',
    value: degrees(15),
    reason: 'Beyond this the wedge is so wide that a new piece is the better job.',
    source: shopPractice,
  },
  'joint/hole-distance': {
    title: 'Joint to nearest hole or bracket',
    measures: 'length',
    value: inches(2),
    reason: 'A hole beside a weld sits in its heat-affected zone and where the plate wants to end.',
    source: shopPractice,
  },
  'group/moved': {
    title: 'Members of a group keep their distance',
    measures: 'length',
    value: inches(1 / 32),
    reason: 'Links, axle and springs are set to each other; a longer link changes the geometry.',
    source: shopPractice,
  },
  'reading/length': {
    title: 'A length or width is right',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'As near as a steel tape hooked on a hole repeats itself.',
    source: shopPractice,
  },
  'reading/diagonal': {
    title: 'A diagonal is right',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'A diagonal sums the errors of a length and a width.',
    source: shopPractice,
  },
  'reading/height': {
    title: 'A height is right',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'As near as a level and a rule repeat themselves; a rail corner this low is twist that a shim takes out.',
    source: shopPractice,
  },
  'reading/inch': {
    title: 'A reading off by a whole inch was misread',
    measures: 'length',
    value: inches(1 / 8),
    reason: 'Reading from the 1 in mark and forgetting it leaves exactly one inch; steel does not.',
    source: shopPractice,
  },
  'body/cab-gap': {
    title: 'Gap between the cab and what is built behind it',
    measures: 'length',
    value: inches(2),
    reason: 'Cab and body move apart from each other on a flexing frame; without a gap they touch.',
    source: shopPractice,
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
    measures: 'number',
    value: 1,
    reason: '1 = allowed with a designed splice; 0 = cut and weld only behind the last hanger, bolt ahead of it.',
    source: 'two schools of practice; heat-treated rails allow only 0',
  },
} as const satisfies Record<string, Rule>;

export type RuleId = keyof typeof RULES;

/** Starting points for a shop's rulebook; each changes what it must and keeps the rest. */
export const PROFILES = {
  'weld-and-reinforce': { name: 'Weld and reinforce', changes: {} },
  'bolt-ahead-weld-behind': { name: 'Bolt ahead, weld behind', changes: { 'weld/ahead-of-hanger': 0 } },
} as const satisfies Record<string, { name: string; changes: Partial<Record<RuleId, number>> }>;

export type ProfileId = keyof typeof PROFILES;

/** A shop's rules: a profile, and what was changed since. Values in mm, radians or plain numbers. */
export interface Rulebook {
  readonly profile: ProfileId;
  readonly changes: Readonly<Partial<Record<RuleId, number>>>;
}

/** The value of a rule in a rulebook. */
export function ruleValue(rulebook: Rulebook, id: RuleId): number {
  const profile: Partial<Record<RuleId, number>> = PROFILES[rulebook.profile].changes;
  return rulebook.changes[id] ?? profile[id] ?? RULES[id].value;
}

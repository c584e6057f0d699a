import type { FRAME_RULES } from './frame-rules.ts';
import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';

/** What the rules of `frame-rules.ts` are called, why they are so, and who says so. */
export const FRAME_WORDS: Readonly<Record<keyof typeof FRAME_RULES, RuleWords>> = {
  'joint/meets': {
    title: 'Ends meet',
    reason: 'Up to here the ends are pulled level with a clamp and welded as they are.',
    source: SHOP_PRACTICE,
  },
  'joint/dress': {
    title: 'Ends meet after dressing',
    reason: 'Up to here a hammer, a clamp and some grinding bring the ends together.',
    source: SHOP_PRACTICE,
  },
  'joint/gap': {
    title: 'Ends touch along the whole face',
    reason: 'A wider opening at the top or bottom edge is not bridged by weld: it wants a filler of the same steel.',
    source: SHOP_PRACTICE,
  },
  'joint/transition': {
    title: 'A transition piece can still join them',
    reason: 'Beyond this a transition piece gets too steep to carry the rail’s bending.',
    source: SHOP_PRACTICE,
  },
  'joint/transition-turn': {
    title: 'A transition piece turns the rail by at most',
    reason: 'Steeper, the pull along the rail pushes its flanges sideways where it turns: a longer piece turns less.',
    source: SHOP_PRACTICE,
  },
  'joint/straight': {
    title: 'Rails run straight through',
    reason: 'A smaller kink than this is lost in fit-up.',
    source: SHOP_PRACTICE,
  },
  'joint/pie-limit': {
    title: 'A pie cut can take out the kink',
    reason: 'Beyond this the wedge is so wide that a new piece is the better job.',
    source: SHOP_PRACTICE,
  },
  'joint/hole-distance': {
    title: 'Joint to nearest hole or bracket',
    reason: 'A hole beside a weld sits in its heat-affected zone and where the plate wants to end.',
    source: SHOP_PRACTICE,
  },
  'joint/hole-close': {
    title: 'Hole or bracket in the heat of a joint',
    reason:
      'Nearer than this the steel round it is softened by the weld and pulls out of round, and a crack has an edge to begin at.',
    source: SHOP_PRACTICE,
  },
  'joint/bracket-over': {
    title: 'A bracket set over a welded joint',
    reason:
      'Not: it hides the weld from every later look, and its holes or welds sit in the heat-affected zone. Allowed: over a weld that is ground flush and checked, where the old place is the only one.',
    source: 'two schools of practice',
  },
  'unit/moved': {
    title: 'Mounts of a unit keep their distance',
    reason: 'Links, axle and springs are set to each other; a longer link changes the geometry.',
    source: SHOP_PRACTICE,
  },
  'reading/length': {
    title: 'A length or width is right',
    reason: 'As near as a steel tape hooked on a hole repeats itself.',
    source: SHOP_PRACTICE,
  },
  'reading/diagonal': {
    title: 'A diagonal is right',
    reason: 'A diagonal sums the errors of a length and a width.',
    source: SHOP_PRACTICE,
  },
  'reading/height': {
    title: 'A height is right',
    reason: 'As near as a level and a rule repeat themselves; a rail corner this low is twist that a shim takes out.',
    source: SHOP_PRACTICE,
  },
  'reading/inch': {
    title: 'A reading off by a whole inch was misread',
    reason: 'Reading from the 1 in mark and forgetting it leaves exactly one inch; steel does not.',
    source: SHOP_PRACTICE,
  },
  'survey/tape': {
    title: 'A tape reading is believed within',
    reason:
      'Standard deviation of a steel tape hooked on a punch mark and read by eye: two of three readings lie within it.',
    source: SHOP_PRACTICE,
  },
  'survey/height': {
    title: 'A height is believed within',
    reason: 'Standard deviation of a level or a laser line read on a rule.',
    source: SHOP_PRACTICE,
  },
  'shape/length': {
    title: 'The frame is as long as planned',
    reason: 'Wheelbase and every shaft and line follow the length.',
    source: SHOP_PRACTICE,
  },
  'shape/width': {
    title: 'The frame is as wide as planned',
    reason: 'Crossmembers and mounts are drilled for the width.',
    source: SHOP_PRACTICE,
  },
  'shape/diamond': {
    title: 'No diamond',
    reason: 'One rail ahead of the other steers the rear axle to one side.',
    source: SHOP_PRACTICE,
  },
  'shape/side-bend': {
    title: 'No side-bend',
    reason: 'A frame that is bent sideways runs crabwise and puts doors out of line.',
    source: SHOP_PRACTICE,
  },
  'shape/sag': {
    title: 'No sag',
    reason: 'The middle hangs: mounts need more shim there than at the ends.',
    source: SHOP_PRACTICE,
  },
  'shape/twist': {
    title: 'No twist',
    reason: 'The rear leans against the front: the body is racked when it is bolted down.',
    source: SHOP_PRACTICE,
  },
  'body/cab-gap': {
    title: 'Gap between the cab and what is built behind it',
    reason: 'Cab and body move apart from each other on a flexing frame; without a gap they touch.',
    source: SHOP_PRACTICE,
  },
  'body/opening': {
    title: 'A wheel opening stands over its axle',
    reason: 'Up to here nobody sees it; more, and the tire stands crooked in its opening.',
    source: SHOP_PRACTICE,
  },
  'mount/sits': {
    title: 'A body sits on the rail with shims alone',
    reason: 'A stack of shims up to here holds; a larger gap wants a bracket of its own.',
    source: SHOP_PRACTICE,
  },
  'mount/serves': {
    title: 'A bracket of the donor serves a mount',
    reason: 'As far off along the rail as a slotted hole or a new one in the same bracket makes good.',
    source: SHOP_PRACTICE,
  },
  'tire/bump': {
    title: 'A wheel rises at most',
    reason: 'From ride height to the bump stop: a tire that rubs there cuts itself or the body.',
    source: 'assumed; measure from axle to bump stop on your own donor',
  },
  'tire/droop': {
    title: 'A wheel hangs down at most',
    reason: 'From ride height to where the springs or shocks stop it: the tire then stands lowest in its opening.',
    source: 'assumed; measure with the frame lifted on your own donor',
  },
  'tire/width': {
    title: 'A tire is wide',
    reason: 'Over its widest, with its weight on it: what must pass the body when the wheel is turned.',
    source: 'assumed; the tire’s own table, or a square held to both sides of it',
  },
  'tire/lock': {
    title: 'A steered wheel turns at most',
    reason: 'Turned, the corners of a tire reach ahead, behind and inward of where it stands.',
    source: 'assumed; turn it to both stops and read the angle',
  },
  'tire/offset': {
    title: 'Middle of a steered tire outboard of its kingpin',
    reason: 'The farther out, the wider the arc that the tire sweeps when it is turned.',
    source: 'assumed; from the middle of the tread to a line through both ball joints',
  },
  'shaft/angle': {
    title: 'A drive shaft joint works at up to',
    reason: 'Steeper, the joint shakes and wears at road speed; the angle is the true one in space.',
    source: 'common practice for road speeds; the joint maker’s table for the shaft speed rules',
  },
  'shaft/room': {
    title: 'Room about the middle of a drive shaft',
    reason: 'Half of its tube and joints, and what it whips: a body that comes nearer is rubbed through.',
    source: SHOP_PRACTICE,
  },
  'body/fender': {
    title: 'A fender reaches beyond the tire by',
    reason: 'A tire that stands out throws stones, and many vehicle codes want its tread covered.',
    source: 'your local vehicle code rules',
  },
  'shaft/ends': {
    title: 'Joints at the two ends of a shaft differ by up to',
    reason: 'The second joint takes out the unevenness of the first only as far as the two angles are alike.',
    source: 'common practice for shafts in phase',
  },
  'cut/kerf': {
    title: 'Width of the cut',
    reason: 'What the blade or disc turns to dust; the new piece makes it good where both sides of a cut are kept.',
    source: 'measure a trial cut with your own blade',
  },
  'weld/ahead-of-hanger': {
    title: 'Welding ahead of the last suspension hanger',
    reason: 'Allowed: with a designed splice. Not: cut and weld only behind the last hanger, bolt ahead of it.',
    source: 'two schools of practice; heat-treated rails allow only 0',
  },
};

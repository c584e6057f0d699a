import { inches } from '../units/index.ts';
import { type Rule, SHOP_PRACTICE } from './rule-type.ts';

/** What a place to cut costs, in hours, so that places can be ranked. */
export const FINDER_RULES = {
  'finder/bracket': {
    title: 'A mount or bracket re-drilled or made anew takes',
    measures: 'hours',
    value: 0.75,
    reason: 'Drilled or cut off, cleaned, set out from the datum, fastened and checked.',
    source: SHOP_PRACTICE,
  },
  'finder/crossmember': {
    title: 'A crossmember that is cut or lost takes',
    measures: 'hours',
    value: 3,
    reason: 'Taken out, moved or made anew, and fitted between the rails.',
    source: SHOP_PRACTICE,
  },
  'finder/dress': {
    title: 'Ends that are dressed to meet take',
    measures: 'hours',
    value: 0.5,
    reason: 'Ground a little at a time, and read again.',
    source: SHOP_PRACTICE,
  },
  'finder/ease': {
    title: 'Ends eased with a pie cut take',
    measures: 'hours',
    value: 3,
    reason: 'A second cut on each rail, with its wedge, its fit-up and its welds.',
    source: SHOP_PRACTICE,
  },
  'finder/transition': {
    title: 'Ends joined by a transition piece take',
    measures: 'hours',
    value: 6,
    reason: 'A piece made to both ends, and twice the joints.',
    source: SHOP_PRACTICE,
  },
  'finder/cab': {
    title: 'A cab loosened and lifted for access takes',
    measures: 'hours',
    value: 4,
    reason: 'Bolts, lines, steering and wiring loosened, lifted on blocks, and all of it put back.',
    source: SHOP_PRACTICE,
  },
  'finder/reach': {
    title: 'The cab is in the way of a joint nearer than',
    measures: 'length',
    value: inches(10),
    reason: 'Room for a torch, a grinder and an arm on every face of the rail.',
    source: SHOP_PRACTICE,
  },
  'finder/other': {
    title: 'Anything else that must be decided takes',
    measures: 'hours',
    value: 1,
    reason: 'A line to lengthen, a shaft to have made, a hole to keep away from: some work of its own.',
    source: SHOP_PRACTICE,
  },
} as const satisfies Record<string, Rule>;

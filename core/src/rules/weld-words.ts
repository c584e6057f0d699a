import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';
import type { WELD_RULES } from './weld-rules.ts';

const PROCEDURE = 'your welding procedure';
const CONDUCTION = 'carbon steel between room temperature and 400 °C, handbook values; a reading adjusts the estimate';

/** What the rules of `weld-rules.ts` are called, why they are so, and who says so. */
export const WELD_WORDS: Readonly<Record<keyof typeof WELD_RULES, RuleWords>> = {
  'weld/land': {
    title: 'Square edge left under the bevel',
    reason: 'The land: less burns through, more keeps the root from going through.',
    source: PROCEDURE,
  },
  'weld/cap': {
    title: 'Height of the cap over the wall',
    reason: 'How much weld goes in. A higher cap adds no strength, only heat and a notch at its toes.',
    source: 'AWS D1.1 allows up to 1/8 in; taken smaller for thin rail',
  },
  'weld/one-pass': {
    title: 'One pass lays down at most',
    reason: 'A larger weld is laid in several passes: each heats the wall less than one large pass.',
    source: 'MIG with 0.035 in wire out of position; your welder’s test pieces rule',
  },
  'weld/stitch': {
    title: 'A stitch is no longer than',
    reason: 'A pass is laid in equal stitches, here and there, so that no place gets hot and nothing pulls far.',
    source: SHOP_PRACTICE,
  },
  'weld/tack': {
    title: 'A tack is as long as',
    reason: 'Long enough not to crack as its neighbors pull.',
    source: SHOP_PRACTICE,
  },
  'weld/tacks-apart': {
    title: 'Tacks are no farther apart than',
    reason: 'Both ends first, then halves: the gap closes between tacks as the root is laid.',
    source: SHOP_PRACTICE,
  },
  'weld/in-turn': {
    title: 'Several joints are welded in turn',
    reason:
      'Once all are tacked and measured, one joint cools while another is welded. Not: one joint is finished before the next is begun, so that the rest of the frame stays the reference.',
    source: 'two schools; the first is faster, the second pulls the frame about fewer places at a time',
  },
  'weld/handling': {
    title: 'Between two stitches, besides waiting',
    reason: 'Helmet up, brush, move to the next place.',
    source: SHOP_PRACTICE,
  },
  'weld/clock-stitches': {
    title: 'A shop that waits by the clock lays in a row',
    reason: 'Compared with waits by the steel: what it costs in time, and how hot a start then is.',
    source: SHOP_PRACTICE,
  },
  'weld/clock-pause': {
    title: 'and then waits',
    reason: 'So long after each of these rows, however hot the steel is.',
    source: SHOP_PRACTICE,
  },
  'weld/efficiency': {
    title: 'Of the arc’s energy the steel takes',
    reason: 'The rest warms the air. MIG 80 %, stick about the same, TIG 60 %.',
    source: 'EN 1011-1',
  },
  'weld/interpass': {
    title: 'No stitch starts on steel above',
    reason: 'Hotter steel pulls farther, and thin wall burns through; high-strength rail loses strength.',
    source: 'common for mild rail of 3/16 in; the rail maker’s body builder guide governs',
  },
  'cool/conductivity': {
    title: 'Steel conducts heat',
    reason: 'How fast a joint cools into the rail.',
    source: CONDUCTION,
  },
  'cool/specific-heat': { title: 'Steel stores heat', reason: 'How hot a stitch makes the wall.', source: CONDUCTION },
  'cool/film': {
    title: 'Each face loses heat to still air',
    reason: 'Besides what it radiates. A fan more than doubles it, and gusts pull the shielding gas away.',
    source: CONDUCTION,
  },
  'cool/emissivity': {
    title: 'Of the heat of a black body a face radiates',
    reason: 'Rolled or rusty steel; bright ground steel less than half.',
    source: CONDUCTION,
  },
  'cool/band': {
    title: 'The arc’s heat goes in over a band of',
    reason: 'Across the seam: the width of the pool and what it melts.',
    source: 'calculation; waits hardly depend on it',
  },
  'cool/shop': { title: 'The shop is as warm as', reason: 'What the steel cools down to.', source: 'type your own' },
  'pull/factor': {
    title: 'Welds pull as the textbook says, times',
    reason: 'How far joints of this shop really shorten: the bench Weld offers the figure once enough were measured.',
    source: 'your own readings; 1 until there are any',
  },
  'pull/fewest': {
    title: 'The shop’s own pull counts from',
    reason: 'Before that the textbook’s figure is shown, with a band from half of it to twice as much.',
    source: 'fewer readings say more of one misread tape than of the shop',
  },
};

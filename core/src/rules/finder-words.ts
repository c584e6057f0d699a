import type { FINDER_RULES } from './finder-rules.ts';
import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';

/** What the rules of `finder-rules.ts` are called, why they are so, and who says so. */
export const FINDER_WORDS: Readonly<Record<keyof typeof FINDER_RULES, RuleWords>> = {
  'finder/joint': {
    title: 'A joint on both rails takes',
    reason: 'Marked, shored, cut, dressed, pulled true, welded, plated and dressed again, left and right.',
    source: SHOP_PRACTICE,
  },
  'finder/bracket': {
    title: 'A mount or bracket re-drilled or remade takes',
    reason: 'Drilled or cut off, cleaned, set out from the datum, fastened and checked.',
    source: SHOP_PRACTICE,
  },
  'finder/crossmember': {
    title: 'A crossmember that is lost or no longer fits takes',
    reason: 'Taken out, moved or remade, and fitted between the rails.',
    source: SHOP_PRACTICE,
  },
  'finder/member': {
    title: 'A member or brace that is cut, lost or no longer fits takes',
    reason: 'Cut loose, made to its new length, fitted and welded at both ends.',
    source: SHOP_PRACTICE,
  },
  'finder/trim': {
    title: 'An end that is cut off takes',
    reason: 'Marked, held, cut, and dressed.',
    source: SHOP_PRACTICE,
  },
  'finder/dress': {
    title: 'Ends that are dressed to meet take',
    reason: 'Ground a little at a time, and read again.',
    source: SHOP_PRACTICE,
  },
  'finder/ease': {
    title: 'Ends eased with a pie cut take',
    reason: 'A second cut on each rail, with its wedge, its fit-up and its welds.',
    source: SHOP_PRACTICE,
  },
  'finder/transition': {
    title: 'Ends joined by a transition piece take',
    reason: 'A piece made to both ends, and twice the joints.',
    source: SHOP_PRACTICE,
  },
  'finder/hole': {
    title: 'A hole or bracket close to a joint takes',
    reason: 'Welded shut and dressed, or the plate is cut round it.',
    source: SHOP_PRACTICE,
  },
  'finder/line': {
    title: 'A line, hose or cable of another length takes',
    reason: 'Routed, joined or replaced, and tested.',
    source: SHOP_PRACTICE,
  },
  'finder/shaft': {
    title: 'A drive shaft of another length takes',
    reason: 'Measured, sent out, balanced, and fitted.',
    source: SHOP_PRACTICE,
  },
  'finder/axle-room': {
    title: 'Kept clear of an axle without measured brackets, each way',
    reason:
      'Its hangers, links or seats are there, though nobody has measured them: springs reach about so far from the axle.',
    source: SHOP_PRACTICE,
  },
  'finder/cab': {
    title: 'A cab loosened and lifted for access takes',
    reason: 'Bolts, lines, steering and wiring loosened, lifted on blocks, and all of it put back.',
    source: SHOP_PRACTICE,
  },
  'finder/engine': {
    title: 'An engine or transmission lifted out for access takes',
    reason: 'Everything that is fastened to it loosened, a crane, and all of it put back.',
    source: SHOP_PRACTICE,
  },
  'finder/bed': {
    title: 'A bed or body taken off for access takes',
    reason: 'Unbolted, lifted off, and put back.',
    source: SHOP_PRACTICE,
  },
  'finder/tank': {
    title: 'A tank taken out before any spark near it takes',
    reason: 'Drained, lines and straps off, and all of it put back.',
    source: SHOP_PRACTICE,
  },
  'finder/split-suspension': {
    title: 'A cut through a suspension may be proposed',
    reason: 'Its links, springs and brackets belong together: apart they steer the axle, or break.',
    source: SHOP_PRACTICE,
  },
  'finder/suspension': {
    title: 'A suspension that is cut apart takes',
    reason: 'Every bracket, link and spring measured again, moved, and its geometry proven.',
    source: SHOP_PRACTICE,
  },
  'finder/other': {
    title: 'Anything else that must be decided takes',
    reason: 'Some work of its own.',
    source: SHOP_PRACTICE,
  },
  'finder/reach': {
    title: 'Something is in the way of a joint nearer than',
    reason: 'Room for a torch, a grinder and an arm on every face of the rail.',
    source: SHOP_PRACTICE,
  },
  'finder/torch-reach': {
    title: 'A torch does not get at the inside beside a crossmember nearer than',
    reason: 'The torch must lean away from the joint on every face.',
    source: SHOP_PRACTICE,
  },
  'finder/torch': {
    title: 'A face that the torch hardly reaches weighs as',
    reason: 'A weld that is made blind is made twice.',
    source: SHOP_PRACTICE,
  },
  'finder/straight': {
    title: 'A joint wants straight rail ahead and behind for',
    reason: 'Room for a step and its plates, and for a straightedge that tells whether the ends are in line.',
    source: SHOP_PRACTICE,
  },
  'finder/crooked': {
    title: 'A joint right at a bend weighs as',
    reason: 'Plates that are bent to the rail, and nothing straight to true it by.',
    source: SHOP_PRACTICE,
  },
  'finder/tapered': {
    title: 'A joint on a taper or slope weighs as',
    reason: 'No square stands true on it: the marks are measured from the datum one by one.',
    source: SHOP_PRACTICE,
  },
  'finder/clear': {
    title: 'Holes, brackets and crossmembers are far enough from',
    reason: 'Heat and plates stay clear of them, and so do clamps.',
    source: SHOP_PRACTICE,
  },
  'finder/close': {
    title: 'Something right beside the joint weighs as',
    reason: 'It is in the way of clamps, plates and dressing.',
    source: SHOP_PRACTICE,
  },
  'finder/apart': {
    title: 'Ends 1/8 in (3.2 mm) apart weigh as',
    reason: 'What is pulled together stays under tension, and what is ground off is missing.',
    source: SHOP_PRACTICE,
  },
  'finder/bending': {
    title: 'A joint where the rail is bent hardest weighs as',
    reason: 'What a joint falls short of the rail counts most where the rail works hardest.',
    source: SHOP_PRACTICE,
  },
  'finder/fatigue': {
    title: 'The worst fatigue detail, where the rail is bent hardest, weighs as',
    reason: 'Where the load comes and goes, cracks begin at the details of a joint: less where the rail works less.',
    source: SHOP_PRACTICE,
  },
  'finder/split-from': {
    title: 'A change is also looked for in two places from',
    reason: 'Below that the second joint is more work than it saves.',
    source: SHOP_PRACTICE,
  },
  'finder/between': {
    title: 'Two cuts stand apart by at least',
    reason: 'Plates of both, and enough rail between them to hold and to true.',
    source: SHOP_PRACTICE,
  },
  'finder/distinct': {
    title: 'Places count as different from',
    reason: 'Nearer than that they are one place, marked a little ahead or behind.',
    source: SHOP_PRACTICE,
  },
};

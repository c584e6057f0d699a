import { inches } from '../units/index.ts';
import { type Rule, SHOP_PRACTICE } from './rule-type.ts';

const rule = (measures: Rule['measures'], value: number, title: string, reason: string): Rule => ({
  title,
  measures,
  value,
  reason,
  source: SHOP_PRACTICE,
});
const takes = (hours: number, title: string, reason: string): Rule => rule('hours', hours, title, reason);
const weighs = takes;

/** What a place to cut costs: the work, in hours, and what speaks against it besides, weighed as hours. */
export const FINDER_RULES = {
  'finder/joint': takes(
    5,
    'A joint on both rails takes',
    'Marked, propped, cut, dressed, pulled true, welded, plated and dressed again, left and right.',
  ),
  'finder/bracket': takes(
    0.75,
    'A mount or bracket re-drilled or made anew takes',
    'Drilled or cut off, cleaned, set out from the datum, fastened and checked.',
  ),
  'finder/crossmember': takes(
    3,
    'A crossmember that is lost or no longer fits takes',
    'Taken out, moved or made anew, and fitted between the rails.',
  ),
  'finder/member': takes(
    4,
    'A member or brace that is cut, lost or no longer fits takes',
    'Cut loose, made to its new length, fitted and welded at both ends.',
  ),
  'finder/trim': takes(1.5, 'An end that is cut off takes', 'Marked, held, cut, and dressed.'),
  'finder/dress': takes(0.5, 'Ends that are dressed to meet take', 'Ground a little at a time, and read again.'),
  'finder/ease': takes(
    3,
    'Ends eased with a pie cut take',
    'A second cut on each rail, with its wedge, its fit-up and its welds.',
  ),
  'finder/transition': takes(
    6,
    'Ends joined by a transition piece take',
    'A piece made to both ends, and twice the joints.',
  ),
  'finder/hole': takes(
    0.5,
    'A hole or bracket close to a joint takes',
    'Welded shut and dressed, or the plate is cut round it.',
  ),
  'finder/line': takes(1, 'A line, hose or cable of another length takes', 'Routed, joined or made anew, and tested.'),
  'finder/shaft': takes(2, 'A drive shaft of another length takes', 'Measured, sent out, balanced, and fitted.'),
  'finder/axle-room': rule(
    'length',
    inches(24),
    'Kept clear of an axle without measured brackets, each way',
    'Its hangers, links or seats are there, though nobody has measured them: springs reach about so far from the axle.',
  ),
  'finder/cab': takes(
    4,
    'A cab loosened and lifted for access takes',
    'Bolts, lines, steering and wiring loosened, lifted on blocks, and all of it put back.',
  ),
  'finder/engine': takes(
    24,
    'An engine or gearbox lifted out for access takes',
    'Everything that is fastened to it loosened, a crane, and all of it put back.',
  ),
  'finder/bed': takes(3, 'A bed or body taken off for access takes', 'Unbolted, lifted off, and put back.'),
  'finder/tank': takes(
    2,
    'A tank taken out before any spark near it takes',
    'Drained, lines and straps off, and all of it put back.',
  ),
  'finder/split-suspension': rule(
    'allowed',
    0,
    'A cut through a suspension may be proposed',
    'Its links, springs and brackets belong together: apart they steer the axle, or break.',
  ),
  'finder/suspension': takes(
    16,
    'A suspension that is cut apart takes',
    'Every bracket, link and spring measured anew, moved, and its geometry proven.',
  ),
  'finder/other': takes(1, 'Anything else that must be decided takes', 'Some work of its own.'),
  'finder/reach': rule(
    'length',
    inches(10),
    'Something is in the way of a joint nearer than',
    'Room for a torch, a grinder and an arm on every face of the rail.',
  ),
  'finder/torch-reach': rule(
    'length',
    inches(3),
    'A torch does not get at the inside beside a crossmember nearer than',
    'The torch must lean away from the joint on every face.',
  ),
  'finder/torch': weighs(
    1,
    'A face that the torch hardly reaches weighs as',
    'A weld that is made blind is made twice.',
  ),
  'finder/straight': rule(
    'length',
    inches(12),
    'A joint wants straight rail ahead and behind for',
    'Room for a step and its plates, and for a straightedge that tells whether the ends are in line.',
  ),
  'finder/crooked': weighs(
    4,
    'A joint right at a bend weighs as',
    'Plates that are bent to the rail, and nothing straight to true it by.',
  ),
  'finder/tapered': weighs(
    1,
    'A joint on a taper or slope weighs as',
    'No square stands true on it: the marks are measured from the datum one by one.',
  ),
  'finder/clear': rule(
    'length',
    inches(5),
    'Holes, brackets and crossmembers are far enough from',
    'Heat and plates stay clear of them, and so do clamps.',
  ),
  'finder/close': weighs(
    1,
    'Something right beside the joint weighs as',
    'It is in the way of clamps, plates and dressing.',
  ),
  'finder/apart': weighs(
    1,
    'Ends 1/8 in (3.2 mm) apart weigh as',
    'What is pulled together stays under tension, and what is ground off is missing.',
  ),
  'finder/bending': weighs(
    3,
    'A joint where the rail is bent hardest weighs as',
    'What a joint falls short of the rail counts most where the rail works hardest.',
  ),
  'finder/fatigue': weighs(
    2,
    'The worst fatigue detail, where the rail is bent hardest, weighs as',
    'Where the load comes and goes, cracks begin at the details of a joint: less where the rail works less.',
  ),
  'finder/split-from': rule(
    'length',
    inches(9),
    'A change is also looked for in two places from',
    'Below that the second joint is more work than it saves.',
  ),
  'finder/between': rule(
    'length',
    inches(18),
    'Two cuts stand apart by at least',
    'Plates of both, and enough rail between them to hold and to true.',
  ),
  'finder/distinct': rule(
    'length',
    inches(9),
    'Places count as different from',
    'Nearer than that they are one place, marked a little ahead or behind.',
  ),
} as const satisfies Record<string, Rule>;

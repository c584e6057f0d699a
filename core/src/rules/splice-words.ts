import type { SPLICE_RULES } from './splice-rules.ts';
import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';

const TEST_PIECES = 'chosen on the safe side of what welding codes allow; your welder’s test pieces rule';
const DETAIL_CLASSES = 'detail classes as recommended by the International Institute of Welding, at two million cycles';

/** What the rules of `splice-rules.ts` are called, why they are so, and who says so. */
export const SPLICE_WORDS: Readonly<Record<keyof typeof SPLICE_RULES, RuleWords>> = {
  'weld/both-sides-dye': {
    title: 'Welded through from both sides, dye-checked',
    reason: 'Full penetration, the root gouged out and looked at: the weld is as good as the wall.',
    source: TEST_PIECES,
  },
  'weld/both-sides-visual': {
    title: 'Welded through from both sides, looked at',
    reason: 'What lies under the surface nobody has seen.',
    source: TEST_PIECES,
  },
  'weld/on-backing-dye': {
    title: 'Welded from one side on a backing or sleeve, dye-checked',
    reason: 'The root is held by the backing, and cannot be looked at.',
    source: TEST_PIECES,
  },
  'weld/on-backing-visual': {
    title: 'Welded from one side on a backing or sleeve, looked at',
    reason: 'The root is held by the backing; its edge is a notch that nobody has seen.',
    source: TEST_PIECES,
  },
  'weld/one-side-dye': {
    title: 'Welded from one side only, dye-checked',
    reason: 'The root is where it lacks, and dye does not reach it.',
    source: TEST_PIECES,
  },
  'weld/one-side-visual': {
    title: 'Welded from one side only, looked at',
    reason: 'The root is where it lacks.',
    source: TEST_PIECES,
  },
  'weld/electrode': {
    title: 'Tensile strength of the weld metal',
    reason: 'Of the wire or rod that fillets and plugs are made with: 70 ksi here.',
    source: 'AWS A5.18 and A5.1, E70 classes',
  },
  'weld/allowed': {
    title: 'Share of it allowed in shear on a throat',
    reason: 'What fillets and plugs may carry, with the margin of the code in it.',
    source: 'AWS D1.1, allowable stress of fillet and plug welds',
  },
  'weld/gap': {
    title: 'Root gap',
    reason: 'The ends are set so far apart, so that the root burns through.',
    source: 'your welding procedure',
  },
  'weld/groove': {
    title: 'Angle of the groove',
    reason: 'Both edges beveled by half of it: how much weld goes in, and how far it pulls.',
    source: 'your welding procedure',
  },
  'weld/band': {
    title: 'Width of a cap',
    reason: 'Along the rail; an angled cut has so much of its wall in weld at a station.',
    source: SHOP_PRACTICE,
  },
  'weld/heat': {
    title: 'Heat put in',
    reason: 'For each mm of weld, MIG on thin wall: only to compare how much each way of joining heats the rail.',
    source: SHOP_PRACTICE,
  },
  'splice/ratio': {
    title: 'A joint carries, of the bare rail, at least',
    reason: 'As strong as the rail everywhere: then the joint is not where it breaks first.',
    source: SHOP_PRACTICE,
  },
  'splice/fed-edge': {
    title: 'Bending taken to the edge of fully developed plates',
    reason: 'A plate that stands out farther than the rail bends farther out too. Not: only to the rail’s own edge.',
    source: 'two readings of the same book; the first is on the safe side',
  },
  'splice/flange-plates': {
    title: 'Plates across the flanges',
    reason:
      'Not: a plate that ends across the flange in tension is a poor detail in fatigue. Allowed: small tapered ones, with what they do to it shown.',
    source: 'two schools of practice',
  },
  'splice/square-ends': {
    title: 'Plates with square ends',
    reason:
      'A weld straight across the rail is where cracks begin: taper, hexagon or diamond. Allowed: only calculated.',
    source: 'two schools of practice',
  },
  'splice/plate-thick': {
    title: 'A plate is as thick as the rail’s wall, times at most',
    reason: 'Thicker, it is so much stiffer that the rail breaks at its end.',
    source: SHOP_PRACTICE,
  },
  'splice/reach': {
    title: 'A plate reaches beyond the weld by the rail’s depth, times',
    reason: 'What plates begin with; their welds may ask for more.',
    source: SHOP_PRACTICE,
  },
  'splice/fillet-least': {
    title: 'The least fillet',
    reason: 'A smaller one cools too fast on the thicker part.',
    source: 'AWS D1.1, least fillet on steel up to 6 mm',
  },
  'splice/edge-back': {
    title: 'A fillet on an edge over 6 mm keeps back from it',
    reason: 'So that the edge is not melted off, and the leg can be seen.',
    source: 'AWS D1.1, largest fillet along edges',
  },
  'splice/plug-spacing': {
    title: 'Plugs from middle to middle, times their diameter',
    reason: 'Nearer, the heat of one softens the next.',
    source: 'AWS D1.1, plug welds',
  },
  'splice/plug-edge': {
    title: 'Plugs from an edge, times their diameter',
    reason: 'Nearer, the edge burns away.',
    source: SHOP_PRACTICE,
  },
  'splice/thin-wall': {
    title: 'A wall burns through below',
    reason: 'Plugs and full fillets on a thinner wall go through it: stitch it, or let the sleeve take the heat.',
    source: SHOP_PRACTICE,
  },
  'splice/cut-out': {
    title: 'A plate keeps clear of a hole all round by',
    reason: 'Where a hole under the plate is kept: so that a bolt’s washer lies on the rail.',
    source: SHOP_PRACTICE,
  },
  'sleeve/bend': {
    title: 'Neutral line of a bend, of the wall’s thickness',
    reason: 'How long the flat of a folded channel is; inside radius as thick as the wall.',
    source: 'usual K-factor for a press brake; bend a trial strip',
  },
  'sleeve/slide': {
    title: 'A sleeve slides with at least',
    reason: 'In all, over height and width: less, and it sticks half-way.',
    source: SHOP_PRACTICE,
  },
  'sleeve/loose': {
    title: 'A sleeve is loose above',
    reason: 'In all: what is more wants a filler strip.',
    source: SHOP_PRACTICE,
  },
  'sleeve/grind': {
    title: 'Ground off a sleeve, at most',
    reason: 'Off one wall; more takes its strength with it.',
    source: SHOP_PRACTICE,
  },
  'sleeve/wedge': {
    title: 'A wedge sleeve comes down by at most',
    reason: 'Cut corner to corner and slid: lower, too little of it overlaps.',
    source: SHOP_PRACTICE,
  },
  'sleeve/reach': {
    title: 'A sleeve reaches beyond the joint by the rail’s depth, times',
    reason: 'What sleeves begin with; their plugs may ask for more.',
    source: SHOP_PRACTICE,
  },
  'bolt/shear': {
    title: 'Share of a bolt’s tensile strength allowed in shear',
    reason: 'Threads in the shear plane, with the margin of the code in it.',
    source: 'AISC 360, table J3.2, allowable strength',
  },
  'bolt/bearing': {
    title: 'Bearing of a bolt, times the tensile strength of the plate',
    reason: 'On diameter by thickness, with the margin of the code in it.',
    source: 'AISC 360, J3.10, allowable strength',
  },
  'bolt/edge': {
    title: 'Bolts from an edge, times their diameter',
    reason: 'Nearer, the edge tears out.',
    source: 'AISC 360, table J3.4, rounded up',
  },
  'bolt/spacing': {
    title: 'Bolts from middle to middle, times their diameter',
    reason: 'Room for a wrench and enough steel between them.',
    source: 'AISC 360, J3.3, preferred',
  },
  'bolt/hole': {
    title: 'A bolt hole is larger by',
    reason: 'A close fit: in a loose hole the joint works.',
    source: SHOP_PRACTICE,
  },
  'notch/steel': {
    title: 'Steel left over a notch carries, of the rail, at least',
    reason: 'The section over the notch, with its plate, at least as strong as the rail.',
    source: SHOP_PRACTICE,
  },
  'fatigue/range': {
    title: 'Stress range to compare by',
    reason: 'In the flange, from the lightest to the heaviest moment of the day. Type what you know better.',
    source: 'typed, until the strength of the whole frame is calculated',
  },
  'fatigue/butt-flush': {
    title: 'Butt weld ground flush',
    reason: 'Both sides welded, ground lengthwise.',
    source: DETAIL_CLASSES,
  },
  'fatigue/butt': {
    title: 'Butt weld as welded',
    reason: 'The cap is a notch in the flow of the force.',
    source: DETAIL_CLASSES,
  },
  'fatigue/butt-backing': {
    title: 'Butt weld on a backing',
    reason: 'The root on a backing or a sleeve.',
    source: DETAIL_CLASSES,
  },
  'fatigue/butt-one-side': {
    title: 'Butt weld from one side',
    reason: 'The root is open and not looked at.',
    source: DETAIL_CLASSES,
  },
  'fatigue/plate-end': {
    title: 'Square end of a plate',
    reason: 'A fillet straight across the force.',
    source: DETAIL_CLASSES,
  },
  'fatigue/tapered-end': {
    title: 'Tapered end of a plate',
    reason: 'The force goes over bit by bit.',
    source: DETAIL_CLASSES,
  },
  'fatigue/fillet': {
    title: 'Throat of a fillet or plug that carries',
    reason: 'The weld itself, in shear.',
    source: DETAIL_CLASSES,
  },
  'fatigue/bolts': {
    title: 'Bolt hole',
    reason: 'The edge of the hole in the rail.',
    source: DETAIL_CLASSES,
  },
  'work/weld': {
    title: 'A meter of weld',
    reason: 'Set up, weld in stitches, let cool, dress.',
    source: SHOP_PRACTICE,
  },
  'work/step': {
    title: 'Cutting a step',
    reason: 'Two verticals and a horizontal on each rail, against one cut.',
    source: SHOP_PRACTICE,
  },
  'work/angled': {
    title: 'Cutting at an angle',
    reason: 'Marking it square from flat steel, against one cut.',
    source: SHOP_PRACTICE,
  },
  'work/plate': {
    title: 'A plate',
    reason: 'Cut, beveled, fitted and clamped.',
    source: SHOP_PRACTICE,
  },
  'work/sleeve': {
    title: 'A sleeve',
    reason: 'Cut, ground, slid in and set.',
    source: SHOP_PRACTICE,
  },
  'work/inside': {
    title: 'Reaching the inside of the rail',
    reason: 'What hangs there comes off and goes on again.',
    source: SHOP_PRACTICE,
  },
  'work/bolt': {
    title: 'A bolt',
    reason: 'Drilled, reamed, torqued and marked.',
    source: SHOP_PRACTICE,
  },
};

import { inches } from '../units/index.ts';
import { type Rule, SHOP_PRACTICE } from './rule-type.ts';

/** What the props of a frame are judged by. */
export const PROP_RULES = {
  'props/margin': {
    title: 'A loose part balances inside its stands by at least',
    measures: 'length',
    value: inches(4),
    reason: 'What a knock, a pull on a strap or somebody leaning on the end takes up before the part goes over.',
    source: SHOP_PRACTICE,
  },
  'props/off-cut': {
    title: 'A stand keeps from a cut',
    measures: 'length',
    value: inches(6),
    reason: 'Room for the saw, for clamps and a strongback, and out of the sparks.',
    source: SHOP_PRACTICE,
  },
  'props/clear': {
    title: 'A stand keeps from what hangs below the rail',
    measures: 'length',
    value: inches(1.5),
    reason: 'The head of a stand is about as wide as a rail, and must sit on bare flange.',
    source: SHOP_PRACTICE,
  },
  'props/drop': {
    title: 'A freed end springs by',
    measures: 'length',
    value: inches(1 / 16),
    reason: 'More than a fit-up takes: past this the stands are set anew before the cut.',
    source: SHOP_PRACTICE,
  },
  'props/pinch': {
    title: 'A kerf closes by',
    measures: 'length',
    value: inches(1 / 64),
    reason: 'About what a cutting disc has to spare: past this it is caught.',
    source: SHOP_PRACTICE,
  },
  'props/one-cut': {
    title: 'Several cuts may be open at once',
    measures: 'allowed',
    value: 0,
    reason:
      'One at a time: while the rest of the frame is whole it is the reference for the joint at hand. Both at once saves setting up the stands twice, and then only the readings tell where the parts belong.',
    source: 'two schools; this one is the safer where the frame itself is the reference',
  },
  'props/by-hand': {
    title: 'What is cut out is held by hand up to',
    measures: 'mass',
    value: 25,
    reason: 'Two people hold it, a rail each, while a third cuts; heavier needs a stand or a sling of its own.',
    source: SHOP_PRACTICE,
  },
  'fit-up/even': {
    title: 'A gap is even within',
    measures: 'length',
    value: inches(1 / 32),
    reason:
      'Where a root is tighter than its neighbours the weld does not go through; where it is wider it burns away.',
    source: SHOP_PRACTICE,
  },
  'fit-up/high-low': {
    title: 'Ends stand off each other by at most',
    measures: 'length',
    value: inches(1 / 32),
    reason: 'High-low: the wall of one end beside that of the other leaves a notch at the root.',
    source: 'AWS D1.1, 5.21.3 allows a tenth of the thickness, at most 1/8 in; taken smaller for thin rail',
  },
} as const satisfies Record<string, Rule>;

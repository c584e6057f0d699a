import type { SHORING_RULES } from './shoring-rules.ts';
import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';

/** What the rules of `shoring-rules.ts` are called, why they are so, and who says so. */
export const SHORING_WORDS: Readonly<Record<keyof typeof SHORING_RULES, RuleWords>> = {
  'stands/margin': {
    title: 'A loose part balances inside its stands by at least',
    reason: 'What a knock, a pull on a strap or somebody leaning on the end takes up before the part goes over.',
    source: SHOP_PRACTICE,
  },
  'stands/off-cut': {
    title: 'A stand keeps from a cut',
    reason: 'Room for the saw, for clamps and a strongback, and out of the sparks.',
    source: SHOP_PRACTICE,
  },
  'stands/clear': {
    title: 'A stand keeps from what hangs below the rail',
    reason: 'The head of a stand is about as wide as a rail, and must sit on bare flange.',
    source: SHOP_PRACTICE,
  },
  'stands/drop': {
    title: 'A freed end springs by',
    reason: 'More than a fit-up takes: past this the stands are set again before the cut.',
    source: SHOP_PRACTICE,
  },
  'stands/pinch': {
    title: 'A kerf closes by',
    reason: 'About what a cutting disc has to spare: past this it is caught.',
    source: SHOP_PRACTICE,
  },
  'stands/one-cut': {
    title: 'Several cuts may be open at once',
    reason:
      'One at a time: while the rest of the frame is whole it is the reference for the joint at hand. Both at once saves setting up the stands twice, and then only the readings tell where the parts belong.',
    source: 'two schools; this one is the safer where the frame itself is the reference',
  },
  'stands/by-hand': {
    title: 'What is cut out is held by hand up to',
    reason: 'Two people hold it, a rail each, while a third cuts; heavier needs a stand or a sling of its own.',
    source: SHOP_PRACTICE,
  },
  'fit-up/even': {
    title: 'A gap is even within',
    reason: 'Where a root is tighter than its neighbors the weld does not go through; where it is wider it burns away.',
    source: SHOP_PRACTICE,
  },
  'fit-up/high-low': {
    title: 'Ends stand off each other by at most',
    reason: 'High-low: the wall of one end beside that of the other leaves a notch at the root.',
    source: 'AWS D1.1, 5.21.3 allows a tenth of the thickness, at most 1/8 in; taken smaller for thin rail',
  },
};

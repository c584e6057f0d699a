import type { MOUNT_RULES } from './mount-rules.ts';
import { type RuleWords, SHOP_PRACTICE } from './rule-type.ts';

/** What the rules of `mount-rules.ts` are called, why they are so, and who says so. */
export const MOUNT_WORDS: Readonly<Record<keyof typeof MOUNT_RULES, RuleWords>> = {
  'mount/dynamic': {
    title: 'A bracket is loaded by what its mount carries at rest, times',
    reason: 'Potholes and curbs: the body comes down with more than its weight.',
    source: 'assumed, as is usual for the frame of a road vehicle; an engineer’s figure rules',
  },
  'mount/yield': {
    title: 'Yield of bracket steel',
    reason: 'Mild plate and tube, 36 ksi: assumed for a bracket of unknown steel.',
    source: 'assumed; the mill’s paper of your own plate rules',
  },
  'mount/ratio': {
    title: 'A bracket is stressed, of what is allowed, up to',
    reason:
      'The dynamic factor is in the load; less than the whole leaves room for what is not calculated, such as sideways loads.',
    source: SHOP_PRACTICE,
  },
  'mount/width': {
    title: 'A bracket is wide along the rail',
    reason: 'What brackets begin with: room for a bushing and its washer.',
    source: SHOP_PRACTICE,
  },
  'mount/plate': {
    title: 'A bracket is folded from plate',
    reason: 'What brackets begin with; about as thick as the rail, so that both take the same heat.',
    source: SHOP_PRACTICE,
  },
  'mount/true': {
    title: 'A mount is at its height',
    reason: 'As near as a straightedge over the brackets shows; what is left is taken up by a shim.',
    source: SHOP_PRACTICE,
  },
  'bend/radius': {
    title: 'Inside radius of a bend, times the thickness',
    reason: 'What brackets begin with: tighter, plate cracks at the outside of the bend.',
    source: 'your brake’s own nose; the plate’s own table',
  },
  'bend/fibre': {
    title: 'Fiber that keeps its length, of the thickness from inside',
    reason: 'How much plate a bend uses up: it makes the flat come out.',
    source: 'common for air bending of mild steel; bend a trial strip and measure',
  },
  'bolt/tension': {
    title: 'Share of a bolt’s tensile strength allowed in pull',
    reason: 'Below what the code allows, for the prying of a thin foot.',
    source: 'AISC 360, table J3.2, allowable strength 0.375, taken lower',
  },
};

import type { MountWay } from '@splay/core';

/** What a mount becomes, as it is said. */
export const WAY_WORDS: Readonly<Record<MountWay, string>> = {
  sits: 'sits on the rail',
  perch: 'perch',
  outrigger: 'outrigger',
  inboard: 'inboard bracket',
  drop: 'drop bracket',
  clash: 'rail in the way',
  'no-rail': 'no rail under it',
};

/** Ways that cannot be as they are. */
export const isBad = (way: MountWay): boolean => way === 'clash' || way === 'no-rail';

import type { JointVerdict } from '@splay/core';
import type { VerdictKind } from '../../ui/verdict.tsx';

/** How a joint's verdict is shown and said. */
export const VERDICT_WORDS: Readonly<Record<JointVerdict, readonly [VerdictKind, string]>> = {
  meets: ['good', 'meets'],
  dress: ['note', 'meets after dressing'],
  'ease-with-a-pie-cut': ['warn', 'kinked: ease it with a pie cut'],
  'needs-a-transition-piece': ['warn', 'needs a transition piece'],
  cannot: ['stop', 'cannot meet'],
};

import { type Choice, words } from '../../ui/table-columns.ts';

/** What a feature's fields offer, in its card and in the table. */
export const FACES = words(['top', 'web-outside', 'web-inside', 'bottom']);
export const ATTACHMENTS = words(['rivets', 'bolts', 'weld', 'hole']);
export const MOVABLE: readonly Choice[] = [
  ['no', 'no'],
  ['re-drill', 'yes, new holes'],
  ['re-weld', 'yes, welded again'],
];

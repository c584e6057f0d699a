import type { Member } from '../db/shop.ts';

/** There is no such thing in this shop, or there is and it is another shop's: the same answer. */
export class NotFound extends Error {}

/** The member's role does not allow it. */
export class Forbidden extends Error {}

/** Reviewers read. @throws Forbidden */
export function mustWrite(member: Member): void {
  if (member.role === 'reviewer') throw new Forbidden('Reviewers can look at everything and change nothing.');
}

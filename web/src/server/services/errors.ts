import { mayRecord, mayWrite, type Role } from '../../shared/roles.ts';
import type { Member } from '../db/shop.ts';

/** There is no such thing in this shop, or there is and it is another shop's: the same answer. */
export class NotFound extends Error {}

/** The member's role does not allow it. */
export class Forbidden extends Error {}

/** What was sent takes more time or memory than anything of this program does. */
export class TooHeavy extends Error {}

/** Too much is being done already: it passes. */
export class Busy extends Error {}

/** A worker ended with an error, and made the answer to it. */
export class AnsweredElsewhere extends Error {
  readonly status: number;
  readonly headers: [string, string][];
  readonly body: string;
  constructor(status: number, headers: [string, string][], body: string) {
    super('answered by a worker');
    this.status = status;
    this.headers = headers;
    this.body = body;
  }
}

/** The shop has stored all that is set aside for it, bytes. */
export class ShopFull extends Error {
  readonly limit: number;
  constructor(limit: number) {
    super('shop full');
    this.limit = limit;
  }
}

/** Owners and fabricators change jobs. @throws Forbidden */
export function mustWrite({ role }: Member): void {
  if (!mayWrite(role)) throw new Forbidden(REFUSED[role]);
}

/** Welders add records too. @throws Forbidden */
export function mustRecord({ role }: Member): void {
  if (!mayRecord(role)) throw new Forbidden(REFUSED[role]);
}

/** Owners manage people. @throws Forbidden */
export function mustManage({ role }: Member): void {
  if (role !== 'owner') throw new Forbidden('Only an owner of the shop manages its people.');
}

const REFUSED: Readonly<Record<Role, string>> = {
  owner: '',
  fabricator: '',
  welder: 'Welders add readings, notes and photos, and change nothing else.',
  reviewer: 'Reviewers can look at everything and change nothing.',
};

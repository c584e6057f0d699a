import type { APIContext, APIRoute } from 'astro';
import type { Member } from '../db/shop.ts';
import { askedBy, Fair } from '../threads/fair.ts';
import { NotFound } from '../services/errors.ts';
import { problem, problemOf } from './problem.ts';

export interface Call {
  readonly request: Request;
  readonly url: URL;
  readonly member: Member;
  /** Id of the job in the path; checked to be one. */
  readonly job: string;
  readonly param: (name: string) => string;
  /** The origin under which whoever sends the request reaches us. */
  readonly origin: string;
  /** The session of whoever is signed in. */
  readonly session: string;
  /** Who sends the request. */
  readonly address: string;
}

/** Bodies that are read and worked on at once: each may be held twice, with what is made of it. */
const large = new Fair(6);
/** A body above this, or of a size that is not told, waits its turn before it is read, bytes. */
const LARGE = 1024 * 1024;

function isLarge({ method, headers }: Request): boolean {
  if (method === 'GET' || method === 'HEAD') return false;
  const length = headers.get('content-length');
  return length === null ? headers.has('transfer-encoding') : Number(length) > LARGE;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

export const isUuid = (id: string): boolean => UUID.test(id);

/** An id from the path, checked to be one. @throws NotFound */
export function uuidOf(id: string): string {
  if (!isUuid(id)) throw new NotFound();
  return id;
}

/** The hash of a picture from the path, checked to be one. @throws NotFound */
export function hashIn(text: string): string {
  if (!/^[0-9a-f]{64}$/.test(text)) throw new NotFound();
  return text;
}

function callOf(context: APIContext, member: Member): Call {
  return {
    request: context.request,
    url: context.url,
    member,
    get job() {
      return uuidOf(context.params.job ?? '');
    },
    param: (name) => context.params[name] ?? '',
    origin: context.locals.origin,
    session: context.locals.session ?? '',
    address: context.locals.address,
  };
}

/** An endpoint for members: nobody else gets past it, and whatever is thrown becomes a problem answer. */
export const endpoint =
  (handle: (call: Call) => Promise<Response>): APIRoute =>
  async (context) => {
    const { member } = context.locals;
    if (!member) return problem(401, 'signed-out', 'Sign in first.');
    const sentBy = context.request.headers.get('splay-person');
    if (sentBy !== null && sentBy !== member.userId)
      return problem(
        401,
        'other-person',
        'Somebody else is signed in in this browser now. Sign in as yourself again: what you did waits on this device.',
      );
    try {
      const work = () => handle(callOf(context, member));
      return await askedBy({ person: member.userId, shop: member.shopId }, () =>
        isLarge(context.request) ? large.run(work) : work(),
      );
    } catch (error) {
      return problemOf(error, `${context.request.method} ${context.routePattern}`);
    }
  };

/** A whole number above 0 from the path. @throws NotFound */
export function wholeNumber(text: string): number {
  if (!/^[1-9]\d{0,8}$/.test(text)) throw new NotFound();
  return Number(text);
}

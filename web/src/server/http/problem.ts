import { InputError, type InputProblem } from '@splay/core';
import type { APIRoute } from 'astro';
import { logError } from '../log.ts';
import { AnsweredElsewhere, Busy, Forbidden, NotFound, ShopFull, TooHeavy } from '../services/errors.ts';
import { NameTaken, StaleRules, TooMany } from '../services/rule-sets.ts';
import { StaleSave } from '../services/jobs.ts';
import { BodyTooLarge } from './body.ts';

/**
 * A response with a known length. Without a length even the smallest would be compressed on its way.
 *
 * @param text The body.
 * @param type Its media type.
 */
function whole(text: string, status: number, type: string): Response {
  const body = Buffer.from(text);
  return new Response(body, {
    status,
    headers: { 'content-type': type, 'content-length': String(body.byteLength), 'cache-control': 'no-store' },
  });
}

/** An error as endpoints answer it (after RFC 9457): what happened, a stable code, and each problem with its path. */
export function problem(
  status: number,
  code: string,
  detail: string,
  extra: { problems?: readonly InputProblem[]; theirs?: unknown } = {},
): Response {
  return whole(JSON.stringify({ status, code, detail, ...extra }), status, 'application/problem+json');
}

export const json = (value: unknown, status = 200): Response =>
  whole(JSON.stringify(value), status, 'application/json');

/** A name as every system takes it for a file. */
export const plainName = (name: string): string =>
  name
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'job';

/** A file to keep, named after a job. */
export function download(body: string | Uint8Array, type: string, jobName: string, extension: string): Response {
  return new Response(body as BodyInit, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${plainName(jobName)}.${extension}"`,
      'cache-control': 'no-store',
    },
  });
}

/** The answer to an error that an endpoint threw. */
export function problemOf(error: unknown, where: string): Response {
  if (error instanceof InputError) {
    const first = error.problems[0];
    return problem(422, first?.code ?? 'input', 'Some of what was sent is not right.', { problems: error.problems });
  }
  if (error instanceof BodyTooLarge) {
    const answer = problem(413, 'body/too-large', `More was sent than is taken here (${error.limit} bytes).`);
    // What is left of the body is not read: this connection cannot carry another request.
    answer.headers.set('connection', 'close');
    return answer;
  }
  if (error instanceof AnsweredElsewhere)
    return new Response(error.body, { status: error.status, headers: error.headers });
  if (error instanceof NotFound) return problem(404, 'not-found', 'There is no such thing in this shop.');
  if (error instanceof Forbidden) return problem(403, 'forbidden', error.message);
  if (error instanceof StaleSave)
    return problem(409, 'save/stale', 'Somebody saved this job since you opened it.', { theirs: error.theirs });
  if (error instanceof StaleRules)
    return problem(
      409,
      'rules/stale',
      'Somebody made a newer version of this rule set: look at it first, then try again.',
    );
  if (error instanceof NameTaken)
    return problem(
      422,
      'rules/name',
      'The shop has a rule set of this name: give it another, or make a new version of that one.',
    );
  if (error instanceof TooMany)
    return problem(422, 'rules/too-many', 'The shop keeps as many rule sets and versions as it can: use one of them.');
  if (error instanceof ShopFull)
    return problem(
      403,
      'shop/full',
      `This shop has stored all ${Math.round(error.limit / 1024 / 1024)} MB that are set aside for it. Nothing of this was stored; whoever runs the server can raise SPLAY_SHOP_LIMIT_MB.`,
    );
  if (error instanceof TooHeavy)
    return problem(
      413,
      'body/too-heavy',
      'What was sent takes longer, or more room, than any job does. Nothing was stored.',
    );
  if (error instanceof Busy)
    return unavailable('Too much is being done just now. Nothing was lost; try again in a moment.');
  logError(error, where);
  if (isFull(error))
    return unavailable(
      'The server’s disk is full: nothing of this was stored. Whoever runs the server makes room; what is on your device waits for it.',
    );
  return passes(error)
    ? unavailable('The server could not do that just now. Nothing was lost; try again in a moment.')
    : problem(
        500,
        'failed',
        'The program failed at that. It was logged; trying again will not help. Nothing was stored.',
      );
}

/** The answer to what will pass: worth trying again. */
function unavailable(detail: string): Response {
  const answer = problem(503, 'unavailable', detail);
  answer.headers.set('retry-after', '2');
  return answer;
}

/** Of a database that is not there, goes, comes, or has no connection left; of sockets. */
const PASSING = /^(08|53|57P|40001|40P01|25P03|ECONN|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN|EHOSTUNREACH)/;
const PASSING_WORDS =
  /timeout exceeded when trying to connect|connection terminated|Client has encountered a connection error/i;

/** Of a database or a file system that has no room left. */
function isFull(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as Error & { readonly code?: unknown };
  return code === '53100' || code === 'ENOSPC' || isFull(error.cause);
}

/** Whether an error is of a kind that passes by itself. */
export function passes(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as Error & { readonly code?: unknown };
  return (
    (typeof code === 'string' && PASSING.test(code)) ||
    PASSING_WORDS.test(error.message) ||
    passes(error.cause) ||
    (error instanceof AggregateError && error.errors.some(passes))
  );
}

/** The answer of an endpoint to methods that it does not have: `export const ALL = notAllowed('GET, POST')`. */
export const notAllowed =
  (allowed: string): APIRoute =>
  () => {
    const answer = problem(405, 'method', `This takes ${allowed}, and nothing else.`);
    answer.headers.set('allow', allowed);
    return answer;
  };

import { InputError, type InputProblem } from '@splay/core';
import { logError } from '../log.ts';
import { Forbidden, NotFound } from '../services/errors.ts';
import { StaleSave } from '../services/jobs.ts';
import { BodyTooLarge } from './body.ts';

/** An error as endpoints answer it (after RFC 9457): what happened, a stable code, and each problem with its path. */
export function problem(
  status: number,
  code: string,
  detail: string,
  extra: { problems?: readonly InputProblem[]; theirs?: unknown } = {},
): Response {
  return new Response(JSON.stringify({ status, code, detail, ...extra }), {
    status,
    headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' },
  });
}

export const json = (value: unknown, status = 200): Response =>
  new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });

/** A file to keep, named after a job. */
export function download(
  body: string | Uint8Array<ArrayBuffer>,
  type: string,
  jobName: string,
  extension: string,
): Response {
  const plain =
    jobName
      .replace(/[^A-Za-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .toLowerCase() || 'job';
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${plain}.${extension}"`,
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
  if (error instanceof NotFound) return problem(404, 'not-found', 'There is no such thing in this shop.');
  if (error instanceof Forbidden) return problem(403, 'forbidden', error.message);
  if (error instanceof StaleSave)
    return problem(409, 'save/stale', 'Somebody saved this job since you opened it.', { theirs: error.theirs });
  logError(error, where);
  return problem(503, 'unavailable', 'The server could not do that just now. Nothing was lost; try again in a moment.');
}

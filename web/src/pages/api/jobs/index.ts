import { randomUUID } from 'node:crypto';
import { InputError } from '@splay/core';
import { endpoint } from '../../../server/http/endpoint.ts';
import { readBytes } from '../../../server/http/body.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { doLong } from '../../../server/queue/queue.ts';
import { mustWrite } from '../../../server/services/errors.ts';
import { listJobs } from '../../../server/services/job-listing.ts';
import { JOB_FILE_LIMIT } from '../../../shared/archive-names.ts';

export const GET = endpoint(async ({ member }) => json(await listJobs(member)));

/**
 * Takes a job file as it is and makes a new job of it. Sent again with the same `idempotency-key` (the answer was lost) it
 * answers with the job that it made the first time.
 */
export const POST = endpoint(async ({ member, request }) => {
  mustWrite(member);
  const key = request.headers.get('idempotency-key');
  if (key !== null && !/^[\w-]{8,80}$/.test(key))
    throw new InputError([
      { code: 'key', path: 'idempotency-key', message: 'A key is 8 to 80 letters, digits, dashes or underscores.' },
    ]);
  const file = await readBytes(request, JOB_FILE_LIMIT);
  // A worker that is killed over it is followed by another, which finds the job that the first one made.
  return json(await doLong(member, 'importJob', file, key ?? randomUUID()), 201);
});

export const ALL = notAllowed('GET, POST');

import { type InputProblem, type Job, JOB_VERSION, type Reading } from '@splay/core';
import type { RevisionNote, SavedJob } from '../shared/saved-job.ts';

export type { RevisionNote, SavedJob };

/** What became of readings that were sent: all that the job has now, and those that were refused. */
export interface AddedReadings {
  readonly readings: readonly Reading[];
  readonly refused: readonly { readonly id: string; readonly message: string }[];
}

export type Refused = {
  readonly ok: false;
  /** `offline`: the request never got an answer, or the server could not do it just now; worth trying again. */
  readonly reason: 'offline' | 'refused' | 'stale' | 'signed-out';
  readonly detail: string;
  readonly problems: readonly InputProblem[];
  readonly theirs?: SavedJob;
};

export type Answer<T> = { readonly ok: true; readonly value: T } | Refused;

async function call<T>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
  const offline: Refused = { ok: false, reason: 'offline', detail: 'The server cannot be reached.', problems: [] };
  try {
    const text = body === undefined ? null : typeof body === 'string' ? body : JSON.stringify(body);
    const response = await fetch(path, {
      method,
      headers: text === null ? {} : { 'content-type': 'application/json' },
      body: text,
    });
    if (response.ok) return { ok: true, value: (await response.json()) as T };
    if (response.status >= 500) return offline;
    const told = (await response.json()) as {
      detail?: string;
      message?: string;
      problems?: InputProblem[];
      theirs?: SavedJob;
    };
    return {
      ok: false,
      reason: response.status === 409 ? 'stale' : response.status === 401 ? 'signed-out' : 'refused',
      detail: told.detail ?? told.message ?? 'The server refused.',
      problems: told.problems ?? [],
      ...(told.theirs ? { theirs: told.theirs } : {}),
    };
  } catch {
    return offline;
  }
}

export const api = {
  signIn: (email: string, password: string) => call<unknown>('POST', '/api/auth/sign-in/email', { email, password }),
  signOut: () => call<unknown>('POST', '/api/auth/sign-out', {}),
  setUp: (form: Record<string, string>) => call<unknown>('POST', '/api/set-up', form),
  importJob: (text: string) => call<SavedJob>('POST', '/api/jobs', text),
  saveJob: (id: string, basedOn: number, label: string, job: Job) =>
    call<SavedJob>('PUT', `/api/jobs/${id}`, { basedOn, label, version: JOB_VERSION, job }),
  revisions: (id: string) => call<RevisionNote[]>('GET', `/api/jobs/${id}/revisions`),
  restore: (id: string, number: number, basedOn: number) =>
    call<SavedJob>('POST', `/api/jobs/${id}/revisions/${number}`, { basedOn }),
  sendReadings: (id: string, readings: readonly Reading[]) =>
    call<AddedReadings>('POST', `/api/jobs/${id}/readings`, readings),
  copyJob: (id: string) => call<SavedJob>('POST', `/api/jobs/${id}/copy`),
  placeJob: (id: string, place: 'listed' | 'archived' | 'deleted') =>
    call<unknown>('PATCH', `/api/jobs/${id}`, { place }),
};

import { type InputProblem, type Job, JOB_VERSION, type LibraryItem, type ShopRecord } from '@splay/core';
import type { ListedItem } from '../shared/listed-item.ts';
import type { AddedRecords } from '../shared/added-records.ts';
import type { RevisionNote, SavedJob } from '../shared/saved-job.ts';

export type { RevisionNote, SavedJob };

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
    const picture = body instanceof Blob ? body : null;
    const text = body === undefined || picture ? null : typeof body === 'string' ? body : JSON.stringify(body);
    const type = picture?.type ?? (text === null ? null : 'application/json');
    const response = await fetch(path, {
      method,
      headers: type === null ? {} : { 'content-type': type },
      body: picture ?? text,
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
  records: (id: string) => call<readonly ShopRecord[]>('GET', `/api/jobs/${id}/records`),
  sendRecords: (id: string, records: readonly ShopRecord[]) =>
    call<AddedRecords>('POST', `/api/jobs/${id}/records`, records),
  sendPicture: (picture: Blob) => call<{ readonly hash: string }>('POST', '/api/attachments', picture),
  libraryItems: () => call<readonly ListedItem[]>('GET', '/api/library'),
  libraryItem: (id: string) => call<LibraryItem>('GET', `/api/library/${id}`),
  keepItem: (text: string) => call<ListedItem>('POST', '/api/library', text),
  dropItem: (id: string) => call<unknown>('DELETE', `/api/library/${id}`),
  copyJob: (id: string) => call<SavedJob>('POST', `/api/jobs/${id}/copy`),
  placeJob: (id: string, place: 'listed' | 'archived' | 'deleted') =>
    call<unknown>('PATCH', `/api/jobs/${id}`, { place }),
};

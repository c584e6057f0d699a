import {
  type InputProblem,
  type Job,
  JOB_VERSION,
  type LibraryItem,
  type PullMeasuredBody,
  type RuleSet,
  type RuleSetVersion,
  type ShopRecord,
} from '@splay/core';
import type { IssuedSheet } from '../shared/issued-sheet.ts';
import type { ListedItem } from '../shared/listed-item.ts';
import type { AddedRecords } from '../shared/added-records.ts';
import type { OpenedJob } from '../shared/opened-job.ts';
import type { GivenLink } from '../shared/people.ts';
import type { Role } from '../shared/roles.ts';
import type { RevisionNote, SavedJob, SavedRevision } from '../shared/saved-job.ts';
import { heardFrom } from './program.ts';

export type { RevisionNote, SavedJob };

type Refused = {
  readonly ok: false;
  /** `offline`: the request never got an answer, or the server could not do it just now; worth trying again. */
  readonly reason: 'offline' | 'refused' | 'stale' | 'signed-out';
  readonly detail: string;
  readonly problems: readonly InputProblem[];
  readonly theirs?: SavedJob;
};

export type Answer<T> = { readonly ok: true; readonly value: T } | Refused;

/** Answers of a server or a proxy that pass by themselves: the same is sent again later. All others would come again. */
const PASSING = [408, 502, 503, 504];

/** Who this page was opened by: told with all that it sends, so that nothing is stored under another's name. */
let person: string | null = null;

/** From now on what this page sends is that person's alone: where somebody else signed in meanwhile the server takes none of it. */
export const sendAs = (id: string): void => {
  person = id;
};

async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  {
    headers = {},
    also = [],
    signal,
  }: {
    readonly headers?: Record<string, string>;
    readonly also?: readonly number[];
    readonly signal?: AbortSignal;
  } = {},
): Promise<Answer<T>> {
  const offline: Refused = { ok: false, reason: 'offline', detail: 'The server cannot be reached.', problems: [] };
  try {
    const picture = body instanceof Blob ? body : null;
    const text = body === undefined || picture ? null : typeof body === 'string' ? body : JSON.stringify(body);
    const type = picture?.type ?? (text === null ? null : 'application/json');
    const response = await fetch(path, {
      method,
      headers: {
        ...headers,
        ...(type === null ? {} : { 'content-type': type }),
        ...(person !== null && method !== 'GET' ? { 'splay-person': person } : {}),
      },
      body: picture ?? text,
      ...(signal && { signal }),
    });
    heardFrom(response);
    if (response.ok || also.includes(response.status)) return { ok: true, value: (await response.json()) as T };
    // A proxy may answer in words of its own.
    const told = (await response.json().catch(() => ({}))) as {
      detail?: string;
      message?: string;
      problems?: InputProblem[];
      theirs?: SavedJob;
    };
    if (PASSING.includes(response.status))
      return { ...offline, detail: told.detail ?? 'The server is not there just now.' };
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
  /** Sent again under the same key it makes no second job. */
  importJob: (text: string, key: string) =>
    call<SavedJob>('POST', '/api/jobs', text, { headers: { 'idempotency-key': key } }),
  saveJob: (id: string, basedOn: number, label: string, job: Job) =>
    call<SavedRevision>('PUT', `/api/jobs/${id}`, { basedOn, label, version: JOB_VERSION, job }),
  /** Makes a backup of everything. */
  backUp: () => call<{ readonly ok: boolean; readonly detail: string }>('POST', '/api/backup', {}),
  /** Gives the marks sheet of the newest revision its number. */
  issueMarks: (id: string) => call<IssuedSheet>('POST', `/api/jobs/${id}/sheets`, {}),
  job: (id: string) => call<SavedJob>('GET', `/api/jobs/${id}`),
  revision: (id: string, number: number) => call<SavedJob>('GET', `/api/jobs/${id}/revisions/${number}`),
  revisions: (id: string) => call<RevisionNote[]>('GET', `/api/jobs/${id}/revisions`),
  restore: (id: string, number: number, basedOn: number) =>
    call<SavedJob>('POST', `/api/jobs/${id}/revisions/${number}`, { basedOn }),
  /** All that a page needs to open a job; a server that does not answer within that time, ms, is not there. */
  openJob: (id: string, within: number) =>
    call<OpenedJob>('GET', `/api/jobs/${id}/open`, undefined, { signal: AbortSignal.timeout(within) }),
  records: (id: string) => call<readonly ShopRecord[]>('GET', `/api/jobs/${id}/records`),
  sendRecords: (id: string, records: readonly ShopRecord[]) =>
    // 409: an id is another record's already; the answer says which, beside those that were stored.
    call<AddedRecords>('POST', `/api/jobs/${id}/records`, records, { also: [409] }),
  sendPicture: (picture: Blob) => call<{ readonly hash: string }>('POST', '/api/attachments', picture),
  invite: (role: Role, email?: string) => call<GivenLink>('POST', '/api/people', { role, ...(email ? { email } : {}) }),
  setRole: (person: string, role: Role) => call<unknown>('PATCH', `/api/people/${person}`, { role }),
  removePerson: (person: string) => call<unknown>('DELETE', `/api/people/${person}`),
  endSessions: (person: string) => call<unknown>('DELETE', `/api/people/${person}/sessions`),
  passwordLink: (person: string) => call<GivenLink>('POST', `/api/people/${person}/password`),
  withdrawLink: (link: string) => call<unknown>('DELETE', `/api/people/links/${link}`),
  rename: (name: string) => call<unknown>('PATCH', '/api/me', { name }),
  changePassword: (current: string, next: string) => call<unknown>('POST', '/api/me/password', { current, next }),
  join: (token: string, form: Record<string, string>) => call<unknown>('POST', `/api/join/${token}`, form),
  libraryItems: () => call<readonly ListedItem[]>('GET', '/api/library'),
  libraryItem: (id: string) => call<LibraryItem>('GET', `/api/library/${id}`),
  keepItem: (text: string) => call<ListedItem>('POST', '/api/library', text),
  dropItem: (id: string) => call<unknown>('DELETE', `/api/library/${id}`),
  pulls: () => call<readonly PullMeasuredBody[]>('GET', '/api/pulls'),
  ruleSets: () => call<readonly RuleSet[]>('GET', '/api/rule-sets'),
  keepRuleSet: (name: string, rules: RuleSetVersion['rules'], why: string) =>
    call<RuleSet>('POST', '/api/rule-sets', { name, rules, why }),
  /** A rule set of an archive, as it is written there. */
  importRuleSet: (set: unknown) => call<RuleSet>('POST', '/api/rule-sets/import', set),
  addRuleVersion: (set: string, basedOn: number, rules: RuleSetVersion['rules'], why: string) =>
    call<RuleSetVersion>('POST', `/api/rule-sets/${set}`, { basedOn, rules, why }),
  copyJob: (id: string) => call<SavedJob>('POST', `/api/jobs/${id}/copy`),
  placeJob: (id: string, place: 'listed' | 'archived' | 'deleted') =>
    call<unknown>('PATCH', `/api/jobs/${id}`, { place }),
};

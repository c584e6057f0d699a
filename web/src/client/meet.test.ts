import { readFileSync } from 'node:fs';
import { type Job, parseJobFile } from '@splay/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { atRest, fakeBrowser, fakeServer, pass } from '../../test/fake-browser.ts';
import { forgetConnection, keepDraft } from './device.ts';
import { change, createJobStore, type JobStore, undo } from './job-store.ts';
import { meet, settle, takeUpDraft } from './meet.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
let store: JobStore;

beforeEach(() => {
  fakeBrowser();
  store = createJobStore({
    saved: { id: 'job', revision: 1, job, savedBy: 'owner', savedAt: '' },
    records: [],
    bench: 'cuts',
    canWrite: true,
    canRecord: true,
    memberName: 'fabricator',
    shopName: 'Shop',
    me: 'me',
    asOf: null,
  });
});
afterEach(async () => {
  await forgetConnection();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const stretched = (length: number) => (old: Job) => ({
  ...old,
  plan: {
    ...old.plan,
    operations: old.plan.operations.map((each) => (each.kind === 'lengthen' ? { ...each, length } : each)),
  },
});
const named = (name: string) => (old: Job) => ({ ...old, name });
const lengthOf = ({ plan }: Job) => plan.operations.find((each) => each.kind === 'lengthen')!.length;
const theirs = (edit: (old: Job) => Job, revision = 2) => ({
  id: 'job',
  revision,
  job: edit(job),
  savedBy: 'owner',
  savedAt: '2026-06-01T10:00:00Z',
});
const state = () => store.getState();

describe('a version that another page saved', () => {
  it('is taken up at once where nothing was changed here, and the page shows what changed, with figures', async () => {
    await meet(store, theirs(stretched(400)));
    expect(state()).toMatchObject({ revision: 2, saveState: 'saved', news: { by: 'owner', revision: 2 } });
    expect(state().job).toBe(state().savedJob);
    expect(lengthOf(state().job)).toBe(400);
    expect(state().news!.changes.map(({ say }) => say)).toEqual(['A·B 14 3/4 → 15 3/4']);
  });

  it('is brought together with what was changed here, and undo takes back nothing of it', async () => {
    change(store, 'Renamed', named('First'));
    change(store, 'Renamed', named('Second'));
    await meet(store, theirs(stretched(400)));
    expect(state()).toMatchObject({ revision: 2, saveState: 'changed', job: { name: 'Second' } });
    expect(lengthOf(state().job)).toBe(400);
    undo(store);
    expect([state().job.name, lengthOf(state().job)]).toEqual(['First', 400]);
    undo(store);
    expect([state().job.name, lengthOf(state().job)]).toEqual([job.name, 400]);
  });

  it('an older one, or one that this page has, changes nothing', async () => {
    const before = state();
    await meet(store, theirs(stretched(400), 1));
    expect(state()).toBe(before);
  });

  it('asks where both changed the same field; mine goes on, theirs stays in the history', async () => {
    change(store, 'Mine', stretched(390));
    await meet(store, theirs(stretched(400)));
    expect(state()).toMatchObject({ saveState: 'stale', conflicts: [{ mine: 390, theirs: 400 }] });
    expect(await settle(store, [])).toBe('');
    expect(state()).toMatchObject({ saveState: 'changed', revision: 2, theirs: null, conflicts: [] });
    expect(lengthOf(state().job)).toBe(390);
    expect(lengthOf(state().savedJob)).toBe(400);
  });

  it('where theirs is chosen, mine is saved first as a revision of its own', async () => {
    const asked = fakeServer((_, __, body) => ({
      status: 200,
      body: { id: 'job', revision: 3, job: (body as { job: Job }).job, savedBy: 'fabricator', savedAt: '' },
    }));
    change(store, 'Mine', (old) => named('Bread van')(stretched(390)(old)));
    await meet(store, theirs(stretched(400)));
    expect(await settle(store, state().conflicts)).toBe('');
    expect(asked).toMatchObject([{ method: 'PUT', body: { basedOn: 2, label: 'Kept beside what was chosen' } }]);
    expect(lengthOf((asked[0]!.body as { job: Job }).job)).toBe(390);
    expect(state()).toMatchObject({ revision: 3, saveState: 'changed', job: { name: 'Bread van' } });
    expect(lengthOf(state().job)).toBe(400);
  });

  it('that does not go with what was changed here is asked for as a whole', async () => {
    const { features } = job.donor;
    const datum = features.find(({ id }) => id === job.donor.datum)!;
    const hole = features.find(({ kind, id }) => kind === 'hole' && id !== datum.id)!;
    // Here another hole becomes the datum; there that hole is taken out.
    change(store, 'Datum', (old) => ({ ...old, donor: { ...old.donor, datum: hole.id } }));
    await meet(
      store,
      theirs((old) => ({ ...old, donor: { ...old.donor, features: features.filter(({ id }) => id !== hole.id) } })),
    );
    expect(state()).toMatchObject({ saveState: 'stale', conflicts: [{ path: [] }] });
    expect(state().job.donor.datum).toBe(hole.id);
  });
});

describe('what a page that was left had not saved', () => {
  it('is gone on with, and nothing is asked', async () => {
    await keepDraft('job', { basedOn: 1, version: 12, job: named('Left')(job) });
    await takeUpDraft(store);
    expect(state()).toMatchObject({ job: { name: 'Left' }, saveState: 'saved', revision: 1 });
    expect(state().job).not.toBe(state().savedJob);
  });

  it('is brought together with what was saved meanwhile', async () => {
    store = createJobStore({ ...state(), saved: theirs(stretched(400), 4), records: [], asOf: null });
    await keepDraft('job', { basedOn: 1, version: 12, job: named('Left')(job) });
    fakeServer((_, path) => ({
      status: 200,
      body: path.endsWith('/revisions/1') ? theirs((old) => old, 1) : theirs(stretched(400), 4),
    }));
    await takeUpDraft(store);
    await pass(0);
    await atRest();
    expect(state()).toMatchObject({ job: { name: 'Left' }, revision: 4, saveState: 'changed' });
    expect(lengthOf(state().job)).toBe(400);
  });
});

import { readFileSync } from 'node:fs';
import { type Job, parseJobFile } from '@splay/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { change, createJobStore, jobNow, jobRested, noteRests, preview, redo, takeTheirs, undo } from './job-store.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const open = (canWrite = true) =>
  createJobStore({
    saved: { id: 'job', revision: 3, job, savedBy: 'owner', savedAt: '2026-01-01T00:00:00Z' },
    records: [],
    bench: 'cuts',
    canWrite,
    canRecord: canWrite,
    memberName: 'owner',
    shopName: 'Shop',
    me: 'me',
    asOf: null,
  });
const named = (name: string) => (old: Job) => ({ ...old, name });

describe('an open job', () => {
  it('is changed one step of undo at a time', () => {
    const store = open();
    change(store, 'First', named('one'));
    change(store, 'Second', named('two'));
    expect(store.getState()).toMatchObject({ job: { name: 'two' }, labels: ['First', 'Second'] });
    undo(store);
    expect(store.getState().job.name).toBe('one');
    undo(store);
    expect(store.getState().job).toBe(job);
    redo(store);
    redo(store);
    expect(store.getState().job.name).toBe('two');
  });

  it('a change after an undo drops what was undone', () => {
    const store = open();
    change(store, 'First', named('one'));
    undo(store);
    change(store, 'Other', named('other'));
    redo(store);
    expect(store.getState().job.name).toBe('other');
  });

  it('what changes nothing is no step', () => {
    const store = open();
    change(store, 'Nothing', (old) => old);
    expect(store.temporal.getState().pastStates).toEqual([]);
    expect(store.getState().labels).toEqual([]);
  });

  it('selecting, looking and reading are not undone', () => {
    const store = open();
    store.setState({ selected: 'stretch', look: { builtX: 100, about: null } });
    change(store, 'First', named('one'));
    store.setState({ selected: 'other' });
    undo(store);
    expect(store.getState()).toMatchObject({ selected: 'other', job: { name: job.name } });
  });

  it('a drag is shown without being a change, and dropped by the change that follows it', () => {
    const store = open();
    preview(store, named('dragged'));
    expect(store.getState()).toMatchObject({ job: { name: job.name }, preview: { name: 'dragged' } });
    expect(store.temporal.getState().pastStates).toEqual([]);
    const shown = store.getState().preview!;
    change(store, 'Moved a cut', () => shown);
    expect(store.getState()).toMatchObject({ job: { name: 'dragged' }, preview: null });
    undo(store);
    expect(store.getState().job).toBe(job);
  });

  it('a drag that ends where it began leaves nothing', () => {
    const store = open();
    preview(store, named('dragged'));
    change(store, 'Moved a cut', (old) => old);
    expect(store.getState()).toMatchObject({ preview: null, labels: [] });
  });

  it('a reviewer changes and drags nothing', () => {
    const store = open(false);
    change(store, 'First', named('one'));
    preview(store, named('dragged'));
    expect(store.getState()).toMatchObject({ job: { name: job.name }, preview: null, labels: [] });
  });

  it('the same label twice running is said once', () => {
    const store = open();
    change(store, 'Nudged a cut', named('one'));
    change(store, 'Nudged a cut', named('two'));
    change(store, 'Added trim', named('three'));
    expect(store.getState().labels).toEqual(['Nudged a cut', 'Added trim']);
  });

  it('taking the server’s version can be undone to what was here', () => {
    const store = open();
    change(store, 'Mine', named('mine'));
    const theirs = {
      id: 'job',
      revision: 9,
      job: named('theirs')(job),
      savedBy: 'other',
      savedAt: '2026-01-01T00:00:00Z',
    };
    store.setState({ saveState: 'stale', theirs });
    takeTheirs(store, theirs);
    expect(store.getState()).toMatchObject({ job: { name: 'theirs' }, revision: 9, saveState: 'saved', theirs: null });
    undo(store);
    expect(store.getState().job.name).toBe('mine');
  });
});

describe('while something is dragged', () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'performance'] }));
  afterEach(() => void vi.useRealTimers());

  const names = (store: ReturnType<typeof open>) => [jobNow(store.getState()).name, jobRested(store.getState()).name];

  it('the board is up with the hand, all else follows when it rests', () => {
    const store = open();
    noteRests(store);
    preview(store, named('one'));
    expect(names(store)).toEqual(['one', job.name]);
    vi.advanceTimersByTime(160);
    expect(names(store)).toEqual(['one', 'one']);
    preview(store, named('two'));
    expect(names(store)).toEqual(['two', 'one']);
  });

  it('both show at once what it is dropped at, and what is undone', () => {
    const store = open();
    noteRests(store);
    preview(store, named('one'));
    vi.advanceTimersByTime(160);
    preview(store, named('two'));
    change(store, 'Moved', () => store.getState().preview ?? job);
    expect(names(store)).toEqual(['two', 'two']);
    vi.advanceTimersByTime(2000);
    undo(store);
    expect(names(store)).toEqual([job.name, job.name]);
  });

  it('a second drag begins from where the first one was dropped', () => {
    const store = open();
    noteRests(store);
    preview(store, named('one'));
    vi.advanceTimersByTime(160);
    change(store, 'Moved', named('dropped'));
    preview(store, named('again'));
    expect(names(store)).toEqual(['again', 'dropped']);
  });

  it('nothing comes after the page has gone', () => {
    const store = open();
    const stop = noteRests(store);
    preview(store, named('one'));
    stop();
    vi.advanceTimersByTime(2000);
    expect(names(store)).toEqual(['one', job.name]);
  });
});

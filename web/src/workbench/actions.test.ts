import { inches, type Operation } from '@splay/core';
import type { KeyboardEvent } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoJob, openStore } from '../../test/demo.ts';
import { undo } from '../client/job-store.ts';
import { workbenchActions } from './actions.ts';

const { job } = demoJob('parcel-van');
function open() {
  const store = openStore(job);
  return { store, actions: workbenchActions(store) };
}
const stretch = job.plan.operations.find(({ kind }) => kind === 'lengthen')!;
const placeIn = (operations: readonly Operation[]) => {
  const found = operations.find(({ id }) => id === stretch.id);
  return found?.kind === 'lengthen' ? found.at.x : Number.NaN;
};
const key = (name: string, held: Partial<KeyboardEvent> = {}) =>
  ({ key: name, shiftKey: false, altKey: false, preventDefault: () => undefined, ...held }) as KeyboardEvent;

afterEach(() => vi.unstubAllGlobals());

describe('what the board asks for', () => {
  const was = placeIn(job.plan.operations);

  it('a drag shows the cut at whole sixteenths from the datum hole, and the drop makes it one change', () => {
    const { store, actions } = open();
    actions.onDragCut(stretch.id, 10);
    actions.onDragCut(stretch.id, 33.3);
    const shown = placeIn(store.getState().preview!.plan.operations);
    expect((shown - was) / inches(1 / 16)).toBeCloseTo(21, 9);
    expect(placeIn(store.getState().job.plan.operations)).toBe(was);
    actions.onDropCut();
    expect(placeIn(store.getState().job.plan.operations)).toBe(shown);
    undo(store);
    expect(placeIn(store.getState().job.plan.operations)).toBe(was);
  });

  it('a drag back to where it began is no change', () => {
    const { store, actions } = open();
    actions.onDragCut(stretch.id, 30);
    actions.onDragCut(stretch.id, 0.1);
    actions.onDropCut();
    expect(store.getState()).toMatchObject({ job, preview: null, labels: [] });
  });

  it.each([
    ['ArrowRight', {}, 1],
    ['ArrowLeft', {}, -1],
    ['ArrowRight', { shiftKey: true }, 8],
    ['ArrowLeft', { altKey: true }, -0.25],
  ])('%s %j nudges by %s sixteenths', (name, held, sixteenths) => {
    const { store, actions } = open();
    actions.onNudgeCut(stretch.id, key(name, held));
    expect(placeIn(store.getState().job.plan.operations)).toBeCloseTo(was + sixteenths * inches(1 / 16), 9);
  });

  it('other keys, and cuts that are not there, do nothing', () => {
    const { store, actions } = open();
    actions.onNudgeCut(stretch.id, key('ArrowUp'));
    actions.onNudgeCut('nothing', key('ArrowRight'));
    actions.onDragCut('nothing', 50);
    expect(store.getState().job).toBe(job);
  });

  it('a conflict is gone to where it is on the built frame, also when only its donor station is known', () => {
    const { store, actions } = open();
    const conflict = {
      code: 'x',
      severity: 'stop',
      operation: null,
      about: 'rear',
      message: '',
      fixes: [],
      key: 'x',
      acceptable: false,
      accepted: null,
    } as const;
    actions.onPickConflict({ ...conflict, donorX: was + 500, builtX: null });
    expect(store.getState().look!.builtX).toBeCloseTo(was + 500 + inches(14.75), 6);
    expect(store.getState()).toMatchObject({ selected: 'rear', look: { about: 'rear' } });
    actions.onPickConflict({ ...conflict, operation: stretch.id, donorX: null, builtX: 77 });
    expect(store.getState()).toMatchObject({ selected: stretch.id, look: { builtX: 77 } });
  });

  it('another bench has its own address, and nothing selected', () => {
    const pushed: string[] = [];
    vi.stubGlobal('history', { pushState: (_: unknown, __: string, path: string) => pushed.push(path) });
    const { store, actions } = open();
    actions.onSelect(stretch.id);
    actions.onLook(100);
    actions.onBench('cuts');
    expect(store.getState().selected).toBe(stretch.id);
    actions.onBench('marks');
    expect(pushed).toEqual(['/jobs/job/marks']);
    expect(store.getState()).toMatchObject({ bench: 'marks', selected: null, look: null });
  });
});

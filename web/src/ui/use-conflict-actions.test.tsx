import { evaluatePlan, type Job, PLAIN_BUTT } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob, openStore } from '../../test/demo.ts';
import { renderHook } from '../../test/page.ts';
import { useConflictActions } from './use-conflict-actions.ts';

const { job: van } = demoJob('parcel-van');
const weak: Job = {
  ...van,
  plan: { ...van.plan, splices: [{ joint: 'stretch/1', rails: PLAIN_BUTT, others: [] }] },
};
const weakOf = (job: Job) => evaluatePlan(job).conflicts.find(({ code }) => code === 'splice-weak')!;

function opened(canWrite = true) {
  const store = openStore(weak, [], canWrite);
  const { result } = renderHook(() => useConflictActions({ store, canWrite }));
  return { store, actions: result.current, now: () => store.getState().job };
}

describe('what can be done about a conflict', () => {
  it('a suggested fix is carried out as one change that can be undone', () => {
    const { store, actions, now } = opened();
    const way = weakOf(weak).fixes.find(({ edit }) => edit)!;
    actions!.onEdit(way.edit!, way.say);
    expect(evaluatePlan(now()).splices[0]!.worst.strength!.ratio).toBe(1);
    expect(store.getState().labels).toEqual([way.say]);
  });

  it('it is accepted once, with its reason and who said so, and taken back', () => {
    const { actions, now } = opened();
    const conflict = weakOf(weak);
    actions!.onAccept(conflict, 'a parking brake carrier');
    actions!.onAccept(conflict, 'the engineer signed it');
    expect(now().plan.accepted.filter((one) => one.conflict === conflict.key)).toEqual([
      { conflict: conflict.key, reason: 'the engineer signed it', by: 'owner' },
    ]);
    expect(weakOf(now()).accepted).toMatchObject({ reason: 'the engineer signed it' });
    actions!.onTakeBack(conflict);
    expect(now().plan.accepted).toEqual(weak.plan.accepted);
    expect(weakOf(now()).accepted).toBeNull();
  });

  it('an acceptance of what is not there any more goes with it', () => {
    const { actions, now } = opened();
    const conflict = weakOf(weak);
    actions!.onAccept(conflict, 'a parking brake carrier');
    actions!.onEdit({ do: 'drop', operation: 'stretch' }, 'Dropped the stretch');
    expect(now().plan.accepted.some((one) => one.conflict === conflict.key)).toBe(false);
    expect(now().plan.splices).toEqual([]);
  });

  it('nothing, where nothing may be changed', () => {
    expect(opened(false).actions).toBeUndefined();
  });
});

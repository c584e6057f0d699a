import { type Job, emptyPlan, evaluatePlan, sectionLookup, shiftOperation, withOperation } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { crossmembersOf } from '../../board/crossmember-marks.tsx';
import { wheelsOf } from '../../board/ground.tsx';
import { rearBefore } from './layer.tsx';
import { alike } from '../../ui/memoized.ts';
import { movedThings } from './moved-things.tsx';

const { job } = demoJob('parcel-van');
const section = sectionLookup(job.donor);
const nothing = () => false;

/** The flagship with its stretch moved by mm. */
function moved(mm: number): Job {
  const stretch = job.plan.operations.find(({ kind }) => kind === 'lengthen');
  if (!stretch) throw new Error('the flagship is stretched');
  return { ...job, plan: withOperation(job.plan, shiftOperation(stretch, mm)) };
}

const ground = (of: Job) => {
  const result = evaluatePlan(of);
  return { wheels: wheelsOf(result), members: crossmembersOf(result, section, nothing) };
};

describe('what lies under the steel', () => {
  it('is the same, by value, while the stretch is dragged over plain rail', () => {
    const [before, after] = [ground(moved(0)), ground(moved(12.7))];
    expect(before.members).not.toBe(after.members);
    expect(alike(before, after)).toBe(true);
  });

  it('changes when the cut passes a crossmember, which then stays ahead of it', () => {
    const far = ground(moved(-400));
    const stayed = ground(moved(0)).members.filter(
      ({ id, x }) => far.members.find((other) => other.id === id)?.x !== x,
    );
    expect(stayed).toHaveLength(1);
    expect(alike(ground(moved(0)), far)).toBe(false);
  });

  it('has crossmembers from inside edge to inside edge, and marks what does not fit any more', () => {
    const { members } = ground(job);
    for (const { left, right, misfit } of members) {
      expect(left).toBeLessThan(0);
      expect(right).toBeCloseTo(-left, 9);
      expect(misfit).toBe(false);
    }
    const common = { id: 'wide', note: '', off: false } as const;
    const widen = { ...common, kind: 'widen', amount: 50, from: null, to: null, transition: 0 } as const;
    const wider = evaluatePlan({ ...job, plan: { ...emptyPlan('Wider'), operations: [widen] } });
    const all = crossmembersOf(wider, section, (id) => id === members[0]!.id);
    expect(all.every(({ misfit }) => misfit)).toBe(true);
    expect(all.filter(({ chosen }) => chosen).map(({ id }) => id)).toEqual([members[0]!.id]);
    expect(all[0]!.right - all[0]!.left).toBeCloseTo(members[0]!.right - members[0]!.left + 50, 6);
  });

  it('shows the rear wheel where it was only when the plan moves it', () => {
    const donor = evaluatePlan({ ...job, plan: emptyPlan('') });
    expect(rearBefore(donor, donor)).toBeNull();
    const before = rearBefore(evaluatePlan(job), donor);
    expect(before?.wheelbase).toBeCloseTo(141 * 25.4, 6);
    expect(before?.wheel.x).toBeCloseTo(141 * 25.4, 6);
  });
});

describe('what moved', () => {
  it('is what the plan moves on purpose, the axles, and what is selected; what goes is told with its reason', () => {
    const result = evaluatePlan(job);
    const { leaders, gone } = movedThings(result, null);
    expect(leaders.map(({ id }) => id)).toEqual(['cm-10', 'front', 'rear']);
    expect(gone.map(({ name }) => name)).toEqual(expect.arrayContaining(['Hitch bracket', 'Hole 14']));
    for (const { reason } of gone) expect(reason).not.toBe('');
    const hanger = job.donor.features.find(({ kind }) => kind === 'spring-hanger')!;
    expect(movedThings(result, hanger.id).leaders.map(({ id }) => id)).toContain(hanger.id);
  });
});

import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { isBeside, worstRatio } from '../plan/index.ts';
import { evaluateJob, figureOf, type FigureId, type Job } from './index.ts';

const figure = (id: FigureId, job: Job) => figureOf(id, job, evaluateJob(job, []));
const mountings = evaluateJob(van, []).plan.mountings;
const without = (count: number): Job => ({
  ...van,
  plan: { ...van.plan, mountings: van.plan.mountings.slice(count) },
});
const bare: Job = { ...van, bodies: [], plan: { ...van.plan, seats: [], mountings: [] } };

describe('the figures of the mounts', () => {
  it('so many are decided, and the first that is not is named', () => {
    expect(figure('mounts-decided', van)).toMatchObject({
      after: { words: `${mountings.length} of ${mountings.length}` },
      note: 'how each is made',
    });
    const one = figure('mounts-decided', without(1));
    expect(one.after).toEqual({ words: `${mountings.length - 1} of ${mountings.length}` });
    expect(one.note).toMatch(/^open: M\d+[LR]$/);
  });

  it('the tallest is of those that stand on the rail, the hardest worked of all', () => {
    const standing = mountings.filter(({ mounting: { bracket } }) => bracket.form !== 'none' && !isBeside(bracket));
    expect(standing.length).toBeGreaterThan(0);
    expect(standing.length).toBeLessThan(mountings.length);
    expect(figure('tallest-bracket', van).after).toEqual({ mm: Math.max(...standing.map(({ height }) => height!)) });
    const worst = Math.max(...mountings.map((one) => worstRatio(one) ?? 0));
    expect(figure('weakest-bracket', van).after).toEqual({ words: `${Math.ceil(worst * 100)} %` });
  });

  it('brackets to make are counted by their kind', () => {
    const { after, note } = figure('brackets-to-make', van);
    const count = mountings.filter(({ mounting }) => mounting.bracket.form !== 'none').length;
    expect(after).toEqual({ words: String(count) });
    const told = [...note.matchAll(/(\d+) /g)].reduce((sum, [, some]) => sum + Number(some), 0);
    expect(told).toBe(count);
  });

  it('without a body there is none of them', () => {
    for (const id of ['mounts-decided', 'brackets-to-make'] as const)
      expect(figure(id, bare)).toMatchObject({ after: null, note: 'no mounts yet' });
    expect(figure('tallest-bracket', bare)).toMatchObject({ after: null, restsOn: [] });
    expect(figure('weakest-bracket', bare)).toMatchObject({ after: null, note: 'loads not known yet' });
  });
});

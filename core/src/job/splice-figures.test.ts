import { describe, expect, it } from 'vitest';
import { beach, sprayer, tour, van } from '../../test/joints.ts';
import { PLAIN_BOLTED, PLAIN_BUTT, ratioText } from '../plan/index.ts';
import { RULES } from '../rules/index.ts';
import { evaluateJob, figureOf, type FigureId, type Job } from './index.ts';

const figure = (id: FigureId, job: Job) => figureOf(id, job, evaluateJob(job, []));
const joined = (job: Job, splices: Job['plan']['splices']): Job => ({ ...job, plan: { ...job.plan, splices } });
const open = joined(van, []);
const oneOpen = joined(van, [{ joint: 'stretch/1', rails: PLAIN_BUTT, others: [] }]);

describe('the figures of the joints', () => {
  it.each([van, sprayer, tour])('the weakest is the least ratio of all rails and members: $name', (job) => {
    const ratios = evaluateJob(job, []).plan.splices.flatMap(({ rails }) =>
      rails.map(({ strength }) => strength!.ratio),
    );
    expect(figure('joint-ratio', job).after).toEqual({ words: ratioText(Math.min(...ratios)) });
  });

  it('one that nobody has decided on says so, and one that cannot be calculated comes before all others', () => {
    expect(figure('joint-ratio', open)).toMatchObject({
      after: { words: '0.60' },
      note: 'joint A, of the bare rail, not decided',
    });
    const bare = joined(van, [...oneOpen.plan.splices, { joint: 'stretch/2', rails: PLAIN_BOLTED, others: [] }]);
    expect(figure('joint-ratio', bare)).toMatchObject({
      after: { words: 'cannot' },
      note: 'joint B, of the bare rail',
    });
    const high = van.plan.splices.map((splice) => ({
      ...splice,
      rails: { ...splice.rails, plates: splice.rails.plates.map((plate) => ({ ...plate, depth: 900 })) },
    }));
    expect(figure('joint-ratio', joined(van, high))).toMatchObject({ after: { words: 'cannot' } });
  });

  it('so many are decided, and those that are not are named', () => {
    expect(figure('joints-decided', van)).toMatchObject({ after: { words: '2 of 2' }, note: 'how each is made' });
    expect(figure('joints-decided', open)).toMatchObject({ after: { words: '0 of 2' }, note: 'open: A·B' });
    expect(figure('joints-decided', oneOpen)).toMatchObject({ after: { words: '1 of 2' }, note: 'open: B' });
  });

  it('the weld in all is that of every rail', () => {
    const lengths = evaluateJob(tour, []).plan.splices.flatMap(({ rails }) => rails.map(({ weld }) => weld.length));
    expect(lengths.length).toBeGreaterThan(4);
    expect(figure('weld-length', tour).after).toEqual({
      mm: expect.toBeNear(
        lengths.reduce((a, b) => a + b),
        1e-9,
      ),
    });
  });

  it('the weakest in fatigue is the class that lasts the fewest cycles, with its place', () => {
    expect(figure('worst-detail', open)).toMatchObject({
      after: { words: `class ${RULES['fatigue/butt-one-side'].value}` },
      note: expect.stringMatching(/^A: /) as string,
    });
  });

  it('a plan without joints has none of them, and none is made up', () => {
    const none: Job = { ...beach, plan: { ...beach.plan, operations: [], splices: [], fittings: [], accepted: [] } };
    expect(figure('joint-ratio', none)).toMatchObject({ after: null, note: 'no joint yet', restsOn: [] });
    expect(figure('worst-detail', none)).toMatchObject({ after: null, note: 'no joint yet' });
    expect(figure('joints-decided', none).after).toEqual({ words: '0 of 0' });
    expect(figure('weld-length', none).after).toEqual({ mm: 0 });
  });

  it('each rests on the operation that makes the joint', () => {
    expect(figure('joint-ratio', van).restsOn.map(({ ref }) => ref?.id)).toContain('stretch');
  });
});

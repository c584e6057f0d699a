import { describe, expect, it } from 'vitest';
import { van, sprayer, on, proposing, calculate } from '../../../test/joints.ts';
import { type Job } from '../../job/index.ts';
import { markSheet } from '../../markout/index.ts';
import { type Section } from '../../sections/index.ts';
import { type SpliceSleeve } from '../../splice/index.ts';
import { contextOf } from '../context.ts';
import { evaluatePlan } from '../evaluate-plan.ts';
import { findSleeves, inTheWay, PLAIN_BUTT, spliceParts, usualSleeve } from './index.ts';

describe('sleeves', () => {
  const finding = (job: Job, rack = job.rack) => ({
    ...on(job),
    splice: PLAIN_BUTT,
    rack,
    result: evaluatePlan(job),
    sectionOf: (id: string) => job.donor.sections.find((named) => named.id === id)!.section,
    show: contextOf(job).show,
  });

  it('are found on the rack first, with what has to be done to each', () => {
    const found = findSleeves(finding(sprayer));
    expect(found[0]).toMatchObject({ from: 'rack', fit: { fit: 'wedge' }, against: [] });
    const short = found.find(({ tube }) => tube.name.includes('offcut'))!;
    expect(short.against.join()).toMatch(/too short.*/);
    for (const { splice, ratio } of found) {
      const { made, strength } = calculate(splice, sprayer);
      expect(made.problems.map(({ message }) => message)).toEqual([]);
      expect(ratio).toBe(strength!.ratio);
    }
  });

  it('a rail that comes out is no sleeve for its own like, and none goes into a round tube', () => {
    expect(findSleeves(finding(sprayer, [])).some(({ from }) => from === 'frame')).toBe(false);
    const round: Section = { kind: 'round', depth: 100, thickness: 4 };
    expect(findSleeves({ ...finding(sprayer), steel: { section: round, material: sprayer.donor.material } })).toEqual(
      [],
    );
  });

  it('name the bolts and rivets in their way, not the welds and not bare holes', () => {
    const result = evaluatePlan(van);
    const way = inTheWay(result, result.splices[1]!.joint, 'left', [-300, 300]);
    expect(way).toContain('Harness clip 5');
    expect(way).not.toContain('Hole 6');
  });

  it('that run through reach from beyond one joint to beyond the other, and both joints have them', () => {
    const sleeve: SpliceSleeve = { ...usualSleeve('inner', { form: 'butt' }, proposing)!, through: true };
    const made = (changes: Partial<SpliceSleeve>) => ({ ...PLAIN_BUTT, sleeve: { ...sleeve, ...changes } });
    const job = (changes: Partial<SpliceSleeve> = {}): Job => ({
      ...van,
      plan: {
        ...van.plan,
        splices: [
          { joint: 'stretch/1', rails: made(changes), others: [] },
          { joint: 'stretch/2', rails: PLAIN_BUTT, others: [] },
        ],
      },
    });
    const [a, b] = evaluatePlan(job()).splices;
    expect(a!.rails[0]!.reach.all).toEqual([-sleeve.ahead, expect.toBeNear(374.65 + sleeve.behind, 1e-6)]);
    expect(b).toMatchObject({ sleeveFrom: 'A' });
    expect(b!.worst.strength!.ratioAtWeld).toBeGreaterThan(1);
    const long = spliceParts(evaluatePlan(job()), job()).filter(({ name }) => name === 'inner sleeve');
    expect(long.map(({ mark, length }) => [mark, length])).toEqual(
      ['A1L', 'A1R'].map((mark) => [mark, expect.toBeNear(374.65 + 2 * sleeve.ahead, 1e-6)]),
    );
    const capped = job({ caps: true });
    const alone = evaluatePlan(capped);
    expect(alone.splices[0]!.worst.strength!.ratioAtWeld).toBeLessThan(a!.worst.strength!.ratioAtWeld);
    expect(markSheet(capped, alone).newPieces).toEqual([]);
    expect(
      spliceParts(alone, capped)
        .filter(({ name }) => name.startsWith('cap'))
        .map(({ length }) => length),
    ).toHaveLength(6);
  });
});

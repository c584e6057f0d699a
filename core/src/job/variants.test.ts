import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { JOB_VERSION } from './job.ts';
import { evaluatePlan, summaryOf } from '../plan/index.ts';
import { NO_SHORING } from '../shoring/index.ts';
import { readingsIn } from '../records/index.ts';
import { inches } from '../units/index.ts';
import {
  checkJob,
  checkRules,
  isPlanName,
  type Job,
  MOST_VARIANTS,
  nameForVariant,
  parseJobFile,
  plansOf,
  setAside,
  takeUp,
  withoutVariant,
  withPlanNamed,
} from './index.ts';

const read = (path: string) => readFileSync(new URL(`../../../${path}`, import.meta.url), 'utf8');
const { job } = parseJobFile(read('demo/orchard-sprayer.json'));
const body = job.bodies[0]!;
const names = (of: Job) => plansOf(of).map(({ name }) => name);
const [straight, obvious, links] = names(job) as [string, string, string];

describe('variants', () => {
  it('the sprayer has three ways to the same wheelbase, of which the obvious one does not meet', () => {
    const results = plansOf(job).map((plan) => evaluatePlan({ ...job, plan }));
    for (const { measures } of results) expect(measures.after.wheelbase).toBeNear(inches(133.875), 1e-6);
    expect(results.map(({ joints }) => joints.map(({ verdict }) => verdict))).toEqual([
      ['meets'],
      ['needs-a-transition-piece'],
      ['meets'],
    ]);
    // Both rails taper 2 1/4 in over 38 in; the right one starts 3/32 in farther out.
    const { left, right } = results[1]!.joints[0]!.sides;
    expect(left.dy).toBeNear(inches((23.625 / 38) * 2.25), 1e-3);
    expect(right.dy).toBeNear(-inches((23.625 / 38) * (17.59375 - 15.25)), 1e-3);
    for (const { conflicts } of results) expect(conflicts.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });

  it('says what each costs', () => {
    const [a, b, c] = plansOf(job).map((plan) => summaryOf(evaluatePlan({ ...job, plan })));
    expect(a).toMatchObject({ operations: 4, joints: 1, newRail: 0, stops: [], decisions: [], remade: [] });
    expect(a!.gone).toEqual(['Bed mount 2', 'Tank strap 1', 'Tank strap 2']);
    for (const { cutAway } of [a!, b!, c!]) expect(cutAway).toBeNear(inches(23.625), 1e-6);
    expect(b!.gone).toEqual(['Bed mount 1', 'Hole 4']);
    expect(b!.remade).toEqual(['Crossmember 4, mid']);
    expect(b!.worstJoint!.verdict).toBe('needs-a-transition-piece');
    expect(b!.decisions.map(({ code }) => code)).toEqual(['crossmember-width', 'joint-needs-a-transition-piece']);
    expect(c!.gone).toEqual(['Tank strap 1', 'Tank strap 2']);
    expect(c!.remade).toEqual(['Bed mount 2']);
  });

  it('taking one up keeps the plan in hand in its place, and taking that up again gives the job back', () => {
    const taken = takeUp(job, obvious);
    expect(names(taken)).toEqual([obvious, straight, links]);
    expect(taken.plan).toBe(job.variants[0]);
    expect(takeUp(taken, straight)).toEqual(job);
    expect(takeUp(job, 'no such plan')).toBe(job);
  });

  it('setting the plan aside goes on with a copy or with nothing, and never with a name that is taken', () => {
    const name = nameForVariant(job);
    const copy = setAside(job, name, 'copy');
    expect(names(copy)).toEqual([name, obvious, links, straight]);
    expect(copy.plan.operations).toBe(job.plan.operations);
    expect(copy.plan.note).toBe('');
    expect(setAside(job, name, 'empty').plan.operations).toEqual([]);
    expect(setAside(job, links, 'copy')).toBe(job);
    expect(() => checkJob(copy)).not.toThrow();
    expect(nameForVariant(copy)).not.toBe(name);
  });

  it('no more are kept than a job file takes', () => {
    let full = job;
    while (full.variants.length < MOST_VARIANTS) full = setAside(full, nameForVariant(full), 'copy');
    expect(() => checkJob(full)).not.toThrow();
    expect(setAside(full, nameForVariant(full), 'copy')).toBe(full);
  });

  it('a name is taken by any plan but the one that has it', () => {
    expect(isPlanName(job, links)).toBe(false);
    expect(isPlanName(job, links, links)).toBe(true);
    expect(isPlanName(job, '  ')).toBe(false);
    expect(withPlanNamed(job, straight, { name: links })).toBe(job);
    const renamed = withPlanNamed(job, links, { name: 'Close in', note: 'Less room.' });
    expect(names(renamed)).toEqual([straight, obvious, 'Close in']);
    expect(renamed.variants[1]).toMatchObject({ note: 'Less room.', operations: job.variants[1]!.operations });
  });

  it('one can be dropped, but not the plan in hand', () => {
    expect(names(withoutVariant(job, links))).toEqual([straight, obvious]);
    expect(withoutVariant(job, straight)).toEqual(job);
  });

  it.each([
    ['a name that is used twice', { variants: [job.plan] }, 'variants[0].name'],
    ['two variants of one name', { variants: [job.variants[0]!, job.variants[0]!] }, 'variants[1].name'],
    [
      'an operation id that is used twice in a variant',
      {
        variants: [
          { ...job.variants[0]!, operations: [...job.variants[0]!.operations, ...job.variants[0]!.operations] },
        ],
      },
      'variants[0].operations[3].id',
    ],
    [
      'a mass of nothing',
      { bodies: [{ ...body, masses: [{ ...body.masses[0]!, mass: 0 }] }] },
      'bodies[0].masses[0].mass',
    ],
    ['a mass twice', { bodies: [{ ...body, masses: [body.masses[0]!, body.masses[0]!] }] }, 'bodies[0].masses[1].id'],
  ])('a document with %s is refused, with the place', (_, changes, path) => {
    expect(() => checkJob({ ...job, ...changes })).toThrowError(
      expect.objectContaining({ problems: expect.arrayContaining([expect.objectContaining({ path })]) }),
    );
  });
});

describe('a job of version 1', () => {
  interface OldPlan {
    readonly operations: readonly { readonly kind: string }[];
  }
  const old = JSON.parse(read('core/test/job-files/version-1.json')) as {
    readonly job: Record<string, object> & { readonly plan: OldPlan };
    readonly readings: [];
  };
  const brought = (operation: { readonly kind: string }) =>
    operation.kind === 'shorten' ? { ...operation, transition: 0, rise: 0 } : operation;

  it('comes up with everything it held, the figures of its material, no variants, and the same result', () => {
    const file = parseJobFile(JSON.stringify(old));
    expect(old.job.donor).toHaveProperty('material', 'mild-50');
    expect(file.version).toBe(JOB_VERSION);
    expect(readingsIn(file.records)).toEqual(old.readings);
    const { features, units, axles, ...donor } = file.job.donor;
    const { groups, ...oldDonor } = old.job.donor as { groups: { id: string }[]; axles: { id: string }[] };
    expect({ ...file.job, donor }).toEqual({
      ...old.job,
      donor: {
        ...oldDonor,
        material: STOCK_MATERIALS['mild-50'],
        members: [],
        braces: [],
        rooms: [],
        features: undefined,
        axles: undefined,
      },
      body: undefined,
      bodies: [expect.objectContaining({ name: (old.job.body as unknown as { name: string }).name, masses: [] })],
      plan: {
        ...old.job.plan,
        note: '',
        stays: [],
        seats: [],
        splices: [],
        fittings: [],
        mountings: [],
        shoring: NO_SHORING,
        operations: old.job.plan.operations.map(brought),
      },
      variants: [],
      rack: [],
    });
    expect(units.slice(0, groups.length).map(({ id }) => id)).toEqual(groups.map(({ id }) => id));
    expect(axles.map(({ id }) => id)).toEqual(oldDonor.axles.map(({ id }) => id));
    expect(features.map(({ id }) => id)).toEqual(
      (old.job.donor as { features: { id: string }[] }).features.map(({ id }) => id),
    );
    expect(evaluatePlan(file.job).measures.after.wheelbase).toBeNear(inches(133.875), 1e-6);
  });

  it('comes up without its file too, and a job without a body keeps none', () => {
    expect(checkJob(old.job, 1)).toEqual(parseJobFile(JSON.stringify(old)).job);
    expect(checkJob({ ...old.job, body: null }, 1).bodies).toEqual([]);
    expect(() => checkJob(old.job, JOB_VERSION)).toThrow(/variants|is missing/);
    expect(() => checkJob('nothing', 1)).toThrow(/must be an object/);
  });
});

describe('a job of version 2', () => {
  interface OldFeature {
    readonly id: string;
    readonly x: number;
    readonly length: number;
  }
  const old = JSON.parse(read('core/test/job-files/version-2.json')) as {
    readonly job: { readonly donor: { readonly features: readonly OldFeature[]; readonly groups: readonly object[] } };
    readonly readings: readonly object[];
  };
  const withDonor = (changes: object, rest: object = {}) =>
    JSON.stringify({ ...old, job: { ...old.job, ...rest, donor: { ...old.job.donor, ...changes } } });

  it('gives every feature by the middle of its fastening, with its reach, where it always was', () => {
    const { job: now } = parseJobFile(JSON.stringify(old));
    for (const [index, was] of old.job.donor.features.entries()) {
      const feature = now.donor.features[index]!;
      expect(feature.x - feature.ahead).toBeNear(was.x, 1e-6);
      expect(feature.x + feature.behind).toBeNear(was.x + was.length, 1e-6);
      expect(feature.ahead).toBe(feature.behind);
    }
    expect(evaluatePlan(now).measures.after.wheelbase).toBeNear(inches(155.75), 1e-6);
    expect(readingsIn(parseJobFile(JSON.stringify(old)).records)).toEqual(old.readings);
  });

  it('names again what has the id of something else, with what refers to it', () => {
    const end = (point: string, side: string) => ({ point, side });
    const { job: now } = parseJobFile(
      withDonor({
        points: [{ id: 'datum', name: 'Weight', kind: 'mass', x: 0, y: 0, z: 0, mass: 5 }],
        controlPoints: [
          { id: 'datum', name: 'First', x: 0, inboard: 0, down: 0 },
          { id: 'other', name: 'Other', x: 900, inboard: 0, down: 0 },
        ],
        controlMeasurements: [
          { id: 'width', kind: 'tape', from: end('datum', 'left'), to: end('datum', 'right') },
          { id: 'height', kind: 'height', at: end('datum', 'left') },
        ],
      }),
    );
    expect(now.donor.datum).toBe('datum');
    expect(now.donor.controlPoints.map(({ id }) => id)).toEqual(['datum-2', 'other']);
    expect(now.donor.points.map(({ id }) => id)).toEqual(['datum-3']);
    expect(now.donor.controlMeasurements).toMatchObject([
      { id: 'width', from: { point: 'datum-2' }, to: { point: 'datum-2' } },
      { id: 'height', at: { point: 'datum-2' } },
    ]);
  });

  it('moves a bracket to where it went, drops what names nothing, and keeps what was accepted', () => {
    const common = { note: '', off: false };
    const bracket = (id: string, change: object) => ({ ...common, id, kind: 'bracket', change });
    const mount = { ...old.job.donor.features[0]!, id: 'mount', name: 'Mount', x: 1000, length: 100 };
    const { job: now } = parseJobFile(
      withDonor(
        {
          features: [...old.job.donor.features, mount],
          groups: [...old.job.donor.groups, { id: 'links', name: 'Links' }],
        },
        {
          plan: {
            name: 'Plan',
            note: '',
            accepted: [
              { group: 'links', reason: 'new links' },
              { group: 'gone', reason: 'x' },
            ],
            operations: [
              bracket('a', { what: 'move', feature: 'mount', to: { x: 1200, on: 'donor' }, down: 10 }),
              bracket('b', { what: 'remove', feature: 'not-there' }),
              bracket('c', { what: 'add', at: { x: 500, on: 'donor' }, feature: { ...mount, id: 'extra', x: 500 } }),
            ],
          },
          done: ['donor', 'sawing'],
          variants: [],
        },
      ),
    );
    expect(now.plan.operations).toMatchObject([
      { id: 'a', change: { to: { x: 1250 } } },
      { id: 'c', change: { at: { x: 550 }, feature: { x: 550, ahead: 50, behind: 50 } } },
    ]);
    expect(now.plan.accepted).toEqual([{ conflict: 'unit-split/links', reason: 'new links', by: 'the shop' }]);
    expect(now.done).toEqual(['donor']);
  });
});

describe('a job of version 3', () => {
  interface Old {
    readonly job: {
      readonly donor: {
        readonly features: readonly { readonly id: string; readonly group?: string }[];
        readonly groups: readonly { readonly id: string; readonly name: string }[];
        readonly axles: readonly { readonly id: string; readonly group?: string }[];
      };
      readonly plan: object;
    };
    readonly readings: readonly object[];
  }
  const old = JSON.parse(read('core/test/job-files/version-3.json')) as Old;

  it('makes a unit of each group, with its mounts, and its axles ride on it', () => {
    const { job: now, records } = parseJobFile(JSON.stringify(old));
    for (const { id, name } of old.job.donor.groups) {
      const unit = now.donor.units.find((each) => each.id === id)!;
      expect(unit).toMatchObject({ name, kind: id });
      expect(unit.mounts.map((mount) => mount.id)).toEqual(
        old.job.donor.features.filter(({ group }) => group === id).map((feature) => feature.id),
      );
    }
    for (const { id, group } of old.job.donor.axles)
      expect(now.donor.axles.find((axle) => axle.id === id)!.carrier).toEqual({ kind: 'unit', id: group });
    expect(readingsIn(records)).toEqual(old.readings);
    expect(evaluatePlan(now).measures.after.wheelbase).toBeNear(inches(155.75), 1e-6);
  });

  it('makes a unit of the cab mounts, which were one by their kind alone', () => {
    const { units } = parseJobFile(JSON.stringify(old)).job.donor;
    expect(units.find(({ kind }) => kind === 'cab')!.mounts.map(({ id }) => id)).toEqual(['cab-1', 'cab-2', 'cab-3']);
  });

  it('keeps cautions read as records, rules by their new names, and what was accepted', () => {
    const read3 = { step: 'cutting', caution: 'fuel', by: 'owner', at: '2026-03-15T09:30:00Z' };
    const plan = {
      ...old.job.plan,
      accepted: [{ conflict: 'group-split/rear-suspension', reason: 'new links', by: 'owner' }],
    };
    const rules = { profile: 'weld-and-reinforce', changes: { 'group/moved': 3 } };
    const file = parseJobFile(JSON.stringify({ ...old, job: { ...old.job, plan, rules, cautionsRead: [read3] } }));
    expect(file.job.rules.changes).toEqual({ 'unit/moved': 3 });
    expect(file.job.plan.accepted[0]!.conflict).toBe('unit-split/rear-suspension');
    expect(file.records.filter(({ kind }) => kind === 'caution-read')).toEqual([
      {
        id: 'caution-read-1',
        kind: 'caution-read',
        version: 1,
        body: { step: 'cutting', caution: 'fuel' },
        taken: read3.at,
        by: 'owner',
      },
    ]);
  });

  it('says of a carrier what kind of thing it is', () => {
    const donor = {
      ...old.job.donor,
      axles: old.job.donor.axles.map(({ group: _, ...axle }) => ({ ...axle, carrier: 'spring-front' })),
    };
    const { axles } = parseJobFile(JSON.stringify({ ...old, job: { ...old.job, donor } })).job.donor;
    expect(axles[0]!.carrier).toEqual({ kind: 'feature', id: 'spring-front' });
  });
});

describe('a job of version 4', () => {
  it('comes up with everything it held and no joint decided', () => {
    const old = JSON.parse(read('core/test/job-files/version-4.json')) as { job: { plan: object; variants: object[] } };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.plan).toEqual({
      ...old.job.plan,
      seats: [],
      splices: [],
      fittings: [],
      mountings: [],
      shoring: NO_SHORING,
    });
    expect(job.rack).toEqual([]);
    expect(job.variants).toEqual(
      old.job.variants.map((plan) => ({
        ...plan,
        seats: [],
        splices: [],
        fittings: [],
        mountings: [],
        shoring: NO_SHORING,
      })),
    );
    expect(evaluatePlan(job).splices.every(({ decided }) => decided === null)).toBe(true);
  });
});

describe('a job of version 5', () => {
  interface Old {
    readonly job: {
      readonly body: {
        readonly name: string;
        readonly wheelbase: number;
        readonly outline: readonly object[];
        readonly mounts: readonly object[];
        readonly masses: readonly { readonly x: number }[];
      };
      readonly plan: object;
    };
  }
  const old = JSON.parse(read('core/test/job-files/version-5.json')) as Old;
  const bring = (changes: object) =>
    parseJobFile(JSON.stringify({ ...old, job: { ...old.job, body: { ...old.job.body, ...changes } } })).job;

  it('gives its body openings in place of a distance, and everything else that it held', () => {
    const { name, wheelbase, outline, mounts, masses } = old.job.body;
    const { bodies, plan } = bring({});
    expect(bodies).toEqual([
      {
        id: 'body',
        name,
        kind: 'other',
        outline,
        underside: [],
        boxes: [],
        fenders: [],
        points: [],
        changes: [],
        masses,
        mounts,
        openings: [
          { id: 'opening-front', name: 'Front opening', over: 'front', x: 0 },
          { id: 'opening-rear', name: 'Rear opening', over: 'rear', x: wheelbase },
        ],
      },
    ]);
    expect(plan).toEqual({ ...old.job.plan, seats: [], mountings: [], shoring: NO_SHORING });
  });

  it('sits where it sat: its front opening on the front axle, its own zero on the datum plane', () => {
    const job = bring({});
    const { seats, axles, laden } = evaluatePlan(job);
    const front = axles.find(({ item }) => item.role === 'front')!;
    expect(seats[0]).toMatchObject({ decided: false, pose: { x: front.built!.x, z: 0, rake: 0 } });
    expect(seats[0]!.wheelbase!.overPlan).toBeNear(0, 1e-6);
    expect(laden.after!.mass).toBeGreaterThan(1000);
  });

  it('a body that nobody has measured has no openings, a job without one no bodies, and ids stay unique', () => {
    expect(bring({ wheelbase: 0 }).bodies[0]!.openings).toEqual([]);
    const taken = bring({ mounts: [{ id: 'body', name: 'Mount', x: 0, y: 0, z: 0 }] });
    expect(taken.bodies[0]!.id).toMatch(/^body-\d$/);
    expect(parseJobFile(JSON.stringify({ ...old, job: { ...old.job, body: null } })).job.bodies).toEqual([]);
    expect(() => bring({ mounts: 'none' })).toThrow(/mounts/);
  });
});

describe('a job of version 6', () => {
  it('comes up with everything it held: no mount is decided, and nothing is changed on its bodies', () => {
    const old = JSON.parse(read('core/test/job-files/version-6.json')) as {
      job: { plan: object; bodies: { mounts: object[] }[] };
    };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.plan).toEqual({ ...old.job.plan, mountings: [], shoring: NO_SHORING });
    expect(job.donor.rooms).toEqual([]);
    expect(job.bodies).toEqual(old.job.bodies.map((body) => ({ ...body, fenders: [], points: [], changes: [] })));
    expect(evaluatePlan(job).mountings).toHaveLength(old.job.bodies[0]!.mounts.length);
    expect(evaluatePlan(job).mountings.every(({ decided }) => !decided)).toBe(true);
    expect(parseJobFile(JSON.stringify({ ...old, job: { ...old.job, bodies: [] } })).job.bodies).toEqual([]);
    expect(() => parseJobFile(JSON.stringify({ ...old, job: { ...old.job, variants: 'none' } }))).toThrow(/variants/);
  });
});

describe('a job of version 7', () => {
  it('comes up with everything it held, and nothing that holds it while it is cut', () => {
    const old = JSON.parse(read('core/test/job-files/version-7.json')) as { job: { plan: object; variants: object[] } };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.plan).toEqual({ ...old.job.plan, shoring: NO_SHORING });
    expect(job.variants).toEqual(old.job.variants.map((plan) => ({ ...plan, shoring: NO_SHORING })));
    expect(() => parseJobFile(JSON.stringify({ ...old, job: { ...old.job, plan: 'none' } }))).toThrow(/plan/);
    expect(() => parseJobFile(JSON.stringify({ ...old, job: null }))).toThrow();
  });
});

describe('a job of version 8', () => {
  it('comes up as it is: its rules are from no rule set of the shop', () => {
    const old = JSON.parse(read('core/test/job-files/version-8.json')) as {
      job: { rules: object; donor: { features: object[] } };
    };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.rules).toEqual(old.job.rules);
    expect(job.donor.features).toEqual(old.job.donor.features);
    expect(job.rules.from).toBeUndefined();
    const from = { set: 'a-set', name: 'House rules', version: 2 };
    const now = { ...old, version: 9, job: { ...old.job, rules: { ...old.job.rules, from } } };
    expect(parseJobFile(JSON.stringify(now)).job.rules.from).toEqual(from);
    expect(() =>
      parseJobFile(JSON.stringify({ ...now, job: { ...now.job, rules: { ...now.job.rules, from: 'a-set' } } })),
    ).toThrow(/rules\.from/);
  });
});

describe('a job of version 9', () => {
  it('comes up with its threaded legs as the rods that they were, and a leg of now stands on the floor', () => {
    const old = JSON.parse(read('core/test/job-files/version-9.json')) as { job: { plan: object } };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.plan.shoring.shores.map(({ kind }) => kind)).toEqual(['rod', 'stand']);
    const leg = { ...job.plan.shoring.shores[1]!, kind: 'leg' };
    const plan = { ...job.plan, shoring: { ...job.plan.shoring, shores: [leg] } };
    const now = { ...old, version: 12, job: { ...job, plan } };
    expect(parseJobFile(JSON.stringify(now)).job.plan.shoring.shores[0]!.kind).toBe('leg');
  });
});

describe('a job of version 10', () => {
  it('comes up with what was off the frame off all along, and now it may be off for one cut', () => {
    const old = JSON.parse(read('core/test/job-files/version-10.json')) as { job: { plan: { shoring: object } } };
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.plan.shoring.off).toEqual([{ id: 'cm-1', step: null }]);
    const off = [{ id: 'cm-1', step: 'stretch' }];
    const now = {
      ...old,
      version: 12,
      job: { ...job, plan: { ...job.plan, shoring: { ...job.plan.shoring, off } } },
    };
    expect(parseJobFile(JSON.stringify(now)).job.plan.shoring.off).toEqual(off);
    expect(() => parseJobFile(JSON.stringify({ ...old, version: 11 }))).toThrow(/shoring\.off/);
  });
});

describe('a job of version 11', () => {
  const old = JSON.parse(read('core/test/job-files/version-11.json')) as {
    job: {
      donor: { axles: { tyreRadius: number }[] };
      bodies: { tyreGap?: number }[];
      plan: { propping: { props: object[] }; accepted: { conflict: string }[] };
    };
  };

  it('comes up in American spelling, with its stands, its rules and what was accepted', () => {
    const { job } = parseJobFile(JSON.stringify(old));
    expect(job.donor.axles.map(({ tireRadius }) => tireRadius)).toEqual(
      old.job.donor.axles.map(({ tyreRadius }) => tyreRadius),
    );
    expect(job.bodies[0]!.tireGap).toBe(old.job.bodies[0]!.tyreGap);
    expect(job.plan.shoring.shores).toEqual(old.job.plan.propping.props);
    expect(job.rules.changes).toEqual({ 'tire/bump': 63.5, 'stands/clear': 40 });
    expect(job.done).toEqual(['donor', 'stands']);
    expect(job.plan.accepted.at(-1)!.conflict).toBe(
      old.job.plan.accepted.at(-1)!.conflict.replace('tyre-near', 'tire-near'),
    );
  });

  it('gives rules that a shop kept under older names the names of now', () => {
    const changes = { 'tyre/lock': 0.6, 'finder/cab': 5 };
    expect(checkRules({ profile: 'weld-and-reinforce', changes })).toEqual({
      profile: 'weld-and-reinforce',
      changes: { 'tire/lock': 0.6, 'finder/cab': 5 },
    });
  });
});

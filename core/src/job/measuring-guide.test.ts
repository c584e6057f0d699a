import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import type { Frame } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import { type Job, measuringGuide, newJob, parseJobFile } from './index.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const asked = (changes: Partial<Frame>, id: string, other: Partial<Job> = {}) =>
  measuringGuide({ ...job, ...other, donor: { ...job.donor, ...changes } }).find((ask) => ask.id === id)!;

it('finds the flagship measured, but for its right rail taken as a mirror of the left', () => {
  expect(measuringGuide(job).filter(({ state }) => state !== 'there')).toMatchObject([
    { id: 'both-rails', state: 'partly', answers: 'whether the donor is square and flat to begin with' },
  ]);
});

it('names the middle of the longest stretch without a station', () => {
  const [first, ...rest] = job.donor.rails.kind === 'mirrored' ? job.donor.rails.stations : [];
  const far = rest.filter(({ x }) => x < inches(30) || x > inches(150));
  const stations = asked({ rails: { kind: 'mirrored', stations: [first!, ...far] } }, 'stations');
  expect(stations.state).toBe('partly');
  expect(stations.where).toMatch(/^nothing between .+ and .+: measure at /);
});

it.each([
  [
    'missing',
    'stamp',
    { features: job.donor.features.filter(({ kind }) => kind !== 'identity-stamp') },
    'not entered yet',
  ],
  ['partly', 'axles', { axles: job.donor.axles.map(({ rating: _, ...axle }) => axle) }, 'no rating yet'],
  ['missing', 'controls', { controlPoints: [], controlMeasurements: [] }, 'a pair near each end'],
  [
    'partly',
    'controls',
    { controlMeasurements: job.donor.controlMeasurements.filter(({ kind }) => kind === 'tape') },
    'no height chosen yet',
  ],
  ['missing', 'lines', { lines: [] }, 'follow each along the rail'],
  ['missing', 'drive-line', { points: [] }, 'not entered: transmission flange, pinion'],
  ['partly', 'drive-line', { points: job.donor.points.map(({ pitch: _, ...point }) => point) }, 'angle finder'],
] as const)('says %s of %s and where to look', (state, id, changes, where) => {
  const ask = asked(changes, id);
  expect(ask.state).toBe(state);
  expect(ask.where).toContain(where);
});

it('names suspension brackets that stand under no unit', () => {
  const hangers = new Set(job.donor.features.filter(({ kind }) => kind === 'spring-hanger').map(({ id }) => id));
  const units = job.donor.units.map((unit) => ({ ...unit, mounts: unit.mounts.filter(({ id }) => !hangers.has(id)) }));
  expect(asked({ units }, 'suspension').where).toMatch(/^under no unit: .*anger/);
  expect(asked({}, 'body', { bodies: [] }).state).toBe('missing');
  expect(asked({}, 'body', { bodies: [{ ...job.bodies[0]!, openings: [] }] }).state).toBe('missing');
  expect(asked({}, 'body-weights', { bodies: [{ ...job.bodies[0]!, masses: [] }] }).state).toBe('missing');
  expect(asked({}, 'body-weights').where).toBe('6920\u00a0lb in all');
});

it('does not take for measured what is only assumed', () => {
  const assumed = (...kinds: readonly string[]) => ({
    features: job.donor.features.map((feature) =>
      kinds.includes(feature.kind) ? { ...feature, origin: 'assumed' as const } : feature,
    ),
  });
  expect(asked(assumed('identity-stamp'), 'stamp')).toMatchObject({
    state: 'partly',
    where: expect.stringMatching(/^only assumed so far: /),
  });
  expect(asked(assumed('spring-hanger'), 'suspension').state).toBe('partly');
  expect(asked(assumed('hole'), 'datum').state).toBe('missing');
  const axles = job.donor.axles.map((axle) => ({ ...axle, origin: 'assumed' as const }));
  expect(asked({ axles }, 'axles').state).toBe('missing');
});

it('begins a new job with what was typed, and nothing else counts as measured', () => {
  const fresh = newJob({
    cab: null,
    name: 'New',
    donor: 'Donor',
    display: { unit: 'in', division: 16 },
    wheelbase: 3300,
    ahead: 600,
    behind: 1100,
    outsideWidth: 820,
    tireRadius: 360,
    section: { kind: 'channel', depth: 160, flange: 65, thickness: 6 },
  });
  expect(measuringGuide(fresh).flatMap(({ id, state }) => (state === 'there' ? [id] : []))).toEqual([]);
  const measured = {
    ...fresh,
    donor: { ...fresh.donor, sections: fresh.donor.sections.map(({ id, section }) => ({ id, section })) },
  };
  expect(measuringGuide(measured).flatMap(({ id, state }) => (state === 'there' ? [id] : []))).toEqual(['sections']);
});

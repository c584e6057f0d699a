import { describe, expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { datumStation, railAt, railOf } from '../frame/index.ts';
import { InputError } from '../input-error.ts';
import { checkJob, type Job } from '../job/index.ts';
import { type ListedPoint, pointsOfCsv, pointsOfDxf, withPoints } from './index.ts';

const job: Job = checkJob(van);
const datum = datumStation(job.donor);
const rail = railOf(job.donor.rails, 'left');
let count = 0;
const take = (points: readonly ListedPoint[], into = job) =>
  withPoints(into, points, (kind) => `${kind}-${(count += 1)}-x`);
const said = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  throw new Error('it was taken');
};
/** An ASCII DXF with a unit and entities, each as its pairs of code and value. */
const dxf = (
  unit: number | null,
  ...entities: readonly (readonly (readonly [code: number, value: string | number])[])[]
) =>
  [
    ...(unit === null
      ? []
      : [
          [0, 'SECTION'],
          [2, 'HEADER'],
          [9, '$INSUNITS'],
          [70, unit],
          [0, 'ENDSEC'],
        ]),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities.flat(),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
    .flat()
    .join('\n');
const point = (layer: string, x: number, y: number, z: number) =>
  [
    [0, 'POINT'],
    [8, layer],
    [10, x],
    [20, y],
    [30, z],
  ] as const;
const circle = (layer: string, x: number, y: number, radius: number) =>
  [
    [0, 'CIRCLE'],
    [8, layer],
    [10, x],
    [20, y],
    [30, 0],
    [40, radius],
  ] as const;

describe('a point list as CSV', () => {
  it('has lengths in either unit, fractions too, and what may be left out', () => {
    expect(
      pointsOfCsv('name,what,x [in],y [in],z [in],diameter [in]\nA,hole,20 1/2,-16,,9/16\nB,,-10,16,1/4,\n'),
    ).toEqual([
      { kind: 'hole', name: 'A', x: 20.5 * 25.4, y: -16 * 25.4, z: null, diameter: (9 / 16) * 25.4, line: 'line 2' },
      { kind: 'point', name: 'B', x: -254, y: 16 * 25.4, z: 25.4 / 4, diameter: 0, line: 'line 3' },
    ]);
    expect(pointsOfCsv('name;x [mm];y [mm]\nA;12.5;-400\n')[0]).toMatchObject({
      kind: 'point',
      x: 12.5,
      y: -400,
      z: null,
    });
  });

  it('says with the line what is wrong in it', () => {
    expect(said(() => pointsOfCsv('name,what,x [in],y [in]\nA,rivet,20,16\n'))).toMatch(
      /line 2, what: “rivet” is none of/,
    );
    expect(said(() => pointsOfCsv('name,x [in],y [in]\nA,twenty,16\n'))).toMatch(/line 2/);
  });
});

describe('a point list as DXF', () => {
  it('has circles as holes and points as stations or control points, in the unit that it names', () => {
    const text = dxf(
      1,
      circle('HOLES', 30, -16, 0.25),
      point('Stations left', 10, -15, 0),
      point('TARGETS', 12, 15, 0.5),
    );
    expect(pointsOfDxf(text).map(({ kind, x, y, diameter }) => [kind, x, y, diameter])).toEqual([
      ['hole', 762, -406.4, 12.7],
      ['station', 254, -381, 0],
      ['point', 12 * 25.4, 381, 0],
    ]);
    expect(pointsOfDxf(dxf(4, point('T', 100, 200, 3)))[0]).toMatchObject({ x: 100, y: 200, z: 3 });
  });

  it('is refused without a unit, without points, and where it is none', () => {
    expect(said(() => pointsOfDxf(dxf(null, point('T', 1, 2, 3))))).toMatch(/unit/);
    expect(said(() => pointsOfDxf(dxf(4)))).toMatch(/no point/);
    expect(said(() => pointsOfDxf('no drawing at all'))).toMatch(/./);
  });
});

describe('what a list brings', () => {
  const listed = (kind: ListedPoint['kind'], x: number, y: number, z: number | null = null): ListedPoint => ({
    kind,
    name: `Listed ${kind}`,
    x,
    y,
    z,
    diameter: 0,
    line: 'line 2',
  });

  it('a station beside others stands between them; one that is there is measured again', () => {
    const [first, second] = rail;
    const between = (first!.x + second!.x) / 2;
    const { rails } = take([listed('station', between - datum, -410, 4)]).donor;
    if (rails.kind !== 'mirrored') throw new Error('one side only');
    expect(rails.stations).toHaveLength(rail.length + 1);
    expect(rails.stations[1]).toEqual({
      x: expect.closeTo(between, 6),
      halfWidth: 410,
      top: 4,
      section: first!.section,
    });
    const again = take([listed('station', second!.x + 5 - datum, -411)]).donor.rails;
    expect(again.kind === 'mirrored' && again.stations).toHaveLength(rail.length);
    expect(again.kind === 'mirrored' && again.stations[1]).toMatchObject({
      x: expect.closeTo(second!.x + 5, 6),
      halfWidth: 411,
    });
  });

  it('stations of both sides part the rails', () => {
    const x = (rail[0]!.x + rail[1]!.x) / 2 - datum;
    const { rails } = take([listed('station', x, -410), listed('station', x, 414)]).donor;
    if (rails.kind !== 'measured') throw new Error('still mirrored');
    expect([rails.left[1]!.halfWidth, rails.right[1]!.halfWidth]).toEqual([410, 414]);
  });

  it('a hole and a point lie where they were measured: down from the top edge and in from the outside', () => {
    const x = 500;
    const { halfWidth, top } = railAt(rail, x + datum);
    const { features, controlPoints } = take([
      { ...listed('hole', x, halfWidth, top - 60), diameter: 14 },
      listed('point', x, -(halfWidth - 12), top - 3),
    ]).donor;
    expect(features.at(-1)).toMatchObject({ kind: 'hole', side: 'right', x: x + datum, diameter: 14 });
    expect(features.at(-1)!.down).toBeCloseTo(60, 9);
    // What the list does not say of a hole is assumed.
    const unsaid = take([listed('hole', x, halfWidth)]).donor.features.at(-1)!;
    expect([unsaid.usual, unsaid.origin]).toEqual([['diameter'], 'assumed']);
    expect(features.at(-1)).not.toHaveProperty('origin');
    const onList = take([listed('point', x, -halfWidth)]).donor.controlPoints.find(
      ({ name }) => name === 'Listed point',
    )!;
    expect([onList.down, onList.origin]).toEqual([0, 'assumed']);
    const control = controlPoints.find(({ name }) => name === 'Listed point')!;
    expect([control.inboard, control.down]).toEqual([expect.closeTo(12, 9), expect.closeTo(3, 9)]);
    expect(control).not.toHaveProperty('origin');
    expect(controlPoints.map((each) => each.x)).toEqual(controlPoints.map((each) => each.x).toSorted((a, b) => a - b));
  });

  it('what lies on no rail is named with its line, all at once, and nothing is taken', () => {
    const far = said(() => take([listed('point', 1e5, 400), { ...listed('hole', -1e5, 400), line: 'line 7' }]));
    expect(far).toMatch(/line 2: Listed point lies on no rail/);
    expect(far).toMatch(/line 7: Listed hole lies on no rail: the rails run from −\d+.* to \d+/);
  });
});

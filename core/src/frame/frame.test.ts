import { describe, expect, it } from 'vitest';
import { plainFrame } from '../../test/frames.ts';
import { type Frame, frameProblems, cutRail, railAt, railEnds, type Rail, sectionProblem } from './index.ts';

const format = { unit: 'in', division: 16 } as const;
const problems = (changes: Partial<Frame>, stations?: Rail) => frameProblems(plainFrame(changes, stations), format);
const kinked: Rail = [
  { x: 0, halfWidth: 400, top: 0, section: 'rail' },
  { x: 1000, halfWidth: 400, top: 0, section: 'rail' },
  { x: 2000, halfWidth: 500, top: 100, section: 'heavy' },
  { x: 3000, halfWidth: 500, top: 100, section: 'rail' },
];

describe('railAt', () => {
  it('is straight between stations, and at a station takes the stretch asked for', () => {
    expect(railAt(kinked, 1500)).toMatchObject({ halfWidth: 450, top: 50, section: 'rail', topSlope: 0.1 });
    expect(railAt(kinked, 2000)).toMatchObject({ section: 'heavy', topSlope: 0 });
    expect(railAt(kinked, 2000, 'front')).toMatchObject({ section: 'rail', topSlope: 0.1 });
    expect(railAt(kinked, -100)).toMatchObject({ halfWidth: 400, top: 0 });
  });

  it('cuts a stretch out with its ends interpolated', () => {
    expect(cutRail(kinked, 1500, 2500).map(({ x, halfWidth }) => [x, halfWidth])).toEqual([
      [1500, 450],
      [2000, 500],
      [2500, 500],
    ]);
    expect(railEnds(kinked)).toEqual([0, 3000]);
  });
});

describe('frameProblems', () => {
  it('finds nothing wrong with a good frame', () => {
    expect(problems({})).toEqual([]);
  });

  it.each([
    ['frame/stations-order', 'donor.rails.stations[1].x', {}, [{ ...kinked[1]!, section: 'rail' }, kinked[0]!]],
    [
      'frame/rails-cross',
      'donor.rails.stations[1].halfWidth',
      {},
      [kinked[0]!, { ...kinked[1]!, x: 6000, halfWidth: -5 }],
    ],
    [
      'frame/unknown-section',
      'donor.rails.stations[2].section',
      {},
      [kinked[0]!, kinked[1]!, { ...kinked[2]!, x: 6000 }],
    ],
    ['frame/rail-too-short', 'donor.rails.stations', {}, [kinked[0]!]],
    ['material/density', 'donor.material.density', { material: { ...plainFrame().material, density: 0 } }, undefined],
    ['frame/unknown-datum', 'donor.datum', { datum: 'nothing' }, undefined],
    ['frame/axle-missing', 'donor.axles', { axles: [] }, undefined],
    [
      'frame/axle-order',
      'donor.axles',
      { axles: plainFrame().axles.map((axle) => ({ ...axle, x: axle.role === 'front' ? 5000 : 100 })) },
      undefined,
    ],
    ['frame/off-the-rail', 'donor.features[0].x', { features: [{ ...plainFrame().features[0]!, x: 7000 }] }, undefined],
    [
      'frame/negative',
      'donor.features[0].ahead',
      { features: [{ ...plainFrame().features[0]!, ahead: -1 }] },
      undefined,
    ],
    [
      'frame/unknown-carrier',
      'donor.axles[0].carrier',
      { axles: plainFrame().axles.map((axle) => ({ ...axle, carrier: { kind: 'feature' as const, id: 'nothing' } })) },
      undefined,
    ],
    [
      'frame/unknown-section',
      'donor.crossmembers[0].section',
      {
        crossmembers: [
          {
            id: 'm',
            name: 'Crossmember 1',
            x: 500,
            length: 80,
            depth: 60,
            below: 0,
            section: 'oak',
            fixing: 'bolted',
            removable: true,
            mass: 5,
          },
        ],
      },
      undefined,
    ],
    [
      'frame/same-point',
      'donor.controlMeasurements[0].to',
      {
        controlPoints: [{ id: 'a', name: 'a', x: 10, inboard: 0, down: 0 }],
        controlMeasurements: [
          { id: 'm', kind: 'tape', from: { point: 'a', side: 'left' }, to: { point: 'a', side: 'left' } },
        ],
      },
      undefined,
    ],
    [
      'frame/unknown-mount',
      'donor.units[0].mounts[0]',
      { units: [{ id: 'cab', name: 'Cab', kind: 'cab', mounts: [{ kind: 'feature', id: 'x' }] }] },
      undefined,
    ],
    [
      'frame/line-order',
      'donor.lines[0].to',
      { lines: [{ id: 'l', name: 'Line', kind: 'fuel', side: 'left', from: 200, to: 100, slack: 0 }] },
      undefined,
    ],
    [
      'frame/unknown-point',
      'donor.controlMeasurements[0]',
      {
        controlPoints: [{ id: 'a', name: 'a', x: 10, inboard: 0, down: 0 }],
        controlMeasurements: [
          { id: 'm', kind: 'tape' as const, from: { point: 'z', side: 'left' }, to: { point: 'a', side: 'left' } },
        ],
      },
      undefined,
    ],
  ] as [string, string, Partial<Frame>, Rail | undefined][])('names %s at %s', (code, path, changes, stations) => {
    expect(problems(changes, stations)).toContainEqual(expect.objectContaining({ code, path }));
  });

  it('says the station as its cell has it, from the datum hole, and in the job’s own unit', () => {
    const datum = { ...plainFrame().features[0]!, x: 1000 };
    const [problem] = problems({ features: [datum, { ...datum, id: 'strap', name: 'Tank strap', x: 7000 }] });
    expect(problem!.message).toMatch(
      /^Tank strap at 236 1\/4 in scant is off the rail, which runs from −39 3\/8 in to 196 7\/8 in scant, counted from the datum hole\.$/,
    );
  });

  it.each([
    [{ kind: 'channel', depth: 10, flange: 50, thickness: 5 }, /thicker than the depth/],
    [{ kind: 'tube', depth: 100, width: 8, thickness: 4, inner: 4 }, /thicker than the width/],
    [{ kind: 'tube', depth: 100, width: 60, thickness: 4, inner: 0 }, /inner wall/],
    [{ kind: 'hat', depth: 60, crown: 80, brim: 2, thickness: 3 }, /brim/],
    [{ kind: 'round', depth: 0, thickness: 3 }, /more than 0/],
  ] as const)('refuses the impossible section %o', (section, message) => {
    expect(sectionProblem(section, String)).toMatch(message);
  });
});

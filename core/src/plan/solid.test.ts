import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donor, inputOf, plainFrame } from '../../test/frames.ts';
import { sectionLookup } from '../frame/index.ts';
import { sectionProperties } from '../sections/index.ts';
import { evaluatePlan, type PlanInput } from './index.ts';
import { massOf, steelLumps } from './solid.ts';

const frame = plainFrame();
const section = frame.sections[0]!.section;
const { density } = frame.material;
const { area } = sectionProperties(section);
const massIn = (input: PlanInput) => evaluatePlan(input).measures.after.mass;
const whole = massIn(inputOf(frame));

describe('the steel of a frame with leaning ends', () => {
  // By hand: the section is as heavy above its middle as below, so a cut that leans takes what a square one takes at half
  // depth: 150 deep at 45° from the top edge, 75 more or 75 less.
  it.each([
    ['top-longer', 400 + 75],
    ['bottom-longer', 400 - 75],
  ] as const)('a trim 400 from the end at 45°, %s, takes %d of each rail', (lean, length) => {
    const trim = inputOf(frame, { kind: 'trim', end: 'rear', at: donor(5600), angle: Math.PI / 4, lean });
    expect(whole - massIn(trim)).toBeNear(2 * area * length * density, 1e-9);
  });

  it('a pie cut that is closed takes its wedge', () => {
    // Both faces sloped: the wedge is 2 h tan(θ/2) wide at the bottom, and half that at the middle of the section.
    const angle = 0.1;
    const pie = inputOf(frame, {
      kind: 'pie-cut',
      at: donor(3000),
      pivot: 'top',
      mode: 'close',
      turned: 'rear',
      amount: { by: 'angle', angle },
      wedge: 'symmetric',
    });
    expect(whole - massIn(pie)).toBeNear(2 * area * 150 * Math.tan(angle / 2) * density, 1e-9);
  });

  it('balances where the leaning end puts it: worked for a plate', () => {
    // A tube 150 × 60 × 5 cut at 45°: ∫ x dA over a leaning face at x = X + z gives (A X² + I) / 2 about its middle.
    const trim = inputOf(frame, { kind: 'trim', end: 'rear', at: donor(5600), angle: Math.PI / 4, lean: 'top-longer' });
    const kept = evaluatePlan(trim).pieces;
    const lumps = steelLumps(kept, sectionLookup(frame), density);
    const mass = massOf(lumps);
    const x = lumps.reduce((sum, lump) => sum + lump.mass * lump.at.x, 0) / mass;
    const z = lumps.reduce((sum, lump) => sum + lump.mass * lump.at.z, 0) / mass;
    const [end, { iy }] = [5600 - 75, sectionProperties(section)];
    expect(x).toBeNear((area * end ** 2 + iy) / 2 / (area * end), 1e-9);
    expect(z).toBeNear(-75 + iy / (area * end), 1e-9);
  });

  it('a face that leans past a station takes each stretch by its own section', () => {
    // From 1000 on the rail is 100 deep. Cut at 1020 on the top edge, 45°, bottom farther forward: the thin part keeps a
    // triangle of web and its top, the deep part what is under the line.
    const two = plainFrame(
      {
        sections: [
          { id: 'rail', section: { kind: 'tube', depth: 150, width: 60, thickness: 5, inner: 5 } },
          { id: 'low', section: { kind: 'tube', depth: 100, width: 60, thickness: 5, inner: 5 } },
        ],
      },
      [
        { x: 0, halfWidth: 430, top: 0, section: 'rail' },
        { x: 1000, halfWidth: 430, top: 0, section: 'low' },
        { x: 6000, halfWidth: 430, top: 0, section: 'low' },
      ],
    );
    const cut = evaluatePlan(
      inputOf(two, { kind: 'trim', end: 'rear', at: donor(1020), angle: Math.PI / 4, lean: 'top-longer' }),
    );
    const strip = (width: number, from: number, to: number, x: (down: number) => number) => {
      let volume = 0;
      const step = (to - from) / 2000;
      for (let index = 0; index < 2000; index += 1)
        volume += width * step * Math.max(0, x(from + (index + 0.5) * step));
      return volume;
    };
    const at = (down: number) => 1020 - down;
    const deep = (down: number) => Math.min(1000, at(down));
    const low = (down: number) => at(down) - 1000;
    const walls = (depth: number, x: (down: number) => number) =>
      strip(10, 0, depth, x) + strip(50, 0, 5, x) + strip(50, depth - 5, depth, x);
    const expected = 2 * density * (walls(150, deep) + walls(100, low));
    expect(massOf(steelLumps(cut.pieces, sectionLookup(two), density))).toBeWithin(expected, 1e-5);
  });

  it('of a ring is exact to a part in ten thousand however the face leans', () => {
    const pipe = plainFrame({ sections: [{ id: 'rail', section: { kind: 'round', depth: 90, thickness: 6 } }] });
    const ring = sectionProperties(pipe.sections[0]!.section).area;
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1.2, noNaN: true }), (angle) => {
        const cut = inputOf(pipe, { kind: 'trim', end: 'rear', at: donor(5000), angle, lean: 'top-longer' });
        const kept = 5000 - 45 * Math.tan(angle);
        expect(massIn(cut)).toBeWithin(2 * ring * kept * density, 1e-4);
      }),
    );
  });
});

describe('the ramp angles', () => {
  // A rail whose underside is 330 under the datum plane would touch first at its lowest corner: the tire of radius 380 at
  // (4300, −150), the corner of the bottom edge at x, z = −150.
  // The ground rises by 30 from the front tire to the rear one, 3600 behind it.
  const ground = Math.atan(30 / 3600);
  const ramp = (x: number, z: number) => {
    const [away, height] = [x - 4300, z + 150];
    return Math.atan2(height, away) + Math.asin(380 / Math.hypot(away, height)) - ground;
  };
  const departure = (lean: 'top-longer' | 'bottom-longer') =>
    evaluatePlan(inputOf(frame, { kind: 'trim', end: 'rear', at: donor(5600), angle: Math.PI / 4, lean })).measures
      .after.departure!;

  it('run to the true corner of an end that leans', () => {
    expect(departure('bottom-longer')).toBeNear(ramp(5750, -150), 1e-12);
    // With the top longer both corners are in question: the lower one lies nearer, the upper one higher.
    expect(departure('top-longer')).toBeNear(Math.min(ramp(5450, -150), ramp(5600, 0)), 1e-12);
    expect(evaluatePlan(inputOf(frame)).measures.after.departure).toBeNear(ramp(6000, -150), 1e-12);
  });

  it('change with the height of the frame over the wheels', () => {
    const low = plainFrame({ axles: frame.axles.map((axle) => ({ ...axle, z: axle.z + 60 })) });
    const [was, is] = [frame, low].map((of) => evaluatePlan(inputOf(of)).measures.after);
    const tangent = (away: number, height: number) =>
      Math.atan2(height, away) + Math.asin(380 / Math.hypot(away, height));
    expect(is!.departure).toBeNear(tangent(1700, -60) - ground, 1e-12);
    expect(is!.approach).toBeNear(tangent(700, -30) + ground, 1e-12);
    expect(was!.approach).toBeNear(tangent(700, 30) + ground, 1e-12);
    expect(is!.breakover!).toBeLessThan(was!.breakover!);
  });
});

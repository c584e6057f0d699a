import type { Feature, Frame, Rail } from '../src/frame/index.ts';
import type { inputOf } from './frames.ts';
import { donor, plainFrame } from './frames.ts';

type Bare = Parameters<typeof inputOf>[1];

/** A 12 m frame with its rails measured apart, a slow wave in width and height, features all along, units and controls. */
export function largeFrame(stations: number, features: number): Frame {
  const rail = (phase: number): Rail =>
    Array.from({ length: stations }, (_, index) => ({
      x: (index * 12_000) / (stations - 1),
      halfWidth: 430 + 8 * Math.sin(index / 9 + phase),
      top: 20 * Math.sin(index / 11),
      section: 'rail',
    }));
  const feature = (index: number): Feature => ({
    ...plainFrame().features[0]!,
    id: index === 0 ? 'datum' : `feature-${index}`,
    name: `Feature ${index}`,
    x: 100 + (index * 11_700) / features,
    movable: 're-drill',
  });
  const points = Array.from({ length: 8 }, (_, index) => ({
    id: `p${index}`,
    name: `Point ${index}`,
    x: 200 + index * 1600,
    inboard: 0,
    down: 0,
  }));
  const all = Array.from({ length: features }, (_, index) => feature(index));
  const numbered = all.map(({ id }, index) => ({ id, index }));
  return plainFrame({
    rails: { kind: 'measured', left: rail(0), right: rail(0.05) },
    features: all,
    units: [0, 1, 2].map((unit) => ({
      id: `unit-${unit}`,
      name: `Unit ${unit}`,
      kind: 'rear-suspension' as const,
      mounts: numbered
        .filter(({ index }) => index % 12 === 5 && index % 3 === unit)
        .map(({ id }) => ({ kind: 'feature' as const, id })),
    })),
    crossmembers: Array.from({ length: 14 }, (_, index) => ({
      id: `c${index}`,
      name: `Crossmember ${index}`,
      x: 400 + index * 850,
      length: 80,
      depth: 60,
      below: 40,
      fixing: 'riveted' as const,
      removable: true,
      mass: 9,
    })),
    controlPoints: points,
    controlMeasurements: points.slice(1).flatMap((point, index) => [
      {
        id: `l${index}`,
        kind: 'tape' as const,
        from: { point: `p${index}`, side: 'left' as const },
        to: { point: point.id, side: 'left' as const },
      },
      {
        id: `d${index}`,
        kind: 'tape' as const,
        from: { point: `p${index}`, side: 'left' as const },
        to: { point: point.id, side: 'right' as const },
      },
    ]),
  });
}

/** Operations of the kinds that move steel, spread along the frame, from the rear forward. */
export function manyOperations(count: number): Bare[] {
  return Array.from({ length: count }, (_, index): Bare => {
    const x = 11_000 - (index * 9800) / count;
    switch (index % 4) {
      case 0:
        return { kind: 'lengthen', at: donor(x), length: 60, section: null };
      case 1:
        return { kind: 'shorten', transition: 0, from: donor(x), to: donor(x + 40) };
      case 2:
        return {
          kind: 'pie-cut',
          at: donor(x),
          pivot: 'top',
          mode: 'close',
          turned: 'rear',
          amount: { by: 'angle', angle: 0.01 },
          wedge: 'symmetric',
        };
      default:
        return { kind: 'step', from: donor(x), to: donor(x + 120), rise: 10, method: 'turn-middle' };
    }
  });
}

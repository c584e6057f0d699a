import type { Frame, FramePoint, Rail } from '../src/frame/index.ts';
import { STOCK_MATERIALS } from '../src/materials/index.ts';
import type { Operation, Place, Plan } from '../src/plan/index.ts';
import type { PlanInput } from '../src/plan/index.ts';

/** A frame for tests: two stations unless given, one tube section 150 deep, a datum hole, two axles. */
export function plainFrame(changes: Partial<Frame> = {}, stations?: Rail): Frame {
  return {
    name: 'Test frame',
    material: STOCK_MATERIALS['mild-36'],
    sections: [{ id: 'rail', section: { kind: 'tube', depth: 150, width: 60, thickness: 5, inner: 5 } }],
    rails: {
      kind: 'mirrored',
      stations: stations ?? [
        { x: 0, halfWidth: 430, top: 0, section: 'rail' },
        { x: 6000, halfWidth: 430, top: 0, section: 'rail' },
      ],
    },
    crossmembers: [],
    features: [
      {
        id: 'datum',
        name: 'Datum hole',
        kind: 'hole',
        side: 'both',
        x: 100,
        length: 0,
        face: 'web-outside',
        down: 75,
        diameter: 12,
        attachment: 'hole',
        movable: 'no',
        mass: 0,
      },
    ],
    datum: 'datum',
    groups: [],
    axles: [
      { id: 'front', name: 'Front axle', role: 'front', x: 700, z: -180, tyreRadius: 380, track: 1600 },
      { id: 'rear', name: 'Rear axle', role: 'rear', x: 4300, z: -150, tyreRadius: 380, track: 1600 },
    ],
    points: [],
    lines: [],
    controlPoints: [],
    controlMeasurements: [],
    ...changes,
  };
}

export const donor = (x: number): Place => ({ x, on: 'donor' });
export const built = (x: number): Place => ({ x, on: 'built' });

type Bare<T> = T extends Operation ? Omit<T, 'id' | 'note' | 'off'> : never;

/** Operations with ids `op1`, `op2` … in order. */
export function planOf(...operations: readonly Bare<Operation>[]): Plan {
  return {
    name: 'Test plan',
    note: '',
    accepted: [],
    operations: operations.map(
      (operation, index) => ({ id: `op${index + 1}`, note: '', off: false, ...operation }) as Operation,
    ),
  };
}

export function inputOf(frame: Frame, ...operations: readonly Bare<Operation>[]): PlanInput {
  return {
    donor: frame,
    body: null,
    plan: planOf(...operations),
    rules: { profile: 'weld-and-reinforce', changes: {} },
    display: { unit: 'in', division: 16 },
  };
}

export const pointAt = (id: string, x: number, y: number, z: number): FramePoint => ({
  id,
  name: id,
  kind: 'body',
  x,
  y,
  z,
  mass: 0,
});

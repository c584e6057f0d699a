import { type Body, type BodyMass, newBody } from '../src/body/index.ts';
import type { Crossmember, Feature, Frame, FramePoint, FrameRoom, Rail } from '../src/frame/index.ts';
import { STOCK_MATERIALS } from '../src/materials/index.ts';
import { NO_SHORING } from '../src/shoring/index.ts';
import { IN_LINE, type Operation, type Place, type Plan } from '../src/plan/index.ts';
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
    members: [],
    braces: [],
    crossmembers: [],
    features: [
      {
        id: 'datum',
        name: 'Datum hole',
        kind: 'hole',
        side: 'both',
        x: 100,
        ahead: 0,
        behind: 0,
        face: 'web-outside',
        down: 75,
        diameter: 12,
        attachment: 'hole',
        movable: 'no',
        mass: 0,
      },
    ],
    datum: 'datum',
    units: [],
    axles: [
      { id: 'front', name: 'Front axle', role: 'front', x: 700, z: -180, tireRadius: 380, track: 1600 },
      { id: 'rear', name: 'Rear axle', role: 'rear', x: 4300, z: -150, tireRadius: 380, track: 1600 },
    ],
    points: [],
    lines: [],
    rooms: [],
    controlPoints: [],
    controlMeasurements: [],
    ...changes,
  };
}

export const donor = (x: number): Place => ({ x, on: 'donor' });
export const built = (x: number): Place => ({ x, on: 'built' });

/** What most operations leave alone, and tests need not say. */
const USUAL = {
  shorten: { transition: 0, rise: 0 },
  lengthen: { section: null, align: IN_LINE },
  extend: { section: null, align: IN_LINE, cut: null },
} as const;
type Usual = 'transition' | 'rise' | 'section' | 'align' | 'cut';

type WithUsual<T> = T extends { kind: keyof typeof USUAL }
  ? Omit<T, Usual> & Partial<Pick<T, Extract<keyof T, Usual>>>
  : T;
export type Bare<T = Operation> = T extends Operation ? WithUsual<Omit<T, 'id' | 'note' | 'off'>> : never;

/** Operations with ids `op1`, `op2` … in order. */
export function planOf(...operations: readonly Bare[]): Plan {
  return {
    name: 'Test plan',
    note: '',
    accepted: [],
    stays: [],
    seats: [],
    splices: [],
    fittings: [],
    mountings: [],
    shoring: NO_SHORING,
    operations: operations.map(
      (operation, index) =>
        ({
          id: `op${index + 1}`,
          note: '',
          off: false,
          ...(USUAL as Readonly<Record<string, object>>)[operation.kind],
          ...operation,
        }) as Operation,
    ),
  };
}

export function inputOf(frame: Frame, ...operations: readonly Bare[]): PlanInput {
  return {
    donor: frame,
    bodies: [],
    plan: planOf(...operations),
    rules: { profile: 'weld-and-reinforce', changes: {} },
    display: { unit: 'in', division: 16 },
  };
}

/** A body of nothing but weights, its zero at its front opening. */
export const bodyOf = (masses: readonly BodyMass[]): Body => ({
  ...newBody('body'),
  openings: [{ id: 'opening', name: 'Front opening', over: 'front', x: 0 }],
  masses,
});

export const pointAt = (id: string, x: number, y: number, z: number): FramePoint => ({
  id,
  name: id,
  kind: 'body',
  x,
  y,
  z,
  mass: 0,
});

/** A crossmember that can come out: 60 long, 80 deep, its top 30 under the rail's. */
export const memberAt = (id: string, x: number, changes: Partial<Crossmember> = {}): Crossmember => ({
  id,
  name: id,
  x,
  length: 60,
  depth: 80,
  below: 30,
  fixing: 'bolted',
  removable: true,
  mass: 4,
  ...changes,
});

/** A tank between the rails, below them. */
export const tankAt = (changes: Partial<FrameRoom> = {}): FrameRoom => ({
  id: 'tank',
  name: 'Tank',
  kind: 'tank',
  front: 3000,
  rear: 3400,
  left: -300,
  right: 300,
  low: -400,
  high: -170,
  ...changes,
});

/** Something fastened at a point of both webs, which can be drilled elsewhere. */
export const featureAt = (id: string, x: number, changes: Partial<Feature> = {}): Feature => ({
  ...(plainFrame().features[0] as Feature),
  id,
  name: id,
  x,
  diameter: 0,
  movable: 're-drill',
  ...changes,
});

import type { Feature, Frame, Rail } from '../src/frame/index.ts';
import { type Job, newJob } from '../src/job/index.ts';
import { IN_LINE, type PlanInput } from '../src/plan/index.ts';
import type { Section } from '../src/sections/index.ts';
import type { LengthFormat } from '../src/units/index.ts';
import { type Bare, donor, inputOf, plainFrame } from './frames.ts';

/** A small frame unlike the demo's, and what its lengths are shown in. */
export interface Animal {
  readonly name: string;
  readonly frame: Frame;
  readonly display: LengthFormat;
}

const INCHES: LengthFormat = { unit: 'in', division: 16 };
const channel: Section = { kind: 'channel', depth: 140, flange: 55, thickness: 4 };
const bare = plainFrame().features[0]!;
const feature = (id: string, x: number, changes: Partial<Feature> = {}): Feature => ({
  ...bare,
  id,
  name: id,
  x,
  ...changes,
});

/** Stations from (x, half-width, top) and one section. */
const rail = (...stations: readonly (readonly [number, number, number])[]): Rail =>
  stations.map(([x, halfWidth, top]) => ({ x, halfWidth, top, section: 'rail' }));

const mounts = (xs: readonly number[]): Feature[] =>
  xs.map((x, index) =>
    feature(`mount-${index + 1}`, x, {
      kind: 'body-mount',
      ahead: 30,
      behind: 45,
      diameter: 0,
      attachment: 'bolts',
      movable: 're-drill',
      mass: 1.5,
    }),
  );

const crossmember = (id: string, x: number) => ({
  id,
  name: id,
  x,
  length: 70,
  depth: 90,
  below: 25,
  fixing: 'riveted' as const,
  removable: true,
  mass: 6,
});

/** A frame of some stations with two crossmembers, mounts, a tank strap and points, fitted to its length. */
function animal(
  name: string,
  stations: Rail | { readonly left: Rail; readonly right: Rail },
  changes: Partial<Frame> = {},
  { section = channel, display = INCHES }: { readonly section?: Section; readonly display?: LengthFormat } = {},
): Animal {
  const left = 'left' in stations ? stations.left : stations;
  const [front, rear] = [left[0]!.x, left.at(-1)!.x];
  const at = (share: number) => front + share * (rear - front);
  const points = [0.06, 0.35, 0.93].map((share, index) => ({
    id: `point-${index + 1}`,
    name: `Point ${index + 1}`,
    x: at(share),
    inboard: 0,
    down: 0,
  }));
  const end = (point: string, side: 'left' | 'right') => ({ point, side });
  return {
    name,
    display,
    frame: plainFrame({
      name,
      sections: [{ id: 'rail', section }],
      rails:
        'left' in stations
          ? { kind: 'measured', left: stations.left, right: stations.right }
          : { kind: 'mirrored', stations },
      features: [feature('datum', at(0.12)), ...mounts([at(0.2), at(0.52), at(0.86)])],
      crossmembers: [crossmember('first', at(0.08)), crossmember('last', at(0.9))],
      axles: plainFrame().axles.map((axle) => ({ ...axle, x: at(axle.role === 'front' ? 0.16 : 0.78) })),
      points: [
        { id: 'cab', name: 'Back of cab', kind: 'cab-back', x: at(0.33), y: 0, z: 300, mass: 0 },
        { id: 'flange', name: 'Flange', kind: 'output-flange', x: at(0.3), y: 0, z: -60, mass: 0, pitch: -0.04 },
        { id: 'pinion', name: 'Pinion', kind: 'pinion', x: at(0.74), y: 10, z: -120, mass: 0, pitch: -0.03 },
      ],
      lines: [{ id: 'line', name: 'Line', kind: 'brake', side: 'left', from: at(0.15), to: at(0.8), slack: 15 }],
      controlPoints: points,
      controlMeasurements: [
        { id: 'width', kind: 'tape', from: end('point-1', 'left'), to: end('point-1', 'right') },
        { id: 'long', kind: 'tape', from: end('point-1', 'left'), to: end('point-3', 'left') },
        { id: 'diagonal', kind: 'tape', from: end('point-1', 'left'), to: end('point-3', 'right') },
        { id: 'height', kind: 'height', at: end('point-3', 'right') },
      ],
      ...changes,
    }),
  };
}

const straight = rail([0, 410, 0], [4000, 410, 0]);
const kicked = rail(
  [-600, 380, 0],
  [900, 400, 0],
  [1300, 400, -70],
  [2100, 400, -70],
  [2600, 400, 110],
  [3400, 400, 110],
  [3900, 400, 20],
);

/** A dozen frames that each hide what level, straight, mirrored frames in inches do not show. */
export const ZOO: readonly Animal[] = [
  animal('sloping', rail([0, 410, 0], [4000, 410, 4000 * Math.tan((15 * Math.PI) / 180)])),
  animal('falling', rail([-500, 380, 300], [3600, 380, -100])),
  animal('tapered', rail([0, 470, 0], [1500, 470, 0], [2600, 380, 0], [4000, 380, 0])),
  animal('kicked both ways', kicked),
  animal('left unlike right', {
    left: rail([0, 410, 0], [1800, 405, 6], [4000, 400, 10]),
    right: rail([0, 402, -4], [2300, 411, 3], [4000, 409, -5]),
  }),
  animal('datum at the tail', straight, { features: [feature('datum', 3900), ...mounts([800, 2080, 3440])] }),
  animal('datum between the cuts', straight, { features: [feature('datum', 1850), ...mounts([800, 3440])] }),
  animal('millimeters', straight, {}, { display: { unit: 'mm', division: 16 } }),
  animal(
    'tiny',
    rail([0, 160, 0], [700, 150, 8]),
    {},
    { section: { kind: 'channel', depth: 50, flange: 25, thickness: 2 } },
  ),
  animal('huge', rail([-1500, 430, 0], [5000, 430, 0], [7000, 420, 60], [13_000, 420, 60])),
  animal('square tube', straight, {}, { section: { kind: 'tube', depth: 120, width: 60, thickness: 5, inner: 3 } }),
  animal('round tube', kicked, {}, { section: { kind: 'round', depth: 90, thickness: 5 } }),
  animal('hat', straight, {}, { section: { kind: 'hat', depth: 110, crown: 70, brim: 25, thickness: 4 } }),
  animal(
    'section steps',
    [
      { x: 0, halfWidth: 410, top: 0, section: 'rail' },
      { x: 1700, halfWidth: 410, top: 0, section: 'shallow' },
      { x: 4000, halfWidth: 410, top: 0, section: 'shallow' },
    ],
    {
      sections: [
        { id: 'rail', section: channel },
        { id: 'shallow', section: { ...channel, depth: 100 } },
      ],
    },
  ),
  animal('one crossmember', straight, { crossmembers: [crossmember('only', 2600)] }),
  animal('x of legs', straight, {
    sections: [
      { id: 'rail', section: channel },
      { id: 'leg', section: { kind: 'tube', depth: 70, width: 50, thickness: 3, inner: 3 } },
    ],
    members: [
      {
        id: 'x-leg',
        name: 'X leg',
        copies: 'pair',
        section: 'leg',
        path: [
          { x: 900, outward: 400, z: -70 },
          { x: 3300, outward: -400, z: -70 },
        ],
        front: { on: 'own-rail', fixing: 'welded' },
        rear: { on: 'other-rail', fixing: 'welded' },
      },
    ],
    units: [
      {
        id: 'cab-unit',
        name: 'Cab',
        kind: 'cab',
        mounts: [
          { kind: 'feature', id: 'mount-1' },
          { kind: 'feature', id: 'mount-2' },
        ],
      },
    ],
  }),
  animal('four tubes', kicked, {
    sections: [
      { id: 'rail', section: channel },
      { id: 'upper-tube', section: { kind: 'round', depth: 48, thickness: 3 } },
    ],
    members: [
      {
        id: 'upper',
        name: 'Upper tube',
        copies: 'pair',
        section: 'upper-tube',
        path: [
          { x: -500, outward: 330, z: 280 },
          { x: 1500, outward: 350, z: 300 },
          { x: 3700, outward: 340, z: 340 },
        ],
        front: { on: 'free', fixing: 'welded' },
        rear: { on: 'free', fixing: 'welded' },
      },
    ],
    braces: [
      {
        id: 'strut',
        name: 'Strut',
        from: { rail: 'left', x: 1000, down: 20 },
        to: { rail: 'upper/left', x: 2200, down: 24 },
        section: 'upper-tube',
        fixing: 'welded',
        removable: true,
      },
    ],
  }),
  animal('nothing on it', straight, {
    crossmembers: [],
    features: [feature('datum', 480)],
    points: [],
    lines: [],
    controlPoints: [],
    controlMeasurements: [],
  }),
];

/** Operations of every kind for a frame, each at places that shares of its length give. */
export function operationsFor({ frame }: Animal): readonly (readonly [name: string, operation: Bare])[] {
  const left = frame.rails.kind === 'mirrored' ? frame.rails.stations : frame.rails.left;
  const [front, rear] = [left[0]!.x, left.at(-1)!.x];
  const long = rear - front;
  const at = (share: number) => donor(front + share * long);
  const depth = frame.sections[0]!.section.depth;
  const pie = {
    kind: 'pie-cut',
    at: at(0.6),
    pivot: 'top',
    mode: 'close',
    turned: 'rear',
    amount: { by: 'drop', drop: long * 0.01, distance: long * 0.2 },
    wedge: 'symmetric',
  } as const;
  return [
    ['lengthen', { kind: 'lengthen', at: at(0.45), length: long * 0.07, section: null }],
    [
      'lengthen at an angle',
      {
        kind: 'lengthen',
        at: at(0.45),
        length: long * 0.05,
        section: null,
        align: { out: 5, up: 3, yaw: 0.03, pitch: 0.05 },
      },
    ],
    ['shorten', { kind: 'shorten', from: at(0.42), to: at(0.5) }],
    ['shorten and lift', { kind: 'shorten', from: at(0.42), to: at(0.5), rise: depth / 5 }],
    ['shorten with a transition', { kind: 'shorten', from: at(0.42), to: at(0.46), transition: long * 0.05 }],
    ['widen the rear', { kind: 'widen', amount: 40, from: at(0.55), to: null, transition: long * 0.05 }],
    ['narrow the whole', { kind: 'widen', amount: -30, from: null, to: null, transition: 0 }],
    ['pie cut', pie],
    ['pie cut, square wedge, front', { ...pie, turned: 'front', wedge: 'square' }],
    ['slit and open', { ...pie, mode: 'open' }],
    ['pie cut about the bottom', { ...pie, pivot: 'bottom', amount: { by: 'angle', angle: 0.08 } }],
    ['step, middle turned', { kind: 'step', from: at(0.5), to: at(0.6), rise: depth / 4, method: 'turn-middle' }],
    ['step down, new middle', { kind: 'step', from: at(0.5), to: at(0.6), rise: -depth / 4, method: 'new-middle' }],
    ['trim square', { kind: 'trim', end: 'rear', at: at(0.95), angle: 0, lean: 'top-longer' }],
    ['trim 45°, top longer', { kind: 'trim', end: 'rear', at: at(0.94), angle: Math.PI / 4, lean: 'top-longer' }],
    [
      'trim off the front, bottom longer',
      { kind: 'trim', end: 'front', at: { x: long * 0.04, on: 'end' }, angle: 0.5, lean: 'bottom-longer' },
    ],
    ['extend', { kind: 'extend', end: 'rear', length: long * 0.06, section: null }],
    [
      'cut off and extend at an angle',
      {
        kind: 'extend',
        end: 'front',
        cut: { x: long * 0.03, on: 'end' },
        length: long * 0.06,
        section: null,
        align: { ...IN_LINE, out: -4, up: 6, pitch: 0.1 },
      },
    ],
    [
      'notch',
      { kind: 'notch', at: at(0.7), width: long * 0.03, depth: depth / 4, from: 'below', form: 'arch', plate: 5 },
    ],
    [
      'notch with a level floor',
      {
        kind: 'notch',
        at: at(0.71),
        width: long * 0.02,
        depth: depth / 5,
        from: 'above',
        form: 'round',
        floor: 'level',
        plate: 0,
      },
    ],
    ['box', { kind: 'box', from: at(0.55), to: at(0.66), plate: 4, taper: long * 0.02 }],
    [
      'add a crossmember',
      { kind: 'crossmember', change: { what: 'add', at: at(0.65), crossmember: crossmember('added', 0) } },
    ],
    [
      'drill',
      {
        kind: 'bracket',
        change: { what: 'drill', at: at(0.57), feature: feature('drilled', 0), count: 3, pitch: long * 0.01 },
      },
    ],
    ...frame.members.map(
      ({ id }) => [`re-fit ${id}`, { kind: 'member', change: { what: 'refit', member: id } }] as const,
    ),
    ...frame.braces.map(
      ({ id }) => [`make ${id} again`, { kind: 'member', change: { what: 'remake-brace', brace: id } }] as const,
    ),
  ];
}

/** The input of a plan on an animal. */
export const planned = ({ frame, display }: Animal, ...operations: readonly Bare[]): PlanInput => ({
  ...inputOf(frame, ...operations),
  display,
});

/** A job on an animal, with these operations in its plan. */
export const jobOf = (animal: Animal, ...operations: readonly Bare[]): Job => ({
  ...newJob({
    name: `Zoo, ${animal.name}`,
    donor: animal.name,
    display: animal.display,
    wheelbase: 3000,
    ahead: 500,
    behind: 500,
    outsideWidth: 800,
    tireRadius: 300,
    cab: null,
    section: channel,
  }),
  ...planned(animal, ...operations),
});

/** What a figure that is none looks like on a page. */
export const UNREAL = /NaN|Infinity|undefined|−−|\bnull\b|\[object/;

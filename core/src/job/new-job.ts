import type { Axle, Feature, Frame, Station } from '../frame/index.ts';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { emptyPlan, newBracket, newHole } from '../plan/index.ts';
import type { Section } from '../sections/index.ts';
import { inches, type LengthFormat } from '../units/index.ts';
import type { Job } from './job.ts';

/** What is measured on a donor first of all: enough to draw it. Lengths in mm, above 0 where not said otherwise. */
export interface FirstMeasures {
  readonly name: string;
  readonly donor: string;
  readonly display: LengthFormat;
  readonly wheelbase: number;
  /** Frame ahead of the front axle, and behind the rear axle; 0 or more. */
  readonly ahead: number;
  readonly behind: number;
  /** Over the outside faces of the rails. */
  readonly outsideWidth: number;
  readonly tireRadius: number;
  readonly section: Section;
  /** The cab: its back and its first and last mounts behind the front axle, mm; null where there is none. */
  readonly cab: FirstCab | null;
}

/** Where a cab stands, mm behind the front axle. */
interface FirstCab {
  readonly back: number;
  readonly mounts: readonly [front: number, rear: number];
  /** Whether that was only taken over from the form, and not measured. */
  readonly assumed: boolean;
}

/** How far under the rails wheel centers are taken to be until they are measured, mm. */
const AXLE_BELOW = inches(3);
/** Where a datum hole is taken to be until one is picked: this share of the wheelbase behind the front axle, on a whole mark. */
const DATUM_SHARE = 0.2;
const WHOLE = { in: inches(1), mm: 10 } as const;

/** A straight, level frame of the first measures, both rails alike: what the survey begins from. */
function newFrame(first: FirstMeasures): Frame {
  const { donor, display, wheelbase, ahead, behind, outsideWidth, tireRadius, section } = first;
  // Straight and level until the rails are surveyed.
  const station = (x: number): Station => ({
    x,
    halfWidth: outsideWidth / 2,
    top: 0,
    section: 'rail',
    origin: 'assumed',
  });
  const cab = cabOf(first);
  const axle = (id: 'front' | 'rear', x: number): Axle => ({
    id,
    name: `${id === 'front' ? 'Front' : 'Rear'} axle`,
    role: id,
    x,
    z: -section.depth - AXLE_BELOW,
    tireRadius,
    track: outsideWidth + 2 * tireRadius,
    origin: 'assumed',
  });
  return {
    name: donor,
    material: STOCK_MATERIALS['mild-50'],
    // Picked from a list as the nearest: a caliper has not been on it.
    sections: [{ id: 'rail', section, origin: 'assumed' }],
    rails: { kind: 'mirrored', stations: [station(-ahead), station(wheelbase + behind)] },
    members: [],
    braces: [],
    crossmembers: [],
    features: [
      {
        ...newHole('datum', Math.round((wheelbase * DATUM_SHARE) / WHOLE[display.unit]) * WHOLE[display.unit]),
        id: 'datum',
        name: 'Datum hole',
        down: section.depth / 2,
        origin: 'assumed',
      },
      ...cab.mounts,
    ],
    datum: 'datum',
    units: cab.units,
    axles: [axle('front', 0), axle('rear', wheelbase)],
    points: cab.points,
    lines: [],
    rooms: [],
    controlPoints: [],
    controlMeasurements: [],
  };
}

/** How far over the rails the back of a cab is taken to be measured, mm. */
const CAB_BACK_OVER = inches(12);

/** The mounts, the unit and the back of a cab. */
function cabOf({ cab, section }: FirstMeasures): {
  readonly mounts: readonly Feature[];
  readonly units: Frame['units'];
  readonly points: Frame['points'];
} {
  if (!cab) return { mounts: [], units: [], points: [] };
  const origin = cab.assumed ? { origin: 'assumed' as const } : {};
  const mounts = cab.mounts.map((x, index): Feature => ({
    ...newBracket(`cab-mount-${index + 1}`, x),
    id: `cab-mount-${index + 1}`,
    name: `Cab mount ${index + 1}`,
    kind: 'cab-mount',
    down: section.depth / 2,
    ...origin,
  }));
  return {
    mounts,
    units: [{ id: 'cab', name: 'Cab', kind: 'cab', mounts: mounts.map(({ id }) => ({ kind: 'feature', id })) }],
    points: [
      {
        id: 'cab-back',
        name: 'Back of cab',
        kind: 'cab-back',
        x: cab.back,
        y: 0,
        z: CAB_BACK_OVER,
        mass: 0,
        ...origin,
      },
    ],
  };
}

/**
 * A job that begins with the first measures of its donor: nothing planned, no body yet, weld and reinforce.
 *
 * @param first Lengths in mm, above 0 where not said otherwise.
 */
export const newJob = (first: FirstMeasures): Job => ({
  name: first.name,
  donor: newFrame(first),
  bodies: [],
  plan: emptyPlan('First plan'),
  variants: [],
  rules: { profile: 'weld-and-reinforce', changes: {} },
  display: first.display,
  rack: [],
  done: [],
});

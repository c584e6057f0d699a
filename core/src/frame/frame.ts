import type { Material } from '../materials/index.ts';
import type { Section } from '../sections/index.ts';
import type { FeatureKind } from './feature-kinds.ts';
import type { Brace, Member } from './members.ts';
import type { Ref } from './ref.ts';
import type { Unit } from './units.ts';
import type { UsualFigure } from './usual-figures.ts';

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];

/**
 * The sign of y on a side: the left rail has y < 0.
 *
 * @param side Left or right, as seated.
 */
export const sideSign = (side: Side): -1 | 1 => (side === 'left' ? -1 : 1);

export interface Vec3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A measured place on a rail, mm. `section` runs from here to the next station. */
export interface Station {
  readonly x: number;
  /** From the center line to the outside face of the web. */
  readonly halfWidth: number;
  /** Height of the top of the rail over the datum plane. */
  readonly top: number;
  readonly section: string;
  readonly origin?: Origin;
}

export type Rail = readonly Station[];

/** One rail table for both sides, or one each where they were measured separately. */
export type Rails =
  | { readonly kind: 'mirrored'; readonly stations: Rail }
  | { readonly kind: 'measured'; readonly left: Rail; readonly right: Rail };

/** A section under its name; `assumed` where it was picked from a list as the nearest. */
export interface NamedSection {
  readonly id: string;
  readonly section: Section;
  readonly origin?: Origin;
}

export interface Crossmember {
  readonly id: string;
  readonly name: string;
  /** Station of its middle, and its length along the frame, mm. */
  readonly x: number;
  readonly length: number;
  readonly depth: number;
  /** How far its top lies below the rail top, mm; more than the rail depth hangs below the rail. */
  readonly below: number;
  /** Id of its section, where it is one of the list. */
  readonly section?: string;
  readonly fixing: 'riveted' | 'bolted' | 'welded';
  readonly removable: boolean;
  /** As weighed, kg; without it, that of its section from rail to rail, or none where it has no section either. */
  readonly mass?: number;
  readonly origin?: Origin;
}

export type Face = 'top' | 'web-outside' | 'web-inside' | 'bottom';

/**
 * Where a figure comes from: assumed until it is measured, or taken from a paper. Without one it was measured. What is
 * assumed is never counted as measured.
 */
export const ORIGINS = ['assumed', 'paper'] as const;
export type Origin = (typeof ORIGINS)[number];

/** Something on a rail. `both` stands for one on each rail, mirrored. */
export interface Feature {
  readonly id: string;
  readonly name: string;
  readonly kind: FeatureKind;
  readonly side: Side | 'both';
  /** Station of the middle of its fastening, mm: what is measured to, marked and punched. */
  readonly x: number;
  /** How far it reaches ahead of that and behind it along the rail, mm; 0 for a point. */
  readonly ahead: number;
  readonly behind: number;
  readonly face: Face;
  /** Below the top of the rail, mm (0 on the top face). */
  readonly down: number;
  /** On the top or the bottom: from the outside of the web in to its middle, mm; without it nobody has measured it. */
  readonly inboard?: number;
  /** Hole diameter, mm; 0 where there is none. */
  readonly diameter: number;
  readonly attachment: 'rivets' | 'bolts' | 'weld' | 'hole';
  readonly movable: 'no' | 're-drill' | 're-weld';
  /** Of one of it, kg: a feature on both rails weighs twice that. */
  readonly mass: number;
  readonly origin?: Origin;
  /** Figures that nobody has measured: they are what is usual for its kind. */
  readonly usual?: readonly UsualFigure[];
}

export interface Axle {
  readonly id: string;
  readonly name: string;
  readonly role: 'front' | 'rear';
  readonly x: number;
  readonly z: number;
  readonly tireRadius: number;
  readonly track: number;
  /** Wheels that hang on the rails by themselves: their track follows the rails. Without it, a solid axle. */
  readonly suspension?: 'independent';
  /** What the axle may carry, kg, as its plate says. */
  readonly rating?: number;
  /** What it rides on: a unit, a feature or a crossmember; without one, the rail at its own station. */
  readonly carrier?: Ref;
  readonly origin?: Origin;
}

export const POINT_KINDS = [
  'cab-back',
  'behind-cab',
  'output-flange',
  'carrier-bearing',
  'pinion',
  'mass',
  'body',
] as const;

/**
 * A point with a name that rides on the frame: cab back, what stands behind the cab, transmission flange, carrier bearing,
 * pinion, a mass.
 */
export interface FramePoint extends Vec3 {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof POINT_KINDS)[number];
  readonly mass: number;
  /** Direction of the shaft at a flange or pinion, radians: pitch rises to the rear, yaw turns to the right. */
  readonly pitch?: number;
  readonly yaw?: number;
  /** What it rides on: a unit, feature, crossmember or axle; without one, what usually carries its kind. */
  readonly carrier?: Ref;
  readonly origin?: Origin;
}

/** A line, hose, harness, cable or pipe that runs along the frame between two stations. */
export interface FrameLine {
  readonly id: string;
  readonly name: string;
  readonly kind: 'brake' | 'fuel' | 'harness' | 'cable' | 'exhaust';
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  /** Spare length it can give before it pulls, mm. */
  readonly slack: number;
  readonly origin?: Origin;
}

export const ROOM_KINDS = ['tank', 'filler', 'battery', 'engine', 'exhaust', 'other'] as const;

/** Room by its six faces, mm: front is less than rear, left than right, low than high; y runs to the right. */
export interface SixFaces {
  readonly front: number;
  readonly rear: number;
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Something on the frame that takes up room and that a body must clear: a box round it. */
export interface FrameRoom extends SixFaces {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof ROOM_KINDS)[number];
  readonly origin?: Origin;
}

/** A left/right pair of places that are measured from: punch marks on the rail top's outside edge by default. */
export interface ControlPoint {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  /** Inboard of the outside face of the web, and below the rail top, mm. */
  readonly inboard: number;
  readonly down: number;
  readonly origin?: Origin;
}

export interface ControlEnd {
  readonly point: string;
  readonly side: Side;
}

/** What is measured between two control points. */
export const BETWEEN_KINDS = ['tape', 'plumb', 'rise'] as const;
type MeasuredBetween<K> = K extends unknown
  ? { readonly id: string; readonly kind: K; readonly from: ControlEnd; readonly to: ControlEnd }
  : never;

/**
 * What is measured before, during and after the work: the tape pulled straight between two control points; held level, with
 * its ends plumbed down to them; how much the second stands higher than the first, as a level laid over both tells; or the
 * height of one over the datum plane, read with a level or a laser.
 */
export type ControlMeasurement =
  | MeasuredBetween<(typeof BETWEEN_KINDS)[number]>
  | { readonly id: string; readonly kind: 'height'; readonly at: ControlEnd };

/**
 * The control points that a measurement needs: two for what is measured between them, one for a height.
 *
 * @param measurement The measurement.
 */
export const endsOf = (measurement: ControlMeasurement): readonly ControlEnd[] =>
  measurement.kind === 'height' ? [measurement.at] : [measurement.from, measurement.to];

/** A donor frame as measured. */
export interface Frame {
  readonly name: string;
  /** What it was copied from, where it came out of the shop's library. */
  readonly copiedFrom?: string;
  /** What the rails are made of; new rail is taken to be the same. */
  readonly material: Material;
  readonly sections: readonly NamedSection[];
  readonly rails: Rails;
  /** Further longitudinal members beside the two rails, and braces from anywhere to anywhere. */
  readonly members: readonly Member[];
  readonly braces: readonly Brace[];
  readonly crossmembers: readonly Crossmember[];
  readonly features: readonly Feature[];
  /** The feature all shop measurements are given from. */
  readonly datum: string;
  /** What is rigid and rides on its mounts. */
  readonly units: readonly Unit[];
  readonly axles: readonly Axle[];
  readonly points: readonly FramePoint[];
  readonly lines: readonly FrameLine[];
  /** What takes up room on it: tank, filler, battery box. */
  readonly rooms: readonly FrameRoom[];
  readonly controlPoints: readonly ControlPoint[];
  readonly controlMeasurements: readonly ControlMeasurement[];
}

/**
 * The stations of one rail.
 *
 * @param rails Mirrored, or measured apart.
 * @param side Left or right, as seated.
 */
export const railOf = (rails: Rails, side: Side): Rail => (rails.kind === 'mirrored' ? rails.stations : rails[side]);

/**
 * How far in from the outside of the web a feature on a flange was measured, mm; null in the web, and where nobody has measured it.
 *
 * @param feature The feature.
 */
export const acrossFlange = ({ face, inboard }: Pick<Feature, 'face' | 'inboard'>): number | null =>
  face === 'top' || face === 'bottom' ? (inboard ?? null) : null;

/** The stretch of rail that a feature takes up, mm: its reach, or its hole where that is wider. */
export function extentOf({ x, ahead, behind, diameter }: Feature): { readonly from: number; readonly to: number } {
  return { from: x - Math.max(ahead, diameter / 2), to: x + Math.max(behind, diameter / 2) };
}

/**
 * The sides a feature stands on.
 *
 * @param feature What stands on one side, or on both.
 */
export const sidesOf = (feature: { readonly side: Side | 'both' }): readonly Side[] =>
  feature.side === 'both' ? SIDES : [feature.side];

/**
 * The station of the datum hole, mm; 0 (the front axle) when the frame names none.
 *
 * @param frame The donor; validated.
 */
export function datumStation(frame: Frame): number {
  return frame.features.find((feature) => feature.id === frame.datum)?.x ?? 0;
}

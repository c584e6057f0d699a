import type { SixFaces, Vec3 } from '../frame/index.ts';
import type { InputProblem } from '../input-error.ts';
import { type WorkBody, workProblems } from './work-body.ts';

export const BODY_KINDS = ['cab', 'bed', 'box', 'other'] as const;
export type BodyKind = (typeof BODY_KINDS)[number];

/** An opening for a wheel in the side of a body: where its middle is, and how round it is. mm. */
export interface WheelOpening {
  readonly id: string;
  readonly name: string;
  /** The axle that it goes over. */
  readonly over: 'front' | 'rear';
  readonly x: number;
  /** Its edge, point by point, where it is no circle: then that is its shape. */
  readonly outline?: readonly ProfilePoint[];
  /** Height of its middle; without it nobody has measured it. */
  readonly z?: number;
  readonly radius?: number;
}

/** A place where the body wants to sit: the underside of its own bracket. mm. */
export interface BodyMount extends Vec3 {
  readonly id: string;
  readonly name: string;
  /** Its hole, 0 where there is none; without it nobody has measured it. */
  readonly hole?: number;
  /** Of its bracket; without it nobody has measured it. */
  readonly thickness?: number;
  /** Free height of the bushing that lies under it, 0 where there is none; without it nobody has measured it. */
  readonly bushing?: number;
  /** How many N squeeze that by 1 mm; without it nobody knows. */
  readonly bushingRate?: number;
  /** What it carries, kg, where somebody knows; without it that is calculated from the weights of the body. */
  readonly load?: number;
}

/** What stands out from the side of a body over a tire: how far from the middle its inner and its outer edge are. mm. */
export interface Fender {
  readonly id: string;
  readonly name: string;
  /** The axle that it goes over. */
  readonly over: 'front' | 'rear';
  readonly inner: number;
  readonly outer: number;
}

export const BODY_POINT_KINDS = ['step', 'hangs'] as const;
/** A tread that people step on, or something that hangs low ahead of the wheels or behind them. mm. */
export interface BodyPoint {
  readonly id: string;
  readonly name: string;
  readonly kind: (typeof BODY_POINT_KINDS)[number];
  readonly x: number;
  readonly z: number;
}

/**
 * A body made longer or wider at a place, or shorter or narrower. By `length` it is cut across at x and everything behind
 * moves; by `width` it is split at y and both halves move outward by half. Below 0: so much is taken out there. mm.
 */
export interface BodyChange {
  readonly id: string;
  readonly of: 'length' | 'width';
  readonly at: number;
  readonly by: number;
  /** Kept in the list, not carried out. */
  readonly off: boolean;
}

/** Something that the body brings: its own weight, a tank, the payload. Where it balances, and kg. */
export interface BodyMass extends Vec3 {
  readonly id: string;
  readonly name: string;
  readonly mass: number;
}

export const CLEAR_BOX_KINDS = ['hump', 'tub', 'sill', 'tunnel', 'step', 'other'] as const;
type ClearBoxKind = (typeof CLEAR_BOX_KINDS)[number];

/** A part of the body that nothing of the frame may come into. */
export interface ClearBox extends SixFaces {
  readonly id: string;
  readonly name: string;
  readonly kind: ClearBoxKind;
}

/** A point of a profile in side view, mm. */
export interface ProfilePoint {
  readonly x: number;
  readonly z: number;
}

/** A point across a body, mm: so far from its middle, so much over what is at the middle, below 0 under it. */
export interface AcrossPoint {
  readonly out: number;
  readonly z: number;
}

/**
 * A body, or a part of one that is placed by itself: a cab, a bed, a box. In coordinates of its own: mm, x to the rear from
 * where its tape hangs, y to the right, z up from its own level line.
 */
export interface Body {
  readonly id: string;
  readonly name: string;
  readonly kind: BodyKind;
  /** Outline of its side, going round. */
  readonly outline: readonly ProfilePoint[];
  /** The lowest of its floor between the rails, front to rear. */
  readonly underside: readonly ProfilePoint[];
  /** How that rises or falls across, both sides alike: from the middle outward, over what it is at the middle. */
  readonly across?: readonly AcrossPoint[];
  readonly openings: readonly WheelOpening[];
  readonly mounts: readonly BodyMount[];
  readonly boxes: readonly ClearBox[];
  readonly masses: readonly BodyMass[];
  readonly fenders: readonly Fender[];
  readonly points: readonly BodyPoint[];
  /** What is done to it before it goes on, in order. */
  readonly changes: readonly BodyChange[];
  /** Its front end and its rear end (of a cab: its back) on its tape, and how wide it is, where somebody measured it. */
  readonly front?: number;
  readonly rear?: number;
  readonly width?: number;
  /** Gaps that are wanted: to the part ahead of it, and round a tire; without one the rulebook says. */
  readonly gapAhead?: number;
  readonly tireGap?: number;
  /** Its deck, where it is a work body. */
  readonly work?: WorkBody;
  /** What it was copied from, where it came out of the shop's library. */
  readonly copiedFrom?: string;
}

/**
 * A body of which nothing is known yet.
 *
 * @param id What names it in the job.
 * @param name What it is called.
 */
export const newBody = (id: string, name = 'Body'): Body => ({
  id,
  name,
  kind: 'other',
  outline: [],
  underside: [],
  openings: [],
  mounts: [],
  boxes: [],
  masses: [],
  fenders: [],
  points: [],
  changes: [],
});

/**
 * The opening over the axles of a role; the first of several, null without any.
 *
 * @param role The front axles, or the rear ones.
 */
export const openingOver = ({ openings }: Pick<Body, 'openings'>, role: WheelOpening['over']): WheelOpening | null =>
  openings.filter(({ over }) => over === role).reduce<WheelOpening | null>((a, b) => (a && a.x <= b.x ? a : b), null);

/**
 * Distance between the middles of its front and rear openings, mm; null where one of them has not been measured.
 *
 * @param body The body.
 */
export function wheelbaseOf(body: Pick<Body, 'openings'>): number | null {
  const [front, rear] = [openingOver(body, 'front'), openingOver(body, 'rear')];
  return front && rear ? rear.x - front.x : null;
}

/**
 * What no schema says about a body: a mass that is none, an opening without size, a box inside out.
 *
 * @param body The body.
 * @param path Where that is in the document: problems are named from there.
 */
export function bodyProblems(body: Body, path: string): InputProblem[] {
  const problem = (code: string, at: string, message: string): InputProblem[] => [
    { code: `body/${code}`, path: `${path}.${at}`, message },
  ];
  const wheelbase = wheelbaseOf(body);
  return [
    ...body.masses.flatMap(({ name, mass }, index) =>
      mass > 0 ? [] : problem('mass', `masses[${index}].mass`, `${name} needs a mass above 0 kg, or delete it.`),
    ),
    ...body.openings.flatMap(({ name, radius }, index) =>
      radius === undefined || radius > 0
        ? []
        : problem('opening', `openings[${index}].radius`, `The radius of ${name} must be more than 0, or left empty.`),
    ),
    ...(wheelbase === null || wheelbase > 0
      ? []
      : problem('openings', 'openings', 'The rear opening must lie behind the front one: swap what they go over.')),
    ...body.fenders.flatMap(({ name, inner, outer }, index) =>
      outer > inner && inner >= 0
        ? []
        : problem('fender', `fenders[${index}].outer`, `The outer edge of ${name} must be farther out than its inner.`),
    ),
    ...body.changes.flatMap(({ by }, index) =>
      by !== 0 ? [] : problem('change', `changes[${index}].by`, 'A change of 0 is none: type how much, or delete it.'),
    ),
    ...(body.front === undefined || body.rear === undefined || body.rear > body.front
      ? []
      : problem('ends', 'rear', 'Its rear end must lie behind its front end.')),
    ...(['width', 'gapAhead', 'tireGap'] as const).flatMap((key) =>
      (body[key] ?? 1) >= 0 ? [] : problem(key, key, 'It must be 0 or more, or left empty.'),
    ),
    ...(body.work ? workProblems(body.work, `${path}.work`) : []),
    ...body.mounts.flatMap(({ name, hole, thickness, bushing, bushingRate, load }, index) => [
      ...(hole === undefined || hole >= 0
        ? []
        : problem('hole', `mounts[${index}].hole`, `The hole of ${name} must be 0 or more.`)),
      ...(thickness === undefined || thickness >= 0
        ? []
        : problem('thickness', `mounts[${index}].thickness`, `The bracket of ${name} must be 0 thick or more.`)),
      ...(bushing === undefined || bushing >= 0
        ? []
        : problem('bushing', `mounts[${index}].bushing`, `The bushing of ${name} must be 0 high or more.`)),
      ...(bushingRate === undefined || bushingRate > 0
        ? []
        : problem(
            'bushing',
            `mounts[${index}].bushingRate`,
            `The rate of the bushing of ${name} must be more than 0, or left empty.`,
          )),
      ...(load === undefined || load >= 0
        ? []
        : problem('load', `mounts[${index}].load`, `What ${name} carries must be 0 or more, or left empty.`)),
    ]),
    ...(body.across ?? []).flatMap(({ out }, index) =>
      out >= 0 ? [] : problem('across', `across[${index}].out`, 'Both sides are alike: measure outward, from 0.'),
    ),
    ...body.boxes.flatMap(({ name, front, rear, left, right, low, high }, index) => [
      ...(rear > front ? [] : problem('box', `boxes[${index}].rear`, `${name} must end behind where it begins.`)),
      ...(right > left
        ? []
        : problem(
            'box',
            `boxes[${index}].right`,
            `${name} must reach farther right than its left side: left is below 0.`,
          )),
      ...(high > low ? [] : problem('box', `boxes[${index}].high`, `${name} must be higher than its underside.`)),
    ]),
  ];
}

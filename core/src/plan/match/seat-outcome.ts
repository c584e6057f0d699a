import { type Body, type BodyPose, onFrame, openingOver, type ProfilePoint } from '../../body/index.ts';
import type { Axle, FramePoint } from '../../frame/index.ts';
import type { BodyPoint, WheelOpening } from '../../body/index.ts';
import { lazy } from '../../lazy.ts';
import { ruleValue } from '../../rules/index.ts';
import { axleXs } from '../axle-loads.ts';
import type { Context } from '../context.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import type { FeatureOutcome } from '../feature-outcome.ts';
import type { Piece } from '../piece.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { PlanState } from '../state.ts';
import { frameEnds } from '../frame-ends.ts';
import { groundUnder, rampsOf, type UndersideLine, wheelsUnder } from '../underside.ts';
import { requiredWidth } from './required-width.ts';
import { type FenderOver, fendersOver } from './coverage.ts';
import { type WorkOutcome, workOutcome } from './work-outcome.ts';
import { type Clash, clashesOf } from './clashes.ts';
import { type MountGap, mountGap, sideOfMount } from './mount-gap.ts';
import { axleUnder, type OpeningOver, openingsOver } from './openings.ts';
import { type AxlePlaces, usualPose } from './placing.ts';
import type { Obstacles } from './obstacles.ts';
import { railUnder } from './rail-under.ts';
import { mountLoads } from './shares.ts';

/** Where the plan puts a body. */
export interface BodySeat extends BodyPose {
  readonly body: string;
}

/** A mount with what it carries, kg, and the donor's own bracket that could serve it. */
export interface SeatMount extends MountGap {
  readonly load: number | null;
  readonly serves: { readonly id: string; readonly name: string; readonly ahead: number } | null;
}

/**
 * A body on the built frame: where it sits, how far everything is off, and what it asks for. All but where it sits is worked
 * out when it is first asked for.
 */
export interface SeatOutcome {
  readonly body: Body;
  /** Whether the plan says where it sits; else it sits where the first rule that serves puts it. */
  readonly decided: boolean;
  readonly pose: BodyPose;
  /** The same on the donor, over the same axle; null where the donor has none. */
  readonly onDonor: BodyPose;
  readonly openings: readonly OpeningOver[];
  readonly mounts: readonly SeatMount[];
  readonly clashes: readonly Clash[];
  /** Whether anything that must stay clear was measured: without it clashes cannot be told. */
  readonly clearKnown: boolean;
  /** Height of its floor over the ground at both ends, mm; null where the floor or an axle is not known. */
  readonly floor: { readonly front: number; readonly rear: number } | null;
  /** How its fenders cover the tires. */
  readonly fenders: readonly FenderOver[];
  /** The part of a body or of the donor's cab ahead of it, the gap to that, and the gap that is wanted, mm. */
  readonly ahead: { readonly name: string; readonly gap: number; readonly wanted: number } | null;
  /** Its steps with their heights over the ground, mm. */
  readonly steps: readonly { readonly point: BodyPoint; readonly height: number }[];
  /** Approach and departure of all of it that was measured, radians from the ground; null where it has nothing beyond the wheels. */
  readonly ramps: { readonly approach: number | null; readonly departure: number | null };
  /** What its deck asks for and what the frame gives it; null where it is no work body. */
  readonly work: WorkOutcome | null;
  /** How much wider the frame must become so that every mount lies over a rail, mm; null where no one width does that. */
  readonly wider: number | null;
  /** Wheelbase that its openings ask for, and how much more than the donor's and the plan's that is, mm. */
  readonly wheelbase: {
    readonly asked: number;
    readonly donor: number;
    readonly overDonor: number;
    readonly overPlan: number;
  } | null;
}

interface Standing {
  readonly state: PlanState;
  readonly pieces: readonly Piece[];
  readonly members: readonly MemberOutcome[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly features: readonly FeatureOutcome[];
  readonly axles: readonly RiderOutcome<Axle>[];
}

/**
 * Middles of the axles that bodies go over, mm.
 *
 * @param axles Where the axles are.
 * @param on On the donor, or as built.
 */
export function axlePlaces(axles: Standing['axles'], on: 'donor' | 'built'): AxlePlaces {
  const xs = axleXs(axles, on);
  const of = (role: 'front' | 'rear') => {
    const at = axleUnder(axles, role)?.[on] ?? null;
    return at && xs[role] !== null ? { x: xs[role], z: at.z } : null;
  };
  return { front: of('front'), rear: of('rear') };
}

const BRACKETS: ReadonlySet<string> = new Set(['body-mount', 'cab-mount', 'bed-mount']);

/** The donor's own bracket nearest to a mount, where it is near enough to serve. */
function bracketFor({ side, at }: MountGap, features: readonly FeatureOutcome[], near: number): SeatMount['serves'] {
  const found = features.flatMap(({ feature, places }) => {
    const built = places[side]?.built;
    if (!built || !BRACKETS.has(feature.kind)) return [];
    const ahead = at.x - built.x;
    return Math.abs(ahead) <= near ? [{ id: feature.id, name: feature.name, ahead }] : [];
  });
  return found.toSorted((a, b) => Math.abs(a.ahead) - Math.abs(b.ahead))[0] ?? null;
}

/** Its front end on the frame, or its rear: as measured, else by its outline; null where neither is there. */
function endOf(body: Body, pose: BodyPose, end: 'front' | 'rear'): number | null {
  const typed = body[end];
  if (typed !== undefined) return onFrame(pose, { x: typed, z: 0 }).x;
  const xs = body.outline.map((point) => onFrame(pose, point).x);
  return xs.length > 0 ? (end === 'front' ? Math.min(...xs) : Math.max(...xs)) : null;
}

/** What stands ahead of a body and how far: the nearest other body that begins ahead of it, else the donor's cab. */
function aheadOf(
  body: Body,
  pose: BodyPose,
  bodies: readonly Body[],
  poses: readonly BodyPose[],
  points: readonly RiderOutcome<FramePoint>[],
  rules: Context['rules'],
): SeatOutcome['ahead'] {
  const front = endOf(body, pose, 'front');
  if (front === null) return null;
  const wanted = body.gapAhead ?? ruleValue(rules, 'body/cab-gap');
  const others = bodies.flatMap((other, at) => {
    const there = poses[at] as BodyPose;
    const [begins, ends] = [endOf(other, there, 'front'), endOf(other, there, 'rear')];
    if (other === body || begins === null || ends === null || begins >= front) return [];
    return [{ name: other.name, gap: front - ends, wanted }];
  });
  const nearest = others.toSorted((a, b) => a.gap - b.gap)[0];
  if (nearest || body.kind === 'cab' || bodies.some(({ kind }) => kind === 'cab')) return nearest ?? null;
  const cab = points
    .flatMap(({ item, built }) =>
      built && (item.kind === 'cab-back' || item.kind === 'behind-cab') ? [{ name: item.name, x: built.x }] : [],
    )
    .toSorted((a, b) => b.x - a.x)[0];
  // A body that begins ahead of the cab's back takes the place of the cab.
  return cab && front > cab.x - wanted ? { name: cab.name, gap: front - cab.x, wanted } : null;
}

/** Between the middles of its openings along the frame, as it sits: less than along a raked body. Null without both. */
function requiredWheelbase(body: Body, pose: BodyPose): number | null {
  const [front, rear] = [openingOver(body, 'front'), openingOver(body, 'rear')];
  if (!front || !rear) return null;
  // A height that nobody measured is taken to be that of the other opening.
  const at = ({ x, z }: WheelOpening) => onFrame(pose, { x, z: z ?? front.z ?? rear.z ?? 0 }).x;
  return at(rear) - at(front);
}

/**
 * What of a body could touch a ramp: what hangs low, its side, its floor, the boxes that it keeps clear, and the rear edge of its deck,
 * which lies on the frame.
 */
function lowLines(body: Body, pose: BodyPose, work: WorkOutcome | null, axle: number | undefined): UndersideLine[] {
  const line = (a: ProfilePoint, b: ProfilePoint, what: string): UndersideLine => ({
    from: onFrame(pose, a),
    to: onFrame(pose, b),
    what,
    ofRail: false,
  });
  const along = (points: readonly ProfilePoint[]) =>
    points.slice(1).map((to, at) => line(points[at] as ProfilePoint, to, body.name));
  const deckEnd = work && axle !== undefined ? { x: axle + work.overhang, z: work.frameEnd.top } : null;
  return [
    ...body.points.filter(({ kind }) => kind === 'hangs').map((point) => line(point, point, point.name)),
    ...along(body.outline),
    ...along(body.underside),
    ...body.boxes.map(({ name, front, rear, low }) => line({ x: front, z: low }, { x: rear, z: low }, name)),
    ...(deckEnd ? [{ from: deckEnd, to: deckEnd, what: `the deck of ${body.name}`, ofRail: false }] : []),
  ];
}

/**
 * Where every body of a job sits on the built frame, and what follows.
 *
 * @param bodies The bodies; validated.
 * @param seats Where the plan puts them.
 * @param standing The built frame, and what else is solid on it, worked out when it is asked for.
 * @param context Sections, rules and how lengths are written.
 */
export function seatOutcomes(
  bodies: readonly Body[],
  seats: readonly BodySeat[],
  standing: Standing & { readonly obstacles: () => Obstacles },
  context: Context,
): readonly SeatOutcome[] {
  if (bodies.length === 0) return [];
  const [built, donor] = [axlePlaces(standing.axles, 'built'), axlePlaces(standing.axles, 'donor')];
  const { rules } = context;
  const wheels = wheelsUnder(standing.axles);
  const ends = lazy(() => frameEnds(standing.pieces, context.section));
  const poses = bodies.map((body): BodyPose => {
    const seat = seats.find((one) => one.body === body.id);
    return seat ? { x: seat.x, z: seat.z, rake: seat.rake } : usualPose(body, built);
  });
  return bodies.map((body, index): SeatOutcome => {
    const pose = poses[index] as BodyPose;
    // On the donor it goes with the axle that it is placed by.
    const by = openingOver(body, 'front') || !openingOver(body, 'rear') ? 'front' : 'rear';
    const shift = (donor[by]?.x ?? 0) - (built[by]?.x ?? 0);
    const mounts = lazy(() => {
      const loads = mountLoads(body);
      return body.mounts.map((mount, nth): SeatMount => {
        const at = onFrame(pose, { x: mount.x, y: mount.y, z: mount.z });
        const rail = railUnder(standing.state, sideOfMount(at), at.x, context.section);
        const gap = mountGap(mount, at, rail, ruleValue(rules, 'mount/sits'));
        const serves = bracketFor(gap, standing.features, ruleValue(rules, 'mount/serves'));
        return { ...gap, load: loads[nth] ?? null, serves };
      });
    });
    const ground = wheels && groundUnder(wheels);
    const over = (point: ProfilePoint | undefined): number | null => {
      const at = point && onFrame(pose, point);
      return at && ground ? at.z - ground.at(at.x) : null;
    };
    const [frontFloor, rearFloor] = [over(body.underside[0]), over(body.underside.at(-1))];
    const asked = requiredWheelbase(body, pose);
    const between = ({ front, rear }: AxlePlaces) => (front && rear ? rear.x - front.x : null);
    const [has, had] = [between(built), between(donor)];
    const openings = lazy(() => openingsOver(body, pose, standing.axles, ruleValue(rules, 'tire/bump')));
    const clashes = lazy(() =>
      clashesOf(body, pose, { ...standing, reworks: standing.state.reworks, ...standing.obstacles() }, context.section),
    );
    const fenders = lazy(() => fendersOver(body, standing.axles, rules));
    const work = lazy(() => workOutcome(body, { ...standing, end: ends().rear }, rules));
    const axle = axleUnder(standing.axles, 'rear')?.built?.x;
    const ramps = lazy(() => rampsOf(lowLines(body, pose, work(), axle), wheels));
    return {
      body,
      decided: seats.some((one) => one.body === body.id),
      pose,
      onDonor: { ...pose, x: pose.x + shift },
      get openings() {
        return openings();
      },
      get mounts() {
        return mounts();
      },
      floor: frontFloor === null || rearFloor === null ? null : { front: frontFloor, rear: rearFloor },
      clearKnown: body.boxes.length > 0 || body.underside.length > 1,
      get clashes() {
        return clashes();
      },
      get fenders() {
        return fenders();
      },
      ahead: aheadOf(body, pose, bodies, poses, standing.points, rules),
      steps: body.points.flatMap((point) => {
        const height = point.kind === 'step' ? over(point) : null;
        return height === null ? [] : [{ point, height }];
      }),
      get ramps() {
        return ramps();
      },
      get wider() {
        return requiredWidth(mounts());
      },
      get work() {
        return work();
      },
      wheelbase:
        asked === null || has === null || had === null
          ? null
          : { asked, donor: had, overDonor: asked - had, overPlan: asked - has },
    };
  });
}

import { type Body, type BodyPose, onFrame, openingOver, type ProfilePoint, wheelbaseOf } from '../../body/index.ts';
import type { Axle } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { axleXs } from '../axle-loads.ts';
import type { Context } from '../context.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import type { FeatureOutcome } from '../feature-outcome.ts';
import type { Piece } from '../piece.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import { groundUnder, wheelsUnder } from '../underside.ts';
import { type Clash, clashesOf } from './clashes.ts';
import { type MountGap, mountGap, sideOfMount } from './mount-gap.ts';
import { axleUnder, type OpeningOver, openingsOver } from './openings.ts';
import { type AxlePlaces, usualPose } from './placing.ts';
import { railUnder } from './rail-under.ts';
import { mountLoads } from './shares.ts';
import { tyreRooms } from './tyre-box.ts';

/** Where the plan puts a body. */
export interface BodySeat extends BodyPose {
  readonly body: string;
}

/** A mount with what it carries, kg, and the donor's own bracket that could serve it. */
export interface SeatMount extends MountGap {
  readonly load: number | null;
  readonly serves: { readonly id: string; readonly name: string; readonly ahead: number } | null;
}

/** A body on the built frame: where it sits, how far everything is off, and what it asks for. */
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
  /** Wheelbase that its openings ask for, and how much more than the donor's and the plan's that is, mm. */
  readonly wheelbase: {
    readonly asked: number;
    readonly donor: number;
    readonly overDonor: number;
    readonly overPlan: number;
  } | null;
}

interface Standing {
  readonly pieces: readonly Piece[];
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

/**
 * Where every body of a job sits on the built frame, and what follows.
 *
 * @param bodies The bodies; validated.
 * @param seats Where the plan puts them.
 * @param standing The built frame.
 * @param context Sections, rules and how lengths are written.
 */
export function seatOutcomes(
  bodies: readonly Body[],
  seats: readonly BodySeat[],
  standing: Standing,
  context: Context,
): readonly SeatOutcome[] {
  const [built, donor] = [axlePlaces(standing.axles, 'built'), axlePlaces(standing.axles, 'donor')];
  const { rules } = context;
  const wheels = wheelsUnder(standing.axles);
  const tyres = tyreRooms(standing.axles, rules);
  return bodies.map((body): SeatOutcome => {
    const seat = seats.find((one) => one.body === body.id);
    const pose: BodyPose = seat ? { x: seat.x, z: seat.z, rake: seat.rake } : usualPose(body, built);
    // On the donor it goes with the axle that it is placed by.
    const by = openingOver(body, 'front') || !openingOver(body, 'rear') ? 'front' : 'rear';
    const shift = (donor[by]?.x ?? 0) - (built[by]?.x ?? 0);
    const loads = mountLoads(body);
    const mounts = body.mounts.map((mount, index): SeatMount => {
      const at = onFrame(pose, { x: mount.x, y: mount.y, z: mount.z });
      const rail = railUnder(standing.pieces, sideOfMount(at), at.x, context.section);
      const gap = mountGap(mount, at, rail, ruleValue(rules, 'mount/sits'));
      const serves = bracketFor(gap, standing.features, ruleValue(rules, 'mount/serves'));
      return { ...gap, load: loads[index] ?? null, serves };
    });
    const ground = wheels && groundUnder(wheels);
    const over = (point: ProfilePoint | undefined): number | null => {
      const at = point && onFrame(pose, point);
      return at && ground ? at.z - ground.at(at.x) : null;
    };
    const [frontFloor, rearFloor] = [over(body.underside[0]), over(body.underside.at(-1))];
    const asked = wheelbaseOf(body);
    const between = ({ front, rear }: AxlePlaces) => (front && rear ? rear.x - front.x : null);
    const [has, had] = [between(built), between(donor)];
    return {
      body,
      decided: seat !== undefined,
      pose,
      onDonor: { ...pose, x: pose.x + shift },
      openings: openingsOver(body, pose, standing.axles, ruleValue(rules, 'tyre/bump')),
      mounts,
      floor: frontFloor === null || rearFloor === null ? null : { front: frontFloor, rear: rearFloor },
      clearKnown: body.boxes.length > 0 || body.underside.length > 1,
      clashes: clashesOf(body, pose, { ...standing, tyres }, context.section),
      wheelbase:
        asked === null || has === null || had === null
          ? null
          : { asked, donor: had, overDonor: asked - had, overPlan: asked - has },
    };
  });
}

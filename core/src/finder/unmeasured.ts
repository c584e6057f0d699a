import { factsOf, type Frame, railOf } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import { laneOfFeature, type Lane } from './reason.ts';

/** A lane about which nobody has measured anything yet: it is not clear but unknown. */
export interface Unmeasured {
  readonly lane: Lane;
  /** What to measure before its places can be trusted. */
  readonly measure: string;
}

/** A stretch about an axle whose hangers, links or seats nobody has measured: assumed to be taken up by them. mm. */
export interface AssumedRoom {
  readonly axle: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** Brackets farther from an axle than this are not its own, mm. */
const ITS_OWN = inches(40);

/**
 * Stretches about axles without any measured bracket of a suspension.
 *
 * @param frame The donor; validated.
 * @param keepOut How far each way an axle without brackets is kept clear of, mm.
 */
export function assumedRooms({ axles, features }: Frame, keepOut: number): readonly AssumedRoom[] {
  const brackets = features.filter(({ kind }) => factsOf(kind).suspension).map(({ x }) => x);
  return axles
    .filter((axle) => !brackets.some((x) => Math.abs(x - axle.x) < ITS_OWN))
    .map(({ id, name, x }) => ({ axle: id, name, from: x - keepOut, to: x + keepOut }));
}

/**
 * The lanes about which nothing has been measured, with what to measure first.
 *
 * @param frame The donor; validated.
 * @param weighed Whether anything that bends the rails has been weighed.
 */
export function unmeasuredOf(frame: Frame, weighed: boolean): readonly Unmeasured[] {
  const { features, crossmembers, lines, rooms, rails, axles } = frame;
  const known = new Set(features.filter(({ id }) => id !== frame.datum).map(laneOfFeature));
  const stations = railOf(rails, 'left');
  const isShaped = stations.length > 2 && stations.some(({ origin }) => origin !== 'assumed');
  const missing = (lane: Lane, there: boolean, measure: string): Unmeasured[] => (there ? [] : [{ lane, measure }]);
  return [
    ...missing('bend', isShaped, 'where the rails bend, rise and narrow'),
    ...missing('taper', isShaped, 'how wide and how high the rails are between their ends'),
    ...missing('suspension', known.has('suspension') || axles.length === 0, 'hangers, links and seats of both axles'),
    ...missing('members', crossmembers.length > 0, 'every crossmember'),
    ...missing('holes', known.has('holes'), 'holes, rivets and the VIN stamp'),
    ...missing(
      'tank',
      known.has('tank') || lines.length > 0 || rooms.some(({ kind }) => kind === 'tank'),
      'the tank, lines and shaft',
    ),
    ...missing('strip', known.has('strip'), 'cab and body mounts'),
    ...missing('load', weighed, 'what the frame carries, and where'),
  ];
}

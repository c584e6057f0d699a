import {
  type ControlEnd,
  type ControlMeasurement,
  type ControlPoint,
  endsOf,
  type Frame,
  type Vec3,
} from '../frame/index.ts';
import { railPlace, topAt, whereIs } from './locate.ts';
import type { Piece } from './piece.ts';
import { distance } from './pose.ts';
import type { Preset } from './welds/welding.ts';
import type { PlanState } from './state.ts';

/** A control measurement with what the donor gives and what the plan will give, mm. */
export interface ControlPrediction {
  readonly measurement: ControlMeasurement;
  readonly kind: 'length' | 'width' | 'diagonal' | 'height' | 'rise';
  /** `Frame hole left to rear hole right`, in the names of the points. */
  readonly name: string;
  readonly before: number;
  /** Null when an end is on steel that is taken out. */
  readonly predicted: number | null;
  /** What it is set beyond the plan until it is welded, so that the pull of the welds brings it there, mm. */
  readonly preset: number;
  readonly reason: string;
  /** Names of the points it goes by whose place nobody measured: what it says is assumed too. */
  readonly assumed: readonly string[];
  /** Where its ends are: two for a tape, one for a height. */
  readonly ends: { readonly donor: readonly Vec3[]; readonly built: readonly Vec3[] | null };
}

/**
 * Lengths run along one rail, widths straight across, and every other tape is a diagonal, pulled straight or held level.
 *
 * @param measurement The measurement.
 */
export function controlKind(measurement: ControlMeasurement): ControlPrediction['kind'] {
  if (measurement.kind === 'height' || measurement.kind === 'rise') return measurement.kind;
  const { from, to } = measurement;
  if (from.side === to.side) return 'length';
  return from.point === to.point ? 'width' : 'diagonal';
}

/** Finds a control point on a frame; null where it is on steel that is taken out. */
export type FindPoint = (point: ControlPoint, end: ControlEnd) => Vec3 | null;

/**
 * Finds control points on a frame in work. Each is looked up once.
 *
 * @param state The frame in work.
 */
export function pointFinder(state: PlanState): FindPoint {
  const known = new Map<string, Vec3 | null>();
  return (point, { side }) => {
    const key = `${side}/${point.id}`;
    const found = known.get(key);
    if (found !== undefined) return found;
    const lies = whereIs(state, 'donor', point.x, topAt(state, 'donor', point.x) - point.down);
    const piece = lies.at === 'piece' ? (state.pieces[lies.index] as Piece) : null;
    const at = piece && railPlace(piece, side, point.x, point.down, point.inboard);
    known.set(key, at);
    return at;
  };
}

/** What is read off the tape or the level at these ends, mm. */
export function controlReading({ kind }: ControlMeasurement, [a, b]: readonly Vec3[]): number {
  if (!a || !b) return a?.z ?? 0;
  if (kind === 'rise') return b.z - a.z;
  return kind === 'plumb' ? Math.hypot(b.x - a.x, b.y - a.y) : distance(a, b);
}

/**
 * Every control measurement of the frame, before and after.
 *
 * @param frame The donor; validated.
 * @param onDonor Finds a control point on the donor.
 * @param onBuilt Finds a control point on the built frame; null where it is gone.
 * @param preset What each is set beyond the plan until it is welded.
 */
export function controlPredictions(
  frame: Frame,
  onDonor: FindPoint,
  onBuilt: FindPoint,
  preset: readonly Preset[] = [],
): ControlPrediction[] {
  const set = new Map(preset.map(({ measurement, mm }) => [measurement, mm]));
  const points = new Map(frame.controlPoints.map((point) => [point.id, point]));
  return frame.controlMeasurements.flatMap((measurement): ControlPrediction[] => {
    const ends: Vec3[] = [];
    const builtEnds: Vec3[] = [];
    let lost: ControlPoint | null = null;
    const assumed = new Set<string>();
    for (const end of endsOf(measurement)) {
      const point = points.get(end.point);
      const was = point && onDonor(point, end);
      if (!point || !was) return [];
      ends.push(was);
      if (point.origin === 'assumed') assumed.add(point.name);
      const now = onBuilt(point, end);
      if (now) builtEnds.push(now);
      else lost ??= point;
    }
    return [
      {
        measurement,
        kind: controlKind(measurement),
        name: measurementName(measurement, (id) => points.get(id)?.name ?? id),
        before: controlReading(measurement, ends),
        preset: set.get(measurement.id) ?? 0,
        predicted: lost ? null : controlReading(measurement, builtEnds),
        reason: lost ? `${lost.name} is on steel that is taken out` : '',
        assumed: [...assumed],
        ends: { donor: ends, built: lost ? null : builtEnds },
      },
    ];
  });
}

function measurementName(measurement: ControlMeasurement, nameOf: (point: string) => string): string {
  if (measurement.kind === 'height') return `${nameOf(measurement.at.point)}, height ${measurement.at.side}`;
  const { from, to, kind } = measurement;
  const how = { tape: '', plumb: ', plumbed', rise: ', rise' }[kind];
  if (from.point === to.point) return `${nameOf(from.point)}, across${how}`;
  if (from.side === to.side) return `${nameOf(from.point)} to ${nameOf(to.point)}, ${from.side}${how}`;
  return `${nameOf(from.point)} ${from.side} to ${nameOf(to.point)} ${to.side}${how}`;
}

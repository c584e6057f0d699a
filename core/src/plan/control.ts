import type { ControlEnd, ControlMeasurement, ControlPoint, Frame, Vec3 } from '../frame/index.ts';
import { railPlace, topAt, whereIs } from './locate.ts';
import type { Piece } from './piece.ts';
import { distance } from './pose.ts';
import type { PlanState } from './state.ts';

/** A tape measurement with what the donor gives and what the plan will give, mm, pulled straight between the points. */
export interface ControlPrediction {
  readonly measurement: ControlMeasurement;
  readonly kind: 'length' | 'width' | 'diagonal';
  /** `frame hole, left to rear hole, right`, in the names of the points. */
  readonly name: string;
  readonly before: number;
  /** Null when an end is on steel that is taken out. */
  readonly predicted: number | null;
  readonly reason: string;
  readonly ends: { readonly donor: readonly [Vec3, Vec3]; readonly built: readonly [Vec3, Vec3] | null };
}

/** Lengths run along one rail, widths straight across, and everything else is a diagonal. */
export function controlKind(measurement: ControlMeasurement): ControlPrediction['kind'] {
  const { from, to } = measurement;
  if (from.side === to.side) return 'length';
  return from.point === to.point ? 'width' : 'diagonal';
}

function endPlace(state: PlanState, point: ControlPoint, end: ControlEnd): Vec3 | null {
  const z = topAt(state, 'donor', point.x) - point.down;
  const found = whereIs(state, 'donor', point.x, z);
  if (found.at !== 'piece') return null;
  return railPlace(state.pieces[found.index] as Piece, end.side, point.x, point.down, point.inboard);
}

/** Every control measurement of the frame, before and after. */
export function controlPredictions(frame: Frame, donor: PlanState, built: PlanState): ControlPrediction[] {
  const points = new Map(frame.controlPoints.map((point) => [point.id, point]));
  return frame.controlMeasurements.flatMap((measurement): ControlPrediction[] => {
    const ends = [measurement.from, measurement.to].map((end) => ({ end, point: points.get(end.point) }));
    const [a, b] = ends;
    if (!a?.point || !b?.point) return [];
    const donorEnds = [endPlace(donor, a.point, a.end), endPlace(donor, b.point, b.end)];
    const builtEnds = [endPlace(built, a.point, a.end), endPlace(built, b.point, b.end)];
    const [donorA, donorB] = donorEnds;
    const [builtA, builtB] = builtEnds;
    if (!donorA || !donorB) return [];
    const lost = !builtA ? a.point : !builtB ? b.point : null;
    return [
      {
        measurement,
        kind: controlKind(measurement),
        name: measurementName(a.point, a.end, b.point, b.end),
        before: distance(donorA, donorB),
        predicted: builtA && builtB ? distance(builtA, builtB) : null,
        reason: lost ? `${lost.name} is on steel that is taken out` : '',
        ends: { donor: [donorA, donorB], built: builtA && builtB ? [builtA, builtB] : null },
      },
    ];
  });
}

function measurementName(a: ControlPoint, from: ControlEnd, b: ControlPoint, to: ControlEnd): string {
  if (a.id === b.id) return `${a.name}, across`;
  if (from.side === to.side) return `${a.name} to ${b.name}, ${from.side}`;
  return `${a.name} ${from.side} to ${b.name} ${to.side}`;
}

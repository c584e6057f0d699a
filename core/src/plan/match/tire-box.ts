import { type Axle, type Side, SIDES, sideSign } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { RiderOutcome } from '../rider-outcome.ts';

/** A tire and how far it moves, mm and radians: a cylinder turned about an upright kingpin, lifted and let down. */
export interface TireMoves {
  readonly radius: number;
  readonly width: number;
  /** Of its middle outboard of the kingpin. */
  readonly offset: number;
  /** The most that it is steered each way; 0 where it is not. */
  readonly lock: number;
  readonly bump: number;
  readonly droop: number;
  /** Middle of the wheel, and how far its kingpin is from the center line. */
  readonly x: number;
  readonly z: number;
  readonly kingpin: number;
}

/** The room that a tire sweeps, mm: along the frame, outward from the center line, and in height. */
export interface TireBox {
  readonly front: number;
  readonly rear: number;
  readonly inner: number;
  readonly outer: number;
  readonly low: number;
  readonly high: number;
}

/** The most of a·cos θ + b·sin θ over all angles up to `lock` each way. */
function most(a: number, b: number, lock: number): number {
  if (Math.abs(Math.atan2(b, a)) <= lock) return Math.hypot(a, b);
  return Math.max(a * Math.cos(lock) + b * Math.sin(lock), a * Math.cos(lock) - b * Math.sin(lock));
}

/**
 * The room that a tire needs through all angles up to lock, lifted by bump and let down by droop.
 *
 * @param tire The tire and its moves.
 */
export function tireBox({ radius, width, offset, lock, bump, droop, x, z, kingpin }: TireMoves): TireBox {
  const [out, into] = [offset + width / 2, offset - width / 2];
  const along = Math.max(most(radius, -out, lock), most(radius, -into, lock));
  return {
    front: x - along,
    rear: x + along,
    inner: kingpin - most(-into, radius, lock),
    outer: kingpin + most(out, radius, lock),
    low: z - radius - droop,
    high: z + radius + bump,
  };
}

/** The room of one tire of an axle as built. */
export interface TireRoom extends TireBox {
  readonly axle: string;
  readonly side: Side;
  readonly name: string;
}

/**
 * The room that the tires of a frame need, by the rulebook's lock, bump and droop: front axles are steered, rear ones not.
 * The kingpin stands inboard of the middle of the tire by the rulebook's offset.
 *
 * @param axles Axles as built.
 * @param rules The shop’s rulebook.
 */
export function tireRooms(axles: readonly RiderOutcome<Axle>[], rules: Rulebook): readonly TireRoom[] {
  const [offset, bump, droop] = [
    ruleValue(rules, 'tire/offset'),
    ruleValue(rules, 'tire/bump'),
    ruleValue(rules, 'tire/droop'),
  ];
  return axles.flatMap(({ item, built }): TireRoom[] => {
    if (!built) return [];
    const box = tireBox({
      radius: item.tireRadius,
      width: ruleValue(rules, 'tire/width'),
      offset,
      lock: item.role === 'front' ? ruleValue(rules, 'tire/lock') : 0,
      bump,
      droop,
      x: built.x,
      z: built.z,
      kingpin: item.track / 2 - offset,
    });
    return SIDES.map((side) => ({ ...box, axle: item.id, side, name: `the ${side} tire of the ${item.role} axle` }));
  });
}

/** The breadth of a tire's room across the frame, from the left: y below 0 is left. */
export const acrossOf = ({
  side,
  inner,
  outer,
}: Pick<TireRoom, 'side' | 'inner' | 'outer'>): readonly [number, number] => {
  const sign = sideSign(side);
  return sign < 0 ? [-outer, -inner] : [inner, outer];
};

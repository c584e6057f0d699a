import type { Axle, FramePoint } from '../../frame/index.ts';
import { lazy } from '../../lazy.ts';
import type { Context } from '../context.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import { memberSolids, type OtherSolid, shaftSolids } from './solids.ts';
import { type TireRoom, tireRooms } from './tire-box.ts';

/** What stands on the built frame that a body may meet. */
interface Standing {
  readonly members: readonly MemberOutcome[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly axles: readonly RiderOutcome<Axle>[];
  readonly rooms: () => readonly OtherSolid[];
}

/** What a body must clear besides rails and crossmembers: each worked out when it is first asked for. */
export interface Obstacles {
  /** The room of turned tires. */
  readonly tires: readonly TireRoom[];
  /** What takes up room on the frame: tank, battery box. */
  readonly rooms: readonly OtherSolid[];
  /** All that is solid and not steel of the frame; the rooms are among it. */
  readonly others: readonly OtherSolid[];
}

/**
 * What a body must clear on the built frame besides rails and crossmembers: tires, members beside the rails, the drive line,
 * what takes up room.
 *
 * @param standing The built frame.
 * @param context Sections and rules.
 */
export const obstaclesOn = (
  { members, points, axles, rooms }: Standing,
  { section, rules }: Pick<Context, 'section' | 'rules'>,
): Obstacles => {
  const tires = lazy(() => tireRooms(axles, rules));
  const others = lazy(() => [...memberSolids(members, section), ...shaftSolids(points, rules), ...rooms()]);
  return {
    get tires() {
      return tires();
    },
    get rooms() {
      return rooms();
    },
    get others() {
      return others();
    },
  };
};

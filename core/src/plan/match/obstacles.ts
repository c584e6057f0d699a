import type { Axle, FramePoint, FrameRoom } from '../../frame/index.ts';
import { once } from '../../once.ts';
import type { Context } from '../context.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { RiderOutcome } from '../rider-outcome.ts';
import type { PlanState } from '../state.ts';
import { memberSolids, type OtherSolid, roomSolids, shaftSolids } from './solids.ts';
import { type TyreRoom, tyreRooms } from './tyre-box.ts';

/** What stands on the built frame that a body may meet. */
interface Standing {
  readonly state: PlanState;
  readonly members: readonly MemberOutcome[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly axles: readonly RiderOutcome<Axle>[];
}

/** What a body must clear besides rails and crossmembers: each worked out when it is first asked for. */
export interface Obstacles {
  /** The room of turned tires. */
  readonly tyres: readonly TyreRoom[];
  /** What takes up room on the frame: tank, battery box. */
  readonly rooms: readonly OtherSolid[];
  /** All that is solid and not steel of the frame; the rooms are among it. */
  readonly others: readonly OtherSolid[];
}

/**
 * What a body must clear on the built frame besides rails and crossmembers: tyres, members beside the rails, the drive line,
 * what takes up room.
 *
 * @param standing The built frame.
 * @param rooms What takes up room on the donor.
 * @param context Sections and rules.
 */
export const obstaclesOn = (
  { members, points, state, axles }: Standing,
  rooms: readonly FrameRoom[],
  { section, rules }: Pick<Context, 'section' | 'rules'>,
): Obstacles => {
  const tyres = once(() => tyreRooms(axles, rules));
  const taken = once(() => roomSolids(rooms, state));
  const others = once(() => [...memberSolids(members, section), ...shaftSolids(points, rules), ...taken()]);
  return {
    get tyres() {
      return tyres();
    },
    get rooms() {
      return taken();
    },
    get others() {
      return others();
    },
  };
};

export { type Clash } from './clashes.ts';
export { MOUNT_WAYS, type MountGap, type MountWay, sideOfMount } from './mount-gap.ts';
export { type OpeningOver } from './openings.ts';
export { fixesToWheelbase, fixesToWidth } from './body-conflicts.ts';
export { withMoreWheelbase } from './wheelbase-fixes.ts';
export { axlePlaces, type BodySeat, type SeatMount, type SeatOutcome, seatOutcomes } from './seat-outcome.ts';
export { type Obstacles, obstaclesOn } from './obstacles.ts';
export { type MechanismOutcome, type OpenLayer, type WorkOutcome } from './work-outcome.ts';
export { type FenderOver } from './coverage.ts';
export { type OtherSolid } from './solids.ts';
export {
  type AxlePlaces,
  floorLevel,
  type OpeningWeights,
  type MountWish,
  placedAtMounts,
  type PlacedAtMounts,
  placedBy,
  PLACING_RULES,
  type PlacingRule,
} from './placing.ts';
export { tireRooms, type TireRoom } from './tire-box.ts';
export { lowestThatClears } from './lowest.ts';
export { BODY_CODES } from './body-conflicts.ts';
export { seatOf } from './seat-of.ts';

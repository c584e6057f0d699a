export { type MountWay } from './mount-gap.ts';
export { fixesToWheelbase, fixesToWidth } from './body-conflicts.ts';
export { withMoreWheelbase } from './wheelbase-fixes.ts';
export { axlePlaces, type BodySeat, type SeatMount, type SeatOutcome, seatOutcomes } from './seat-outcome.ts';
export { type Obstacles, obstaclesOn } from './obstacles.ts';
export {
  floorLevel,
  type OpeningWeights,
  type MountWish,
  placedAtMounts,
  placedBy,
  PLACING_RULES,
  type PlacingRule,
} from './placing.ts';
export { lowestThatClears } from './lowest.ts';
export { BODY_CODES } from './body-conflicts.ts';
export { seatOf } from './seat-of.ts';

export { type Clash } from './clashes.ts';
export { MOUNT_WAYS, type MountGap, type MountWay, sideOfMount } from './mount-gap.ts';
export { type OpeningOver } from './openings.ts';
export { waysToWheelbase } from './body-conflicts.ts';
export { withMoreWheelbase } from './wheelbase-ways.ts';
export { axlePlaces, type BodySeat, type SeatMount, type SeatOutcome, seatOutcomes } from './seat-outcome.ts';
export { type AxlePlaces, floorLevel, placedBy, PLACING_RULES, type PlacingRule } from './placing.ts';
export { lowestThatClears } from './lowest.ts';
export { BODY_CODES, seatOf } from './body-conflicts.ts';

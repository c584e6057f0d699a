import type { BodySeat, SeatOutcome } from './seat-outcome.ts';

/**
 * The place of a body as the plan would say it.
 *
 * @param changes What is otherwise than where it sits now: mm, radians.
 */
export const seatOf = ({ body, pose }: SeatOutcome, changes: Partial<BodySeat> = {}): BodySeat => ({
  body: body.id,
  ...pose,
  ...changes,
});

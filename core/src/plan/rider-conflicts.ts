import { type Axle, type FramePoint, POINT_KINDS } from '../frame/index.ts';
import { advise, type Finding, type SuggestedFix } from './conflict.ts';
import type { Finder } from './findings.ts';
import type { RiderOutcome } from './rider-outcome.ts';
import { builtOf } from './tape.ts';

/** What cannot be told any more once a point has lost what carries it. */
const RESTS_ON: Readonly<Record<(typeof POINT_KINDS)[number], string>> = {
  'cab-back': 'cab to axle',
  'behind-cab': 'how much of cab to axle is usable',
  'output-flange': 'the drive line',
  'carrier-bearing': 'the drive line',
  pinion: 'the drive line',
  mass: 'the balance and the axle loads',
  body: 'where the body sits',
};

/** Axles, and points that figures rest on, whose steel or carrier is gone. */
export const lostRiders: Finder = ({ axles, points, tape, state }) => {
  const found = (
    rider: RiderOutcome<Axle | FramePoint>,
    code: string,
    severity: Finding['severity'],
    rests: string,
  ): Finding[] => {
    if (rider.built) return [];
    const { item, operation, reason, donor } = rider;
    const fixes: SuggestedFix[] = [
      ...(operation !== null && state.removed.some((piece) => piece.operation === operation)
        ? advise('Cut clear of it.')
        : []),
      ...advise('Say in the donor table what it rides on, if that is not the rail there.'),
    ];
    return [
      {
        code,
        severity,
        operation,
        donorX: donor.x,
        builtX: builtOf(tape, donor.x),
        about: item.id,
        message: `${item.name}: ${reason}. Without it ${rests} cannot be told.`,
        fixes,
      },
    ];
  };
  return [
    ...axles.flatMap((axle) => found(axle, 'axle-lost', 'stop', 'wheelbase and axle loads')),
    ...points.flatMap((point) => found(point, 'point-lost', 'warn', RESTS_ON[point.item.kind])),
  ];
};

import { type Axle, type FeatureKind, type FramePoint, POINT_KINDS } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, type WayOut } from './conflict.ts';
import { builtXOf, type Finder } from './findings.ts';
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
    const waysOut: WayOut[] = [
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
        waysOut,
      },
    ];
  };
  return [
    ...axles.flatMap((axle) => found(axle, 'axle-lost', 'stop', 'wheelbase and axle loads')),
    ...points.flatMap((point) => found(point, 'point-lost', 'warn', RESTS_ON[point.item.kind])),
  ];
};

/** Mounts that one rigid thing stands on. */
const STANDS_ON: readonly { readonly name: string; readonly kinds: readonly FeatureKind[] }[] = [
  { name: 'the cab', kinds: ['cab-mount'] },
  { name: 'the engine and gearbox', kinds: ['engine-mount', 'gearbox-mount'] },
];

/** Mounts of one rigid thing that the plan moves apart: it stays with the foremost, and has left the others. */
export const partedMounts: Finder = ({ features }, { rules, show }) =>
  STANDS_ON.flatMap(({ name, kinds }): Finding[] => {
    const mounts = features
      .filter(({ feature, fate, shift }) => kinds.includes(feature.kind) && fate !== 'new' && shift !== null)
      .sort((a, b) => a.feature.x - b.feature.x);
    const foremost = mounts[0];
    if (!foremost) return [];
    return mounts.slice(1).flatMap((mount): Finding[] => {
      const apart = (mount.shift?.dx ?? 0) - (foremost.shift?.dx ?? 0);
      const x = builtXOf(mount);
      if (x === null || Math.abs(apart) <= ruleValue(rules, 'group/moved')) return [];
      const { feature } = mount;
      const where = show(Math.abs(apart));
      return [
        {
          code: 'mounts-part',
          severity: 'warn',
          operation: mount.operation,
          donorX: feature.x,
          builtX: x,
          about: feature.id,
          message: `${feature.name} comes ${where} ${apart < 0 ? 'nearer to' : 'farther from'} ${foremost.feature.name}: ${name} stands on both and stays with the foremost.`,
          waysOut:
            feature.movable === 'no'
              ? advise('Cut ahead of all its mounts, or behind them.')
              : [
                  {
                    say: `${feature.movable === 're-weld' ? 'Re-weld' : 'Re-drill'} it ${where} ${apart < 0 ? 'back' : 'forward'}, where ${name} still has it`,
                    edit: {
                      do: 'move',
                      thing: { kind: 'feature', id: feature.id },
                      to: { x: x - apart, on: 'built' },
                      before: null,
                    },
                  },
                ],
        },
      ];
    });
  });

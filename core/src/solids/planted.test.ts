import { beforeAll, describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, memberAt, plainFrame, tankAt } from '../../test/frames.ts';
import { sprayer, van } from '../../test/joints.ts';
import { arm, input as mountInput, made, perch } from '../../test/mounts.ts';
import { evaluatePlan, type PlanInput, type PlanResult, type RailSpliceOutcome } from '../plan/index.ts';
import type { Plate } from '../splice/index.ts';
import { checkSolids, type Kernel, loadKernel, type SolidFinding } from './index.ts';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await loadKernel();
});

const lengthen: Bare = { kind: 'lengthen', at: donor(2000), length: 300 };
const move = (crossmember: string, x: number): Bare => ({
  kind: 'crossmember',
  change: { what: 'move', crossmember, to: donor(x) },
});

type Fault = readonly [
  name: string,
  input: () => PlanInput,
  /** Plants the fault in the evaluation; null where the plan itself has it. */
  plant: ((result: PlanResult) => PlanResult) | null,
  code: SolidFinding['code'],
];

/** The result with the stations of every room changed. */
type RoomStation = PlanResult['obstacles']['rooms'][number]['stations'][number];
const withRooms =
  (change: (station: RoomStation, index: number) => RoomStation) =>
  (result: PlanResult): PlanResult => ({
    ...result,
    obstacles: {
      ...result.obstacles,
      rooms: result.obstacles.rooms.map((room) => ({ ...room, stations: room.stations.map(change) })),
    },
  });

/** The result with every rail of its splices changed. */
const withRails =
  (change: (rail: RailSpliceOutcome) => RailSpliceOutcome) =>
  (result: PlanResult): PlanResult => ({
    ...result,
    splices: result.splices.map((splice) => ({ ...splice, rails: splice.rails.map(change) })),
  });
const withPlates = (change: (plate: Plate) => Plate) =>
  withRails((rail) => ({ ...rail, made: { ...rail.made, plates: rail.made.plates.map(change) } }));
const withSleeve = (change: (sleeve: NonNullable<RailSpliceOutcome['splice']['sleeve']>) => object) =>
  withRails((rail) => {
    const { sleeve } = rail.splice;
    return sleeve ? { ...rail, splice: { ...rail.splice, sleeve: { ...sleeve, ...change(sleeve) } } } : rail;
  });

const crossed = plainFrame({ rooms: [tankAt()], crossmembers: [memberAt('c', 2600, { below: 120, depth: 90 })] });

/** Faults that the evaluation must never have. */
const FAULTS: readonly Fault[] = [
  ['a crossmember moved into a tank', () => inputOf(crossed, move('c', 3200)), null, 'overlap'],
  [
    'a crossmember moved onto another',
    () => inputOf(plainFrame({ crossmembers: [memberAt('a', 1500), memberAt('b', 4000)] }), move('a', 4020)),
    null,
    'overlap',
  ],
  [
    'a crossmember under the rails with nothing beside it',
    () =>
      inputOf(plainFrame(), {
        kind: 'crossmember',
        change: { what: 'add', at: donor(3000), crossmember: memberAt('n', 0, { below: 170, depth: 60 }) },
      }),
    null,
    'unsupported',
  ],
  [
    'a tank that grew into the rail',
    () => inputOf(plainFrame({ rooms: [tankAt()] }), lengthen),
    withRooms((at) => ({ ...at, y: [-420, 300] as const, top: -40 })),
    'overlap',
  ],
  [
    'two tanks in one place',
    () =>
      inputOf(
        plainFrame({ rooms: [tankAt(), tankAt({ id: 'second', name: 'Second tank', front: 3500, rear: 3800 })] }),
      ),
    withRooms((at, index) => ({ ...at, x: index === 0 ? 3000 : 3400 })),
    'overlap',
  ],
  [
    'a piece of the frame put too far to one side of its tank',
    () => inputOf(plainFrame({ rooms: [tankAt({ high: -60 })] }), lengthen),
    (result) => ({
      ...result,
      pieces: result.pieces.map((piece) => ({ ...piece, spread: piece.spread - 100 })),
    }),
    'overlap',
  ],
  [
    'a rail that rises into a tank over it',
    () => inputOf(plainFrame({ rooms: [tankAt({ left: -440, low: 20, high: 90 })] }), lengthen),
    (result) => ({
      ...result,
      pieces: result.pieces.map((piece) => ({
        ...piece,
        rails: {
          ...piece.rails,
          left: piece.rails.left.map((station) => ({ ...station, top: station.top + 30 })),
        },
      })),
    }),
    'overlap',
  ],
  [
    'plates too high on the web',
    () => van,
    withPlates((plate) => ({ ...plate, off: plate.off + 120 })),
    'plate-off-steel',
  ],
  [
    'plates that run off the end of the rail',
    () => van,
    withPlates((plate) => ({ ...plate, behind: plate.behind + 6000 })),
    'plate-off-steel',
  ],
  [
    'a sleeve as large as the rail outside',
    () => sprayer,
    withSleeve(({ width, wall }) => ({ width: width + 4 * wall })),
    'sleeve-blocked',
  ],
  [
    'a sleeve that runs on past a kink',
    () => sprayer,
    (result) => ({
      ...result,
      pieces: result.pieces.map((piece, index) =>
        index === 0
          ? piece
          : {
              ...piece,
              rails: {
                ...piece.rails,
                left: piece.rails.left.map((at) => ({ ...at, top: at.top + (at.x - piece.front.x) / 5 })),
              },
            },
      ),
    }),
    'sleeve-blocked',
  ],
  [
    'a crossmember left where a rail was spread away from it',
    () => inputOf(plainFrame({ crossmembers: [memberAt('c', 1500)] }), lengthen),
    (result) => ({
      ...result,
      pieces: result.pieces.map((piece) => ({
        ...piece,
        rails: { ...piece.rails, right: piece.rails.right.map((at) => ({ ...at, top: at.top + 400 })) },
      })),
    }),
    'unsupported',
  ],
  [
    'a perch that ends over its rail',
    () => mountInput([made('a', perch)]),
    (result) => ({
      ...result,
      mountings: result.mountings.map((outcome) => ({
        ...outcome,
        edge: () => outcome.edge().map((point) => ({ ...point, reach: point.reach - 8 })),
      })),
    }),
    'bracket-off-steel',
  ],
  [
    'an outrigger that runs into the web',
    () => mountInput([made('c', arm())]),
    (result) => ({
      ...result,
      mountings: result.mountings.map((outcome) => ({
        ...outcome,
        edge: () => outcome.edge().map((point) => ({ ...point, reach: point.reach + 4 })),
      })),
    }),
    'overlap',
  ],
  [
    'a tire that meets a rail',
    () => van,
    (result) => ({
      ...result,
      axles: result.axles.map((axle) => ({ ...axle, item: { ...axle.item, track: 900 } })),
    }),
    'overlap',
  ],
];

describe('a fault that is planted is found', () => {
  it('there are fifteen, and without them nothing is found', () => {
    expect(FAULTS).toHaveLength(15);
    for (const [name, input, plant] of FAULTS)
      if (plant) expect(checkSolids(kernel, input(), String), name).toEqual([]);
  });

  it.each(FAULTS)('%s', (_, input, plant, code) => {
    const given = input();
    const right = evaluatePlan(given);
    const found = checkSolids(kernel, given, String, plant ? plant(right) : right);
    expect(found.map((finding) => finding.code)).toContain(code);
  });
});

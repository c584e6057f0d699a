import type { FinderGoal } from '../finder/index.ts';
import {
  asUsual,
  type ControlPoint,
  type Feature,
  type FeatureKind,
  type Frame,
  type FrameLine,
  type FramePoint,
  type Unit,
  USUAL_FIGURES,
  withFigures,
} from '../frame/index.ts';
import { type Job, newJob } from '../job/index.ts';
import { evaluatePlan, newHole } from '../plan/index.ts';
import { usualMeasurements } from '../survey/index.ts';
import { inches } from '../units/index.ts';
import type { QuickEntries } from './quick-entries.ts';

/** What nobody was asked, until the survey measures it. mm. */
const ASSUMED = {
  tireRadius: inches(15),
  /** Mounts of a cab: the rear one ahead of its back, the front one behind the front end of the frame. */
  mountAheadOfBack: inches(6),
  mountBehindEnd: inches(18),
  mountReach: inches(2),
  /** Flange of the transmission ahead of the back of the cab, or behind the front axle where there is no cab. */
  flangeAheadOfBack: inches(20),
  flangeBehindAxle: inches(40),
  /** Pinion flange ahead of the rear axle. */
  pinionAheadOfAxle: inches(9),
  /** Control points inside each end of the frame. */
  pointFromEnd: inches(2),
  /** Straps of a tank inside its ends. */
  strapFromEnd: inches(4),
} as const;

const assumed = { origin: 'assumed' } as const;

/** The frame from its front end to its rear end, mm. */
type Ends = readonly [from: number, to: number];

/** A bracket of a kind on both rails, as is usual for one; at an end of the frame it reaches no farther than the steel. */
function bracket(kind: FeatureKind, id: string, name: string, x: number, down: number, [from, to]: Ends): Feature {
  const usual = asUsual({ ...newHole(id, x), id, name, kind, down, ...assumed, usual: USUAL_FIGURES });
  const room = { ahead: Math.min(usual.ahead, x - from), behind: Math.min(usual.behind, to - x) };
  return { ...(room.ahead === usual.ahead && room.behind === usual.behind ? usual : withFigures(usual, room)) };
}

const unit = (id: string, name: string, kind: Unit['kind'], mounts: readonly Feature[]): Unit[] =>
  mounts.length === 0 ? [] : [{ id, name, kind, mounts: mounts.map((mount) => ({ kind: 'feature', id: mount.id })) }];

/** Brackets of both suspensions and straps of the tank, as far as they were entered. */
function bracketsOf(entries: QuickEntries, wheelbase: number, ends: Ends) {
  const { frontHanger, tankFront, tankRear, rearHangerAhead, rearHangerBehind, section } = entries;
  const low = section.depth / 2;
  const front =
    frontHanger === null
      ? []
      : [
          // The other end of a spring is taken to be as far ahead of its axle.
          bracket(
            'spring-hanger',
            'front-spring-1',
            'Front spring, front hanger',
            Math.max(-frontHanger, ends[0]),
            low,
            ends,
          ),
          bracket('spring-hanger', 'front-spring-2', 'Front spring, rear hanger', frontHanger, low, ends),
        ];
  const rear =
    rearHangerAhead === null || rearHangerBehind === null
      ? []
      : [
          bracket(
            'spring-hanger',
            'rear-spring-1',
            'Rear spring, front hanger',
            wheelbase - rearHangerAhead,
            low,
            ends,
          ),
          bracket(
            'spring-hanger',
            'rear-spring-2',
            'Rear spring, rear hanger',
            wheelbase + rearHangerBehind,
            low,
            ends,
          ),
        ];
  const inset =
    tankFront === null || tankRear === null ? 0 : Math.min(ASSUMED.strapFromEnd, (tankRear - tankFront) / 4);
  const straps =
    tankFront === null || tankRear === null
      ? []
      : [
          bracket('tank-strap', 'tank-strap-1', 'Tank strap 1', tankFront + inset, low, ends),
          bracket('tank-strap', 'tank-strap-2', 'Tank strap 2', tankRear - inset, low, ends),
        ];
  return { front, rear, straps };
}

/** Front and rear mounts of a cab, on the steel. */
function cabMounts(back: number, [from, to]: Ends): readonly [front: number, rear: number] {
  const rear = Math.min(back - ASSUMED.mountAheadOfBack, to - ASSUMED.mountReach);
  const front = Math.max(from + ASSUMED.mountReach, Math.min(from + ASSUMED.mountBehindEnd, rear - inches(4)));
  return [front, Math.max(rear, front + inches(1))];
}

/** Brake line, fuel line and harness as they usually run: to the rear axle, to the tank, to the end of the frame. */
function linesOf(entries: QuickEntries, wheelbase: number): FrameLine[] {
  const line = (id: string, name: string, kind: FrameLine['kind'], side: FrameLine['side'], to: number): FrameLine => ({
    id,
    name,
    kind,
    side,
    from: 0,
    to,
    slack: 0,
    ...assumed,
  });
  return [
    line('brake-line', 'Brake line', 'brake', 'left', wheelbase),
    ...(!entries.tankFront ? [] : [line('fuel-line', 'Fuel line', 'fuel', 'left', entries.tankFront)]),
    line('harness', 'Rear harness', 'harness', 'right', wheelbase),
  ];
}

/** The two ends of the drive shaft. */
function shaftOf({ cabBack, section }: QuickEntries, wheelbase: number): FramePoint[] {
  const back = cabBack === null ? ASSUMED.flangeBehindAxle : cabBack - ASSUMED.flangeAheadOfBack;
  const point = (id: string, name: string, kind: FramePoint['kind'], x: number): FramePoint => ({
    id,
    name,
    kind,
    x,
    y: 0,
    z: -section.depth / 2,
    mass: 0,
    ...assumed,
  });
  return [
    point('output-flange', 'Transmission flange', 'output-flange', Math.min(back, wheelbase / 2)),
    point('pinion', 'Pinion', 'pinion', wheelbase - Math.min(ASSUMED.pinionAheadOfAxle, wheelbase / 4)),
  ];
}

/** Control points inside both ends, to tape the diagonals between. */
function controlsOf(from: number, to: number): Pick<Frame, 'controlPoints' | 'controlMeasurements'> {
  const inset = Math.min(ASSUMED.pointFromEnd, (to - from) / 4);
  const point = (id: string, name: string, x: number): ControlPoint => ({ id, name, x, inboard: 0, down: 0 });
  const controlPoints = [
    point('front-point', 'Front point', from + inset),
    point('rear-point', 'Rear point', to - inset),
  ];
  return { controlPoints, controlMeasurements: usualMeasurements(controlPoints) };
}

/**
 * An ordinary job from a dozen figures: a straight, level frame of one section, everything on it assumed. Nothing is planned yet.
 *
 * @param entries The entries, without problems (`quickProblems`); lengths in mm.
 * @param names What the job and its donor are called.
 */
export function quickJob(entries: QuickEntries, names: { readonly name: string; readonly donor: string }): Job {
  const { display, section, cabBack, tankFront, tankRear } = entries;
  const [wheelbase, width, ahead, behind] = [entries.wheelbase, entries.width, entries.ahead, entries.behind].map(
    (mm) => mm ?? 0,
  ) as [number, number, number, number];
  const ends: Ends = [-ahead, wheelbase + behind];
  const job = newJob({
    ...names,
    display,
    wheelbase,
    ahead,
    behind,
    outsideWidth: width,
    tireRadius: ASSUMED.tireRadius,
    section,
    cab:
      cabBack === null
        ? null
        : {
            back: cabBack,
            mounts: cabMounts(cabBack, ends),
            assumed: true,
          },
  });
  const { front, rear, straps } = bracketsOf(entries, wheelbase, ends);
  const { donor } = job;
  return {
    ...job,
    donor: {
      ...donor,
      features: [...donor.features, ...front, ...rear, ...straps],
      units: [
        ...donor.units,
        ...unit('front-suspension', 'Front suspension', 'front-suspension', front),
        ...unit('rear-suspension', 'Rear suspension', 'rear-suspension', rear),
        ...unit('tank', 'Fuel tank', 'tank', straps),
      ],
      points: [...donor.points, ...shaftOf(entries, wheelbase)],
      lines: linesOf(entries, wheelbase),
      rooms:
        tankFront === null || tankRear === null
          ? []
          : [
              {
                id: 'tank-room',
                name: 'Fuel tank',
                kind: 'tank',
                front: tankFront,
                rear: tankRear,
                left: -width / 2,
                right: width / 2,
                low: -2 * section.depth,
                high: 0,
                ...assumed,
              },
            ],
      ...controlsOf(...ends),
    },
  };
}

/**
 * The change that the entries ask for. A body of some length takes the frame from the gap behind the cab (rule `body/cab-gap`) to
 * its end, which stays where it is behind the rear axle: what it lacks is added to the wheelbase.
 *
 * @param job The job of the entries (`quickJob`).
 * @param entries What is wanted, mm.
 */
export function quickGoal(job: Job, { goal, wanted }: Pick<QuickEntries, 'goal' | 'wanted'>): FinderGoal {
  const { wheelbase, usableCabToAxle, cabToAxle, axleToEnd } = evaluatePlan(job).measures.before;
  const now = {
    wheelbase,
    'cab-to-axle': cabToAxle,
    'body-length': usableCabToAxle === null || axleToEnd === null ? null : usableCabToAxle + axleToEnd,
  }[goal];
  return { of: 'wheelbase', by: (wanted ?? 0) - (now ?? 0) };
}

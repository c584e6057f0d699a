import { SIDES } from '../frame/index.ts';
import { acceptedText, dotted, MOUNT_CODES, type PlanResult } from '../plan/index.ts';
import { type GateSignedBody, type ShopRecord, standing } from '../records/index.ts';
import { fitUpOf, type Reading } from '../survey/index.ts';
import { finer, lengthText } from '../units/index.ts';
import { couponsOf, isHeld } from './coupons.ts';
import { shoringOf } from './shoring-of.ts';
import type { Job } from './job.ts';
import type { BenchId } from './benches.ts';
import { type StageCount, stageCount } from './stage-count.ts';

/** What a check of a hold point found. */
interface Found {
  readonly name: string;
  readonly passed: boolean;
  /** What is still missing, or what proves it, with the number. */
  readonly detail: string;
  /** The bench that settles it. */
  readonly bench: BenchId;
}

/** Who let the work pass a check that was open, when, and why. */
interface SignOff extends Pick<GateSignedBody, 'reason'> {
  readonly by: string;
  readonly taken: string;
}

/** One thing that a hold point asks for. */
export interface GateCheck extends Found {
  readonly id: string;
  /** Whether the shop may go on with it open, with a signed reason: never past what stops the plan. */
  readonly signable: boolean;
  /** The sign-off that stands for it; null without one, and where it passes by itself. */
  readonly signed: SignOff | null;
}

/** A hold point: nothing past it until its checks pass or are signed. Passing it is not an approval. */
export interface HoldPoint {
  readonly id: HoldPointId;
  readonly name: string;
  readonly checks: readonly GateCheck[];
}

/** What the checks look at. */
interface Looked {
  readonly job: Job;
  readonly records: readonly ShopRecord[];
  readonly plan: PlanResult;
  readonly readings: readonly Reading[];
}

interface CheckDefinition {
  readonly id: string;
  readonly signable: boolean;
  readonly look: (looked: Looked) => Found;
}

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

function planned({ plan }: Looked): Found {
  const done = plan.operations.filter((outcome) => outcome.status === 'done').length;
  return {
    name: 'A plan to cut by',
    passed: done > 0,
    detail: done > 0 ? counted(done, 'operation', 'operations') : 'no operation yet',
    bench: 'cuts',
  };
}

function unstopped({ plan }: Looked): Found {
  const stops = plan.conflicts.filter((conflict) => conflict.severity === 'stop');
  return {
    name:
      stops.length === 0
        ? 'Nothing stops the plan'
        : `${counted(stops.length, 'thing stops', 'things stop')} this plan`,
    passed: stops.length === 0,
    detail: stops[0]?.message ?? 'clear',
    bench: 'cuts',
  };
}

function decided({ plan }: Looked): Found {
  // How mounts are made is decided before the body goes on, not before the cut.
  const warnings = plan.conflicts.filter(({ severity, code }) => severity === 'warn' && !MOUNT_CODES.has(code));
  const accepted = plan.conflicts.flatMap((conflict) => conflict.accepted ?? []);
  return {
    name: warnings.length === 0 ? 'Everything decided' : `${counted(warnings.length, 'thing', 'things')} to decide`,
    passed: warnings.length === 0,
    detail:
      warnings[0]?.message ??
      (accepted.length > 0 ? accepted.map((acceptance) => acceptedText(acceptance)).join('; ') : 'nothing to decide'),
    bench: 'cuts',
  };
}

function spliced({ plan: { splices } }: Looked): Found {
  const open = splices.filter((splice) => splice.decided === null).map(({ joint }) => joint.letter);
  return {
    name: 'How each joint is made',
    passed: splices.length > 0 && open.length === 0,
    detail:
      open.length === 0
        ? splices.length === 0
          ? 'no joint yet'
          : counted(splices.length, 'joint decided', 'joints decided')
        : `${dotted(open)}: not decided yet`,
    bench: 'splice',
  };
}

function readingsFound(name: string, count: StageCount): Found {
  const passed = count.total > 0 && count.right === count.total;
  const parts = [
    ...(count.missing > 0 ? [`${count.missing} of ${count.total} still to take`] : []),
    ...(count.wrong > 0 ? [`${count.wrong} not right`] : []),
  ];
  const detail =
    count.total === 0 ? 'no control measurements yet' : passed ? `all ${count.total} right` : parts.join(', ');
  return { name, passed, detail, bench: count.total === 0 ? 'donor' : 'true-up' };
}

/** Nothing is cut that nothing holds: what would tip or fall is never signed away. */
function stands({ job, plan }: Looked): Found {
  const cuts = plan.joints.length + plan.cutEnds.length > 0;
  const { shores } = job.plan.shoring;
  const stop =
    cuts && shores.length > 0 ? shoringOf(job).findings.find(({ severity }) => severity === 'stop') : undefined;
  return {
    name: 'Every part stands once it is cut',
    passed: stop === undefined,
    detail: stop
      ? `${stop.message} ${stop.remedy}`
      : shores.length > 0
        ? 'every loose part stands'
        : 'not calculated yet',
    bench: 'stands',
  };
}

function held({ job, plan }: Looked): Found {
  const cuts = plan.joints.length + plan.cutEnds.length > 0;
  const { shores } = job.plan.shoring;
  const open = cuts && shores.length > 0 ? shoringOf(job).findings.filter(({ severity }) => severity === 'warn') : [];
  return {
    name: 'Stands for every cut',
    passed: !cuts || (shores.length > 0 && open.length === 0),
    detail: !cuts
      ? 'nothing is cut'
      : shores.length === 0
        ? 'none placed yet'
        : (open[0]?.message ?? 'placed for every cut'),
    bench: 'stands',
  };
}

function coupons({ plan, records }: Looked): Found {
  const asked = couponsOf(plan, records);
  const held = asked.filter(isHeld).length;
  return {
    name: 'Practice coupons',
    passed: held === asked.length,
    detail:
      asked.length === 0
        ? 'none asked for'
        : held === asked.length
          ? `all ${held} held`
          : `${held} of ${asked.length} welded, broken and held`,
    bench: 'splice',
  };
}

/** Ends that do not fit are dressed before they are tacked: what is read with the gauge says so. */
function ends({ job, plan, records }: Looked): Found {
  const read = standing(records, 'fit-up');
  const open = plan.joints.flatMap(({ id, letter }) => {
    const own = SIDES.flatMap((side) => read.findLast(({ body }) => body.joint === id && body.side === side) ?? []);
    if (own.length < SIDES.length) return [`${letter}: not read on both rails`];
    const { dress, steps, fits } = fitUpOf(
      own.map(({ body }) => body),
      job.rules,
    );
    if (fits) return [];
    const [tight] = dress;
    const show = (mm: number) => lengthText(Math.abs(mm), finer(job.display), true);
    if (tight) return [`${letter}: ${show(tight.off)} off the ${tight.side} ${tight.place}`];
    return [steps[0] ? `${letter}: the ${steps[0].side} ends stand off each other` : `${letter}: not at the root gap`];
  });
  return {
    name: 'Ends fit',
    passed: plan.joints.length > 0 && open.length === 0,
    detail:
      plan.joints.length === 0 ? 'no joint yet' : (open[0] ?? `all ${plan.joints.length} joints even and in line`),
    bench: 'true-up',
  };
}

/** The hold points, in order. To add one, name it here. */
const HOLD_POINTS = {
  'before-cutting': {
    name: 'Before cutting',
    checks: [
      { id: 'planned', signable: false, look: planned },
      { id: 'unstopped', signable: false, look: unstopped },
      { id: 'decided', signable: true, look: decided },
      { id: 'spliced', signable: true, look: spliced },
      { id: 'stands', signable: false, look: stands },
      { id: 'propped', signable: true, look: held },
      {
        id: 'readings-before-cut',
        signable: true,
        look: ({ job, plan, readings }) =>
          readingsFound('Readings before the cut', stageCount(job, plan, readings, 'before-cut')),
      },
    ],
  },
  'before-welding-out': {
    name: 'Before final weld',
    checks: [
      { id: 'coupons', signable: true, look: coupons },
      { id: 'ends', signable: true, look: ends },
      {
        id: 'readings-tacked',
        signable: true,
        look: ({ job, plan, readings }) =>
          readingsFound('Readings after tacking', stageCount(job, plan, readings, 'tacked')),
      },
    ],
  },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly checks: readonly CheckDefinition[] }>>;

export type HoldPointId = keyof typeof HOLD_POINTS;

/**
 * The hold points of a job and how they stand.
 *
 * @param looked The job, its records, what its plan gives, and its readings.
 */
export function holdPointsOf(looked: Looked): readonly HoldPoint[] {
  const { records } = looked;
  const signatures = standing(records, 'gate-signed');
  return (Object.keys(HOLD_POINTS) as HoldPointId[]).map((id) => ({
    id,
    name: HOLD_POINTS[id].name,
    checks: (HOLD_POINTS[id].checks as readonly CheckDefinition[]).map((check): GateCheck => {
      const found = check.look(looked);
      const signed =
        check.signable && !found.passed
          ? signatures.findLast(({ body }) => body.gate === id && body.checks.includes(check.id))
          : undefined;
      return {
        ...found,
        id: check.id,
        signable: check.signable,
        signed: signed ? { by: signed.by, taken: signed.taken, reason: signed.body.reason } : null,
      };
    }),
  }));
}

/** Whether a check neither passes nor is signed for. */
export const isOpen = ({ passed, signed }: GateCheck): boolean => !passed && signed === null;

/**
 * Whether nothing of a hold point is open.
 *
 * @param holdPoint The hold point.
 */
export const isPassed = (holdPoint: HoldPoint): boolean => !holdPoint.checks.some(isOpen);

/** The checks of a hold point that a sign-off would be for; none where something is open that cannot be signed away. */
export function signableNow({ checks }: HoldPoint): readonly GateCheck[] {
  const open = checks.filter(isOpen);
  return open.every(({ signable }) => signable) ? open : [];
}

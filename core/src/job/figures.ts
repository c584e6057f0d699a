import type { FramePoint } from '../frame/index.ts';
import { type Measures, type PlanResult, worstJointOf } from '../plan/index.ts';
import { judgedReadings, type JudgedReading, STAGE_NAMES } from '../survey/index.ts';
import type { BenchId } from './benches.ts';
import type { JobResult } from './evaluate-job.ts';
import { type HoldPoint, isOpen, isPassed } from './hold-points.ts';
import type { Job } from './job.ts';
import { measuringGuide } from './measuring-guide.ts';
import { stageCount } from './stage-count.ts';
import { deciding, riding, stationsOf, type Support, support } from './supports.ts';
import { BODY_FIGURES } from './body-figures.ts';
import { MOUNT_FIGURES } from './mount-figures.ts';
import { SHORING_FIGURES } from './shoring-figures.ts';
import { SPLICE_FIGURES } from './splice-figures.ts';
import { WELDING_FIGURES } from './welding-figures.ts';
import {
  type FigureDefinitions,
  type FigureValue,
  length,
  type Looked,
  type FigureChange,
  words,
} from './figure-value.ts';

/** A figure that the shop goes by: before and after, and what it rests on. */
export interface Figure extends FigureChange {
  readonly id: FigureId;
  readonly name: string;
  /** The bench that settles it. */
  readonly bench: BenchId;
}

const axleOf = ({ axles }: PlanResult, role: 'front' | 'rear') =>
  axles.find(({ item, built }) => item.role === role && built);
const pointOf = ({ points }: PlanResult, kind: FramePoint['kind']) => points.find(({ item }) => item.kind === kind);

/** A length of the frame before and after, between two riders. */
const span = (
  { whole: { plan } }: Looked,
  of: (measures: Measures) => number | null,
  ends: readonly Support[],
  note = '',
): FigureChange => {
  const xs = ends.flatMap(({ builtX }) => builtX ?? []);
  const cuts = xs.length > 0 ? deciding(plan, Math.min(...xs), Math.max(...xs)) : [];
  return {
    before: length(of(plan.measures.before)),
    after: length(of(plan.measures.after)),
    note,
    restsOn: [...ends, ...cuts],
  };
};

/** A reading as something that a figure rests on. */
const readAs = ({ control, reading }: Pick<JudgedReading, 'control' | 'reading'>): Support => ({
  ref: { kind: 'measurement', id: control.measurement.id },
  name: `${control.name}, read by ${reading.by}`,
  comesFrom: 'read',
  builtX: control.ends.built?.[0]?.x ?? null,
});

const FIGURES = {
  wheelbase: {
    name: 'Wheelbase',
    bench: 'cuts',
    compute: (looked) =>
      span(looked, ({ wheelbase }) => wheelbase, [
        ...riding(looked.whole.plan, 'axle', axleOf(looked.whole.plan, 'front')),
        ...riding(looked.whole.plan, 'axle', axleOf(looked.whole.plan, 'rear')),
      ]),
  },
  'cab-to-axle': {
    name: 'Cab to axle',
    bench: 'cuts',
    compute: (looked) =>
      span(looked, ({ cabToAxle }) => cabToAxle, [
        ...riding(looked.whole.plan, 'point', pointOf(looked.whole.plan, 'cab-back')),
        ...riding(looked.whole.plan, 'axle', axleOf(looked.whole.plan, 'rear')),
      ]),
  },
  'axle-to-end': {
    name: 'Axle to end',
    bench: 'cuts',
    compute: (looked) => {
      const { plan } = looked.whole;
      const end = plan.measures.after.ends.rear;
      // A square end needs no word; of another its farthest corner counts.
      const note = end.corner === null ? '' : `to its ${end.corner === 'top' ? 'upper' : 'lower'} corner`;
      const computed = span(looked, ({ axleToEnd }) => axleToEnd, riding(plan, 'axle', axleOf(plan, 'rear')), note);
      const rear = axleOf(plan, 'rear')?.built?.x ?? -Infinity;
      return { ...computed, restsOn: [...computed.restsOn, ...deciding(plan, rear), stationsOf(looked.job)] };
    },
  },
  width: {
    name: 'Width',
    bench: 'cuts',
    compute: (looked) => ({ ...span(looked, ({ widest }) => widest, []), restsOn: [stationsOf(looked.job)] }),
  },
  'overall-length': {
    name: 'Frame length',
    bench: 'donor',
    compute: (looked) => ({
      ...span(looked, ({ overallLength }) => overallLength, []),
      restsOn: [stationsOf(looked.job), ...deciding(looked.whole.plan)],
    }),
  },
  lowest: {
    name: 'Lowest',
    bench: 'donor',
    compute: (looked) => {
      const { plan } = looked.whole;
      const what = plan.measures.after.lowest?.what ?? '';
      const crossmember = plan.crossmembers.find((each) => each.crossmember.name === what);
      return {
        ...span(looked, ({ lowest }) => lowest?.clearance ?? null, [], what.split(',')[0] ?? ''),
        restsOn: [
          ...(crossmember
            ? [support('crossmember', crossmember.crossmember, crossmember.built)]
            : [stationsOf(looked.job)]),
          ...riding(plan, 'axle', axleOf(plan, 'front')),
          ...riding(plan, 'axle', axleOf(plan, 'rear')),
        ],
      };
    },
  },
  'worst-joint': {
    name: 'Worst joint',
    bench: 'cuts',
    compute: ({ job, whole: { plan } }) => {
      const joint = worstJointOf(plan.joints);
      return {
        before: null,
        after: joint ? words(JOINT_WORDS[joint.verdict]) : null,
        note: joint ? `joint ${joint.letter}` : 'no joint yet',
        restsOn: joint ? [...deciding(plan).filter(({ ref }) => ref?.id === joint.operation), stationsOf(job)] : [],
      };
    },
  },
  ...SPLICE_FIGURES,
  ...BODY_FIGURES,
  ...MOUNT_FIGURES,
  ...SHORING_FIGURES,
  ...WELDING_FIGURES,
  'shaft-angle': {
    name: 'Shaft angle',
    bench: 'cuts',
    compute: ({ whole: { plan } }) => {
      const { before, after } = plan.driveLine;
      const angle = (worst: { readonly angle: number | null } | null | undefined): FigureValue =>
        worst ? { radians: worst.angle ?? 0 } : null;
      const joints = new Set(after?.joints.map(({ point }) => point.id));
      return {
        before: angle(before?.worst),
        after: angle(after?.worst),
        note: after?.worst?.point.name ?? 'no drive line yet',
        restsOn: plan.points.filter(({ item }) => joints.has(item.id)).flatMap((point) => riding(plan, 'point', point)),
      };
    },
  },
  'worst-reading': {
    name: 'Worst reading',
    bench: 'true-up',
    compute: ({ whole: { plan, worstReading: worst } }) => ({
      before: null,
      after: worst ? { mm: worst.off, signed: true } : null,
      note: worst ? worst.control.name : 'none taken yet',
      restsOn: worst ? [readAs(worst), ...deciding(plan)] : [],
    }),
  },
  'readings-right': {
    name: 'Readings right',
    bench: 'true-up',
    compute: ({ job, whole: { plan, readings, stage } }) => {
      const { right, total } = stageCount(job, plan, readings, stage);
      const taken = judgedReadings(plan.controls, readings, stage, job.rules, job.display);
      return {
        before: null,
        after: words(`${right} of ${total}`),
        note: STAGE_NAMES[stage],
        restsOn: taken.map(readAs),
      };
    },
  },
  measured: {
    name: 'Measured',
    bench: 'donor',
    compute: ({ job }) => {
      const asks = measuringGuide(job);
      const there = asks.filter(({ state }) => state === 'there').length;
      const next = asks.find(({ state }) => state !== 'there');
      return {
        before: null,
        after: words(`${there} of ${asks.length}`),
        note: next ? `next: ${next.what.split(':')[0]}` : 'all there',
        restsOn: [],
      };
    },
  },
  mass: {
    name: 'Mass',
    bench: 'donor',
    compute: ({ job, whole: { plan } }) => ({
      before: { kg: plan.measures.before.mass },
      after: { kg: plan.measures.after.mass },
      note: 'steel and what hangs on it',
      restsOn: [stationsOf(job), ...deciding(plan)],
    }),
  },
  lines: {
    name: 'Lines to scribe',
    bench: 'marks',
    compute: ({ whole: { plan } }) => {
      const letters = [...plan.joints, ...plan.cutEnds].map(({ letter }) => letter);
      return {
        before: null,
        after: words(
          letters.length === 0 ? 'none' : `${letters[0]}${letters.length > 1 ? ` to ${letters.at(-1)}` : ''}`,
        ),
        note: 'on both rails',
        restsOn: deciding(plan),
      };
    },
  },
  'new-steel': {
    name: 'New rail',
    bench: 'marks',
    compute: ({ whole: { plan } }) => {
      const fresh = plan.tape.spans.filter(({ kind }) => kind === 'new');
      return {
        before: null,
        after: length(fresh.reduce((sum, { builtFrom, builtTo }) => sum + builtTo - builtFrom, 0)),
        note: ['none is let in', 'in one piece a side'][fresh.length] ?? `in ${fresh.length} pieces a side`,
        restsOn: deciding(plan),
      };
    },
  },
} as const satisfies FigureDefinitions;

/** The figures that a shop goes by. */
export type FigureId = keyof typeof FIGURES;

const JOINT_WORDS = {
  meets: 'meets',
  dress: 'dress',
  'ease-with-a-pie-cut': 'kinked',
  'needs-a-transition-piece': 'apart',
  cannot: 'cannot',
} as const;

/**
 * One of the figures that a shop goes by, with what it rests on.
 *
 * @param id Which figure.
 * @param job The job; validated.
 * @param whole What `evaluateJob` gives for it.
 */
export function figureOf(id: FigureId, job: Job, whole: JobResult): Figure {
  const { name, bench, compute } = FIGURES[id];
  const computed = compute({ job, whole });
  const seen = new Set<string>();
  const restsOn = computed.restsOn.filter(({ ref, name: called }) => {
    const key = ref ? `${ref.kind}/${ref.id}` : called;
    return !seen.has(key) && seen.add(key);
  });
  return { id, name, bench, ...computed, restsOn };
}

/**
 * The hold point that the work comes to next, and the first of its checks that is open; null past the last.
 *
 * @param holdPoints The hold points, in order.
 */
export function nextHoldPoint(holdPoints: readonly HoldPoint[]) {
  const holdPoint = holdPoints.find((candidate) => !isPassed(candidate));
  return holdPoint ? { holdPoint, check: holdPoint.checks.find(isOpen) } : null;
}

import {
  evaluateJob,
  type HandoffBody,
  handoffIn,
  isPassed,
  type Job,
  type JobProgress,
  type LengthFormat,
  type PlanResult,
  progressOf,
  sectionLookup,
  type ShopRecord,
  type Stage,
  sideOutline,
  tallOf,
} from '@splay/core';

/** A job's frame in small, from the side, as paths of a picture 240 wide. */
export interface Thumb {
  readonly height: number;
  readonly wheels: readonly { readonly x: number; readonly y: number; readonly r: number }[];
  readonly pieces: readonly { readonly d: string; readonly isNew: boolean }[];
}

/** What the list says of a job: kept beside it, so that the list evaluates nothing. */
export interface JobCard {
  readonly about: string;
  readonly display: LengthFormat;
  readonly thumb: Thumb;
  readonly next: Pick<JobProgress['next'], 'bench' | 'text'>;
  readonly wheelbase: { readonly before: number | null; readonly after: number | null };
  /** How far it has come, in order: what was planned and signed, then what was done, as the readings show. */
  readonly steps: readonly { readonly name: string; readonly passed: boolean }[];
  /** Who is next, for what; null where nobody waits. */
  readonly handoff: (HandoffBody & { readonly by: string; readonly taken: string }) | null;
}

const STEPS = ['Measured', 'Planned', 'Released', 'Tacked', 'Welded'];

/** The frame in small. */
function thumbOf(job: Job, result: PlanResult): Thumb {
  const section = sectionLookup(job.donor);
  const [front, rear] = [
    Math.min(...result.tape.spans.map((span) => span.builtFrom)),
    Math.max(...result.tape.spans.map((span) => span.builtTo)),
  ];
  const scale = 230 / (rear - front);
  const { over, under } = tallOf(result);
  const zero = Math.max(24, 4 + over * scale);
  const [x, z] = [(mm: number) => 5 + (mm - front) * scale, (mm: number) => zero - mm * scale];
  return {
    height: Math.max(64, zero + under * scale + 4),
    wheels: result.axles.flatMap(({ item, built }) =>
      built ? [{ x: x(built.x), y: z(built.z), r: item.tireRadius * scale }] : [],
    ),
    pieces: result.pieces.map((piece) => ({
      d: `${sideOutline(piece, 'left', section)
        .map(([along, up], point) => `${point ? 'L' : 'M'}${x(along).toFixed(1)} ${z(up).toFixed(1)}`)
        .join('')}Z`,
      isNew: piece.source !== 'donor',
    })),
  };
}

/** What the list says of a job with its records. */
export function jobCard(job: Job, records: readonly ShopRecord[]): JobCard {
  const { plan, readings } = evaluateJob(job, records);
  const { holdPoints, next } = progressOf(job, records);
  const cutting = holdPoints.find(({ id }) => id === 'before-cutting');
  // A frame that was read after tacking is cut, whatever a hold point says since.
  const read = (stage: Stage) => readings.some((reading) => reading.stage === stage);
  const welded = read('welded');
  const tacked = read('tacked') || welded;
  const cut = read('fit-up') || tacked;
  const passed = [
    job.done.includes('donor'),
    job.plan.operations.length > 0,
    cut || (cutting !== undefined && isPassed(cutting)),
    tacked,
    welded,
  ];
  const waiting = handoffIn(records);
  const { before, after } = plan.measures;
  return {
    about: [job.donor.name, ...job.bodies.map((body) => `for the ${body.name}`)].join(', '),
    display: job.display,
    thumb: thumbOf(job, plan),
    next: { bench: next.bench, text: next.text },
    wheelbase: { before: before.wheelbase, after: after.wheelbase },
    steps: STEPS.map((name, index) => ({ name, passed: passed[index] ?? false })),
    handoff: waiting && { ...waiting.body, by: waiting.by, taken: waiting.taken },
  };
}

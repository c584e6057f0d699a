import type { PlanResult, WeldingResult } from '../plan/index.ts';
import { type PullMeasuredBody, type ShopRecord, standing } from '../records/index.ts';
import { latestReadings, type Reading } from '../survey/index.ts';
import { type PullFactor, pullFactor } from '../weld/index.ts';

/** What the readings say of how far some joints shortened together, beside what was expected. mm. */
export interface MeasuredPull extends PullMeasuredBody {
  /** Letters of the joints. */
  readonly letters: readonly string[];
  /** How many lengths over just these joints were read tacked and fully welded. */
  readonly readings: number;
}

const mean = (of: readonly number[]): number => of.reduce((sum, each) => sum + each, 0) / of.length;

/**
 * How far the joints of a frame shortened by its readings: every length that was read both tacked and fully welded tells of the
 * joints between its ends, together; several over the same joints count as their mean.
 *
 * @param plan What the plan gives.
 * @param welding What is welded.
 * @param readings Readings, in any order.
 * @param factor What the textbook's figure was multiplied by.
 */
export function measuredPulls(
  { splices }: Pick<PlanResult, 'splices'>,
  { changes, pulls }: Pick<WeldingResult, 'changes' | 'pulls'>,
  readings: readonly Reading[],
  factor: number,
): readonly MeasuredPull[] {
  const [tacked, welded] = [latestReadings(readings, 'tacked'), latestReadings(readings, 'welded')];
  const over = new Map<
    string,
    { readonly joints: typeof pulls; readonly expected: number[]; readonly measured: number[] }
  >();
  for (const { control, change } of changes) {
    const [before, after] = [tacked.get(control.measurement.id), welded.get(control.measurement.id)];
    const ends = control.ends.built ?? [];
    if (control.kind !== 'length' || !before || !after || ends.length < 2) continue;
    const [from, to] = [Math.min(...ends.map(({ x }) => x)), Math.max(...ends.map(({ x }) => x))];
    const joints = pulls.filter(({ joint }) => joint.builtX > from && joint.builtX <= to);
    if (joints.length === 0) continue;
    const key = joints.map(({ joint }) => joint.id).join();
    const found = over.get(key) ?? { joints, expected: [], measured: [] };
    found.expected.push(-change / factor);
    found.measured.push(before.value - after.value);
    over.set(key, found);
  }
  return [...over.values()].flatMap(({ joints, expected, measured }): MeasuredPull[] => {
    const made = splices.find(({ joint }) => joint.id === joints[0]?.joint.id)?.rails[0];
    return made
      ? [
          {
            joints: joints.map(({ joint }) => joint.id),
            letters: joints.map(({ joint }) => joint.letter),
            form: made.splice.form.form,
            wall: made.steel.section.thickness,
            expected: mean(expected),
            measured: mean(measured),
            readings: measured.length,
          },
        ]
      : [];
  });
}

/** Walls that differ by less pull alike, mm. */
const SAME_WALL = 0.5;

/**
 * The shop's own factor for joints of a form in a wall: each joint of which somebody kept a measured pull counts.
 *
 * @param kept What was kept, of this job and of others.
 * @param like Form and wall of the joint that it is for.
 * @param fewest How many joints it takes.
 */
export function shopPullFactor(
  kept: readonly PullMeasuredBody[],
  { form, wall }: Pick<PullMeasuredBody, 'form' | 'wall'>,
  fewest: number,
): PullFactor {
  const alike = kept.filter((one) => one.form === form && Math.abs(one.wall - wall) < SAME_WALL);
  return pullFactor(
    alike.flatMap(({ joints, expected, measured }) => joints.map(() => ({ expected, measured }))),
    fewest,
  );
}

/**
 * The measured pulls that were kept in a job: of the same joints the last.
 *
 * @param records Records of the job, in order of time.
 */
export function keptPulls(records: readonly ShopRecord[]): readonly PullMeasuredBody[] {
  const kept = new Map(standing(records, 'pull-measured').map(({ body }) => [body.joints.join(), body]));
  return [...kept.values()];
}

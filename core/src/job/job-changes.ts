import { datumStation } from '../frame/index.ts';
import { dotted, type EndPlace, type Operation, operationName, placesOf, type PlanResult } from '../plan/index.ts';
import { angleText, lengthText } from '../units/index.ts';
import { planOf } from './evaluate-job.ts';
import type { Job } from './job.ts';

/** One thing that differs between two versions of a job, in few words: `A·B 63 → 70`. */
export interface JobChange {
  readonly say: string;
  /** The operation that it is about; null for what is not of the plan's operations, or is gone. */
  readonly about: string | null;
}

/** Fields of an operation that are lengths, mm, and angles, radians: what of them is shown when they change. */
const LENGTHS = ['length', 'amount', 'rise', 'depth', 'transition', 'down', 'plate'] as const;
const ANGLES = ['angle'] as const;

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

/** A place as text, on one version of a job: from its datum hole, on the donor or as built. */
function placeText(place: EndPlace, job: Job, { datum }: PlanResult): string {
  const say = (mm: number) => lengthText(mm, job.display);
  if (place.on === 'end') return say(place.x);
  return say(place.x - (place.on === 'donor' ? datumStation(job.donor) : datum.built));
}

/** A field of an operation, or of what it changes or is measured by. */
const fieldOf = (operation: Operation, key: string): unknown => {
  const own = operation as unknown as Readonly<Record<string, unknown>>;
  if (key in own) return own[key];
  const nested = [own.amount, own.change].find((value) => typeof value === 'object' && value !== null && key in value);
  return nested === undefined ? undefined : (nested as Readonly<Record<string, unknown>>)[key];
};

/** What changed of an operation that both versions have; null where that is not its places or its main figures. */
function figureChange(was: Operation, is: Operation, before: Job, after: Job): string | null {
  if (was.off !== is.off) return is.off ? 'switched off' : 'switched on';
  const [planBefore, planAfter] = [planOf(before), planOf(after)];
  const [from, to] = [placesOf(was), placesOf(is)];
  const moved = from.findIndex((place, at) => differs(place, to[at]));
  const [old, now] = [from[moved], to[moved]];
  if (old && now) return `${placeText(old, before, planBefore)} → ${placeText(now, after, planAfter)}`;
  const number = (operation: Operation, key: string) => {
    const value = fieldOf(operation, key);
    return typeof value === 'number' ? value : null;
  };
  for (const key of [...LENGTHS, ...ANGLES]) {
    const [a, b] = [number(was, key), number(is, key)];
    if (a === null || b === null || a === b) continue;
    const isAngle = (ANGLES as readonly string[]).includes(key);
    const say = (value: number) => (isAngle ? angleText(value) : lengthText(value, after.display));
    return `${say(a)} → ${say(b)}`;
  }
  return null;
}

/** Parts of the plan besides its operations, and of the job besides its plan, as they are called. */
const PARTS: readonly (readonly [name: string, of: (job: Job) => unknown])[] = [
  ['where a body sits', ({ plan }) => plan.seats],
  ['how joints are made', ({ plan }) => [plan.splices, plan.fittings]],
  ['how mounts are made', ({ plan }) => plan.mountings],
  ['what holds the frame', ({ plan }) => plan.shoring],
  ['what was accepted', ({ plan }) => plan.accepted],
  ['rails', ({ donor }) => [donor.rails, donor.sections, donor.material]],
  ['features and crossmembers', ({ donor }) => [donor.features, donor.crossmembers, donor.members, donor.braces]],
  ['axles, points and lines', ({ donor }) => [donor.axles, donor.points, donor.lines, donor.rooms, donor.units]],
  ['control measurements', ({ donor }) => [donor.controlPoints, donor.controlMeasurements]],
  ['the datum hole', ({ donor }) => donor.datum],
  ['the body', ({ bodies }) => bodies],
  ['the rulebook', ({ rules }) => rules],
  ['letters kept', ({ plan }) => plan.letters ?? []],
  ['the name', ({ name }) => name],
  ['kept plans', ({ variants }) => variants],
];

/**
 * What differs between two versions of a job, what moves steel first.
 *
 * @param before The earlier version; validated.
 * @param after The later one; validated.
 */
export function jobChanges(before: Job, after: Job): readonly JobChange[] {
  const letters = (job: Job, id: string): string =>
    dotted(planOf(job).operations.find(({ operation }) => operation.id === id)?.letters ?? []);
  const named = (job: Job, operation: Operation): string =>
    letters(job, operation.id) || operationName(operation).toLowerCase();
  const [old, now] = [before.plan.operations, after.plan.operations];
  const changed = now.flatMap((operation): JobChange[] => {
    const was = old.find(({ id }) => id === operation.id);
    if (!was) return [{ say: `${named(after, operation)} added`, about: operation.id }];
    if (!differs(was, operation)) return [];
    const said = figureChange(was, operation, before, after) ?? 'changed';
    return [{ say: `${named(after, operation)} ${said}`, about: operation.id }];
  });
  const gone = old
    .filter(({ id }) => !now.some((operation) => operation.id === id))
    .map((operation): JobChange => ({ say: `${named(before, operation)} taken out`, about: null }));
  const parts = PARTS.filter(([, of]) => differs(of(before), of(after))).map(([name]): JobChange => ({
    say: name,
    about: null,
  }));
  return [...changed, ...gone, ...parts];
}

import type { Job } from './job.ts';

/** A field that two people changed to different values, by its path in the document. */
export interface MergeConflict {
  /** From the job down: keys, and ids of the things in lists. */
  readonly path: readonly string[];
  readonly base: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Two versions of a job as one: where both changed a field, `mine` stands and the field is listed. */
export interface MergedJob {
  readonly job: Job;
  readonly conflicts: readonly MergeConflict[];
}

type Raw = Readonly<Record<string, unknown>>;
type WithId = Raw & { readonly id: string };

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);

/** A list of things that each have an id of their own: a thing is the same thing wherever it stands in it. */
const isListed = (value: unknown): value is readonly WithId[] =>
  Array.isArray(value) &&
  value.every((item) => isRecord(item) && typeof item.id === 'string') &&
  new Set(value.map((item: WithId) => item.id)).size === value.length;

const isWords = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.every((item) => typeof item === 'string');

/** Whether two plain documents are the same. */
function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((item, at) => same(item, (b as readonly unknown[])[at]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => key in b && same(a[key], b[key]));
}

/** What is not there: a key that was left out, or a thing that was taken out of its list. */
const GONE = undefined;

type Note = (conflict: MergeConflict) => void;

function mergeValue(path: readonly string[], base: unknown, mine: unknown, theirs: unknown, note: Note): unknown {
  if (same(mine, base)) return theirs;
  if (same(theirs, base) || same(mine, theirs)) return mine;
  if (isRecord(base) && isRecord(mine) && isRecord(theirs)) return mergeRecord(path, base, mine, theirs, note);
  if (isListed(base) && isListed(mine) && isListed(theirs)) return mergeList(path, base, mine, theirs, note);
  if (isWords(base) && isWords(mine) && isWords(theirs)) {
    const kept = theirs.filter((word) => mine.includes(word) || !base.includes(word));
    return [...kept, ...mine.filter((word) => !base.includes(word) && !kept.includes(word))];
  }
  note({ path, base, mine, theirs });
  return mine;
}

function mergeRecord(path: readonly string[], base: Raw, mine: Raw, theirs: Raw, note: Note): Raw {
  // Another kind of thing has other fields: it is taken whole.
  const kinds = ['kind', 'what', 'form', 'by'].filter((key) => key in base);
  if (kinds.some((key) => !same(mine[key], base[key]) || !same(theirs[key], base[key]))) {
    note({ path, base, mine, theirs });
    return mine;
  }
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = mergeValue([...path, key], base[key], mine[key], theirs[key], note);
      return value === GONE ? [] : [[key, value]];
    }),
  );
}

function mergeList(
  path: readonly string[],
  base: readonly WithId[],
  mine: readonly WithId[],
  theirs: readonly WithId[],
  note: Note,
): readonly unknown[] {
  const find = (list: readonly WithId[], id: string) => list.find((item) => item.id === id);
  const order = (list: readonly WithId[]) => list.map(({ id }) => id);
  const merged = new Map<string, unknown>();
  for (const id of new Set([...order(theirs), ...order(mine)])) {
    const [was, own, other] = [find(base, id), find(mine, id), find(theirs, id)];
    const value = mergeValue([...path, id], was, own, other, note);
    if (value !== GONE) merged.set(id, value);
  }
  // The order of whoever changed it; of both, mine. What only the other has goes behind what it stood behind there.
  const kept = (list: readonly string[]) => list.filter((id) => merged.has(id));
  const moved = !same(
    order(base).filter((id) => find(mine, id)),
    order(mine).filter((id) => find(base, id)),
  );
  const [first, second] = moved ? [order(mine), order(theirs)] : [order(theirs), order(mine)];
  const result = kept(first);
  for (const [at, id] of second.entries())
    if (merged.has(id) && !result.includes(id)) {
      const before = second.slice(0, at).findLast((ahead) => result.includes(ahead));
      result.splice(before === undefined ? 0 : result.indexOf(before) + 1, 0, id);
    }
  return result.map((id) => merged.get(id));
}

/**
 * Two versions of a job that came from one, as one: changes of different fields are both kept, things are followed by their ids. Where
 * both changed the same field otherwise, or one changed what the other took out, `mine` stands and the field is listed.
 *
 * @param base The version that both came from.
 * @param mine One of them.
 * @param theirs The other.
 * @returns A document that may break rules between its parts: check it before it is used.
 */
export function mergeJobs(base: Job, mine: Job, theirs: Job): MergedJob {
  const conflicts: MergeConflict[] = [];
  const job = mergeValue([], base, mine, theirs, (conflict) => conflicts.push(conflict)) as Job;
  return { job, conflicts };
}

/** A document with one of its fields set to a value; undefined: left out. */
function withField(document: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(document)) {
    const list = document as readonly WithId[];
    const index = list.findIndex(({ id }) => id === key);
    const next = withField(list[index], rest, value);
    if (next === GONE) return list.filter((_, at) => at !== index);
    return index < 0 ? [...list, next] : list.map((item, at) => (at === index ? next : item));
  }
  const record = isRecord(document) ? document : {};
  const next = withField(record[key], rest, value);
  const others = Object.entries(record).filter(([name]) => name !== key);
  return Object.fromEntries(next === GONE ? others : [...others, [key, next]]);
}

/**
 * A merged job with what the other person has at some of the fields that both changed.
 *
 * @param job The merged job.
 * @param taken The fields that are taken from the other.
 */
export const takingTheirs = (job: Job, taken: readonly MergeConflict[]): Job =>
  taken.reduce<unknown>((document, { path, theirs }) => withField(document, path, theirs), job) as Job;

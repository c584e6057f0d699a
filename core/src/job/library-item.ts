import { type Body, bodyProblems, bodySchema } from '../body/index.ts';
import { schemaProblems } from '../fields/index.ts';
import { type Frame, frameProblems, frameSchema } from '../frame/index.ts';
import { InputError } from '../input-error.ts';
import { JOB_VERSION, type Job } from './job.ts';
import { claimProblem } from './claimed-version.ts';
import { migrate } from './migrate.ts';

const ITEM_FORMAT = 'splay-item';
export type ItemKind = 'donor' | 'body';

/** A donor or a body as the shop keeps it for the next job, and as it travels: a copy that says where it is from. */
export type LibraryItem = {
  readonly format: typeof ITEM_FORMAT;
  readonly version: typeof JOB_VERSION;
  /** The job that it was copied from. */
  readonly from: string;
} & ({ readonly kind: 'donor'; readonly item: Frame } | { readonly kind: 'body'; readonly item: Body });

/**
 * A donor or a body of a job as an item of the library.
 *
 * @param job The job; validated.
 * @param body The body; without one the donor is meant.
 */
export const itemOf = (job: Pick<Job, 'name' | 'donor'>, body?: Body): LibraryItem => {
  const common = { format: ITEM_FORMAT, version: JOB_VERSION, from: job.name } as const;
  return body ? { ...common, kind: 'body', item: body } : { ...common, kind: 'donor', item: job.donor };
};

/**
 * An item of the library as text.
 *
 * @param item The item.
 */
export const writeItem = (item: LibraryItem): string => `${JSON.stringify(item, null, 2)}\n`;

const refuse = (code: string, path: string, message: string): never => {
  throw new InputError([{ code: `item/${code}`, path, message }]);
};

const textOf = (value: unknown): string => (typeof value === 'string' ? value.slice(0, 120) : '');

/** What an item holds, brought up from an older version by the way of a job that holds it. */
function present(kind: ItemKind, item: unknown, version: unknown): unknown {
  const job =
    kind === 'body'
      ? { donor: {}, bodies: [item], plan: {}, variants: [] }
      : { donor: item, bodies: [], plan: {}, variants: [] };
  const wrong =
    typeof version === 'number'
      ? claimProblem({ job: kind === 'body' ? { bodies: [item] } : { donor: item } }, version)
      : null;
  if (wrong) throw new InputError([wrong]);
  const { job: now } = migrate({ version, job }) as { job: { donor: unknown; bodies: readonly unknown[] } };
  return kind === 'body' ? now.bodies[0] : now.donor;
}

/**
 * An item of the library from its text.
 *
 * @param text The file.
 * @throws InputError with every problem, each with its place.
 */
export function parseItem(text: string): LibraryItem {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return refuse('json', '', 'This is no item of a library: it is not JSON. Pick a file that was saved from one.');
  }
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== ITEM_FORMAT)
    return refuse('format', 'format', `This is no item of a library: its format is not “${ITEM_FORMAT}”.`);
  const { kind, item, from, version } = raw as Readonly<Record<string, unknown>>;
  if (kind !== 'donor' && kind !== 'body') return refuse('kind', 'kind', 'An item of a library is a donor or a body.');
  const now = present(kind, item, version);
  const shape = schemaProblems(kind === 'body' ? bodySchema() : frameSchema(), now).map((problem) => ({
    ...problem,
    path: problem.path === '' ? 'item' : `item.${problem.path}`,
  }));
  if (shape.length > 0) throw new InputError(shape);
  const meaning =
    kind === 'body'
      ? bodyProblems(now as Body, 'item')
      : frameProblems(now as Frame, { unit: 'mm', division: 'decimal' }, 'item');
  if (meaning.length > 0) throw new InputError(meaning);
  return { format: ITEM_FORMAT, version: JOB_VERSION, from: textOf(from), kind, item: now } as LibraryItem;
}

/**
 * The job with a copy of a body: every id new, so that it shares none with what is there, and where it is from.
 *
 * @param job The job.
 * @param item The body of the library.
 * @param from Where it is from, as it is said.
 * @param newId Makes an id that nothing has, by what it is for.
 */
export function withCopiedBody(
  job: Job,
  item: Body,
  from: string,
  newId: (prefix: string) => string,
): { readonly job: Job; readonly id: string } {
  const id = newId('body');
  const fresh = <T extends { readonly id: string }>(list: readonly T[], prefix: string): readonly T[] =>
    list.map((one) => ({ ...one, id: newId(prefix) }));
  const body: Body = {
    ...item,
    id,
    openings: fresh(item.openings, 'opening'),
    mounts: fresh(item.mounts, 'mount'),
    boxes: fresh(item.boxes, 'box'),
    masses: fresh(item.masses, 'mass'),
    fenders: fresh(item.fenders, 'fender'),
    points: fresh(item.points, 'point'),
    changes: fresh(item.changes, 'change'),
    ...(from === '' ? {} : { copiedFrom: from }),
  };
  return { job: { ...job, bodies: [...job.bodies, body] }, id };
}

import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const mapped = (list: unknown, change: (item: Raw) => unknown): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRecord(item) ? change(item) : item)) : list;

/** Every id that stands anywhere in a document. */
function idsIn(value: unknown, into: Set<unknown> = new Set()): ReadonlySet<unknown> {
  if (Array.isArray(value)) for (const item of value as unknown[]) idsIn(item, into);
  else if (isRecord(value))
    for (const [key, held] of Object.entries(value)) {
      if (key === 'id') into.add(held);
      else idsIn(held, into);
    }
  return into;
}

/** An id that the document does not have yet. */
function fresh(wanted: string, taken: ReadonlySet<unknown>): string {
  let id = wanted;
  for (let count = 2; taken.has(id); count += 1) id = `${wanted}-${count}`;
  return id;
}

/** The one body of before: its zero was its front opening, and it had a distance in place of openings. */
function bodyOf(body: Raw, taken: ReadonlySet<unknown>): Raw {
  const { name, wheelbase, outline, mounts, masses } = body;
  const opening = (over: 'front' | 'rear', x: number) => ({
    id: fresh(`opening-${over}`, taken),
    name: over === 'front' ? 'Front opening' : 'Rear opening',
    over,
    x,
  });
  const apart = typeof wheelbase === 'number' && wheelbase > 0 ? wheelbase : null;
  return {
    id: fresh('body', taken),
    name,
    kind: 'other',
    outline,
    underside: [],
    openings: apart === null ? [] : [opening('front', 0), opening('rear', apart)],
    mounts,
    boxes: [],
    masses,
  };
}

/**
 * 6: bodies in parts, each with openings, mounts, boxes and a floor of its own, and a plan says where each sits.
 *
 * @param file A file of version 5.
 */
export function toVersion6({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const { body, ...rest } = job;
  const seated = (plan: unknown): unknown => (isRecord(plan) ? { ...plan, seats: [] } : plan);
  const bodies = body === null || body === undefined ? [] : [isRecord(body) ? bodyOf(body, idsIn(job)) : body];
  return { ...file, job: { ...rest, bodies, plan: seated(job.plan), variants: mapped(job.variants, seated) } };
}

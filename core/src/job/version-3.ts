import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const recordsIn = (list: unknown): Raw[] => (Array.isArray(list) ? list.filter(isRecord) : []);
/** The list with each of its records changed; anything else is left for the schema to refuse. */
const mapped = (list: unknown, change: (item: Raw) => unknown): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRecord(item) ? change(item) : item)) : list;

const half = (length: unknown): number => (typeof length === 'number' ? length / 2 : 0);

/** A sum without what binary arithmetic leaves over, mm. */
const sum = (a: number, b: number): number => Number((a + b).toFixed(9));

/** A feature was given by its front end and its length; now by the middle of its fastening, and its reach. */
function byItsMiddle(feature: unknown): unknown {
  if (!isRecord(feature) || typeof feature.x !== 'number') return feature;
  const { length, ...rest } = feature;
  const reach = half(length);
  return { ...rest, x: sum(feature.x, reach), ahead: reach, behind: reach };
}

const shifted = (place: unknown, by: number): unknown =>
  isRecord(place) && typeof place.x === 'number' ? { ...place, x: sum(place.x, by) } : place;

const ALIGN = { out: 0, up: 0, yaw: 0, pitch: 0 };

function operationOf3(operation: Raw, lengthOf: (feature: unknown) => unknown): Raw {
  switch (operation.kind) {
    case 'shorten':
      return { ...operation, rise: 0 };
    case 'lengthen':
      return { ...operation, align: ALIGN };
    case 'extend':
      return { ...operation, cut: null, align: ALIGN };
    case 'bracket': {
      const { change } = operation;
      if (!isRecord(change)) return operation;
      const { feature } = change;
      if (isRecord(feature))
        return {
          ...operation,
          change: { ...change, at: shifted(change.at, half(feature.length)), feature: byItsMiddle(feature) },
        };
      if (change.what !== 'move') return operation;
      return { ...operation, change: { ...change, to: shifted(change.to, half(lengthOf(feature))) } };
    }
    default:
      return operation;
  }
}

/** What an operation is about, where it names something of the donor. */
function namedBy({ change }: Raw): unknown {
  if (!isRecord(change)) return null;
  const named = change.feature ?? change.crossmember;
  return typeof named === 'string' ? named : null;
}

/** What an operation brings. */
function broughtBy({ change }: Raw): unknown[] {
  if (!isRecord(change)) return [];
  return [change.feature, change.crossmember].flatMap((thing) => (isRecord(thing) ? [thing.id] : []));
}

/** A plan without operations on what is not there, and with acceptances named by their conflict. */
function planOf3(plan: unknown, donor: Raw): unknown {
  if (!isRecord(plan)) return plan;
  const features = recordsIn(donor.features);
  const lengthOf = (id: unknown) => features.find((feature) => feature.id === id)?.length;
  const known = new Set<unknown>([
    ...features.map(({ id }) => id),
    ...recordsIn(donor.crossmembers).map(({ id }) => id),
    ...recordsIn(plan.operations).flatMap(broughtBy),
  ]);
  const groups = new Set(recordsIn(donor.groups).map(({ id }) => id));
  const operations = Array.isArray(plan.operations)
    ? plan.operations.filter((operation: unknown) => {
        const named = isRecord(operation) ? namedBy(operation) : null;
        return named === null || known.has(named);
      })
    : plan.operations;
  return {
    ...plan,
    operations: mapped(operations, (operation) => operationOf3(operation, lengthOf)),
    accepted: Array.isArray(plan.accepted)
      ? recordsIn(plan.accepted)
          .filter(({ group }) => groups.has(group))
          .map(({ group, reason }) => ({ conflict: `group-split/${String(group)}`, reason, by: 'the shop' }))
      : plan.accepted,
  };
}

/** Lists of the donor whose ids must differ from all others, in the order in which they keep theirs. */
const LISTS = [
  'controlMeasurements',
  'features',
  'crossmembers',
  'groups',
  'controlPoints',
  'axles',
  'points',
  'lines',
] as const;

/** New ids for what has the id of something else: by list, old to new. */
function renamed(donor: Raw): Readonly<Record<string, ReadonlyMap<unknown, string>>> {
  const all = new Set(LISTS.flatMap((list) => recordsIn(donor[list]).map(({ id }) => id)));
  const taken = new Set<unknown>();
  return Object.fromEntries(
    LISTS.map((list) => {
      const names = new Map<unknown, string>();
      for (const { id } of recordsIn(donor[list])) {
        if (!taken.has(id)) {
          taken.add(id);
          continue;
        }
        let count = 2;
        while (all.has(`${String(id)}-${count}`)) count += 1;
        const fresh = `${String(id)}-${count}`;
        all.add(fresh);
        taken.add(fresh);
        names.set(id, fresh);
      }
      return [list, names];
    }),
  );
}

/** The donor with every id its own, and what names a renamed thing along with it. */
function withOwnIds(donor: Raw): Raw {
  const names = renamed(donor);
  const to = (list: (typeof LISTS)[number], id: unknown) => names[list]?.get(id) ?? id;
  const own = (list: (typeof LISTS)[number], change: (item: Raw) => Raw = (item) => item) =>
    mapped(donor[list], (item) => ({ ...change(item), id: to(list, item.id) }));
  const inGroup = (item: Raw): Raw => ('group' in item ? { ...item, group: to('groups', item.group) } : item);
  const end = (given: unknown) => (isRecord(given) ? { ...given, point: to('controlPoints', given.point) } : given);
  return {
    ...donor,
    datum: to('features', donor.datum),
    features: own('features', inGroup),
    crossmembers: own('crossmembers'),
    groups: own('groups'),
    axles: own('axles', inGroup),
    points: own('points'),
    lines: own('lines'),
    controlPoints: own('controlPoints'),
    controlMeasurements: mapped(donor.controlMeasurements, (item) => ({
      ...item,
      ...('from' in item ? { from: end(item.from), to: end(item.to) } : { at: end(item.at) }),
    })),
  };
}

/** Benches that version 2 knew. */
const BENCHES: readonly unknown[] = ['donor', 'cuts', 'marks', 'true-up'];

/**
 * 3: a feature is given by the middle of its fastening and its reach; new rail may stand off, up and at an angle; what
 * is accepted is a conflict of any kind, with who accepted it; ids are unique in the job.
 */
export function toVersion3({ job, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job) || !isRecord(job.donor)) return { ...file, job };
  const { donor } = job;
  const features = mapped(donor.features, byItsMiddle);
  return {
    ...file,
    job: {
      ...job,
      donor: withOwnIds({ ...donor, features }),
      plan: planOf3(job.plan, donor),
      variants: mapped(job.variants, (plan) => planOf3(plan, donor)),
      done: Array.isArray(job.done) ? job.done.filter((bench: unknown) => BENCHES.includes(bench)) : job.done,
    },
  };
}

import type { RawJobFile } from './migrate.ts';

type Raw = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value);
const recordsIn = (list: unknown): Raw[] => (Array.isArray(list) ? list.filter(isRecord) : []);
const mapped = (list: unknown, change: (item: Raw) => unknown): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRecord(item) ? change(item) : item)) : list;
const without = (item: Raw, ...keys: readonly string[]): Raw =>
  Object.fromEntries(Object.entries(item).filter(([key]) => !keys.includes(key)));

/** Kinds of features that make a group a suspension, a cab, a power unit or a tank. */
const KIND_OF_GROUP: readonly (readonly [unit: string, features: readonly string[]])[] = [
  ['cab', ['cab-mount']],
  ['power-unit', ['engine-mount', 'gearbox-mount']],
  ['tank', ['tank-strap']],
];

/** The kind of unit that a group was: by what belongs to it; a suspension where it holds an axle or nothing tells. */
function unitKind(features: readonly Raw[], axles: readonly Raw[]): string {
  const kinds = new Set(features.map(({ kind }) => kind));
  const found = KIND_OF_GROUP.find(([, of]) => of.some((kind) => kinds.has(kind)));
  if (axles.length === 0 && found) return found[0];
  return axles.some(({ role }) => role === 'front') ? 'front-suspension' : 'rear-suspension';
}

/** A carrier was an id: of a feature, a crossmember or an axle. */
function withRef(item: Raw, donor: Raw): Raw {
  const { carrier } = item;
  if (typeof carrier !== 'string') return item;
  const holds = (list: unknown) => recordsIn(list).some(({ id }) => id === carrier);
  const kind = holds(donor.features) ? 'feature' : holds(donor.crossmembers) ? 'crossmember' : 'axle';
  return { ...item, carrier: { kind, id: carrier } };
}

/** The mounts of a cab or a power unit that was only known by its mounts, as a unit; none where there is just one. */
function impliedUnit(donor: Raw, kind: string, kinds: readonly string[], name: string, taken: ReadonlySet<unknown>) {
  const mounts = recordsIn(donor.features).filter(
    (feature) => kinds.includes(String(feature.kind)) && feature.group === undefined,
  );
  if (mounts.length < 2) return [];
  let id = kind;
  for (let count = 2; taken.has(id); count += 1) id = `${kind}-${count}`;
  return [{ id, name, kind, mounts: mounts.map((mount) => ({ kind: 'feature', id: mount.id })) }];
}

/** Every id of a job, so that a new one can be told from all of them. */
function idsIn({ donor, body, plan, variants }: Raw): ReadonlySet<unknown> {
  const lists = [
    'features',
    'crossmembers',
    'groups',
    'axles',
    'points',
    'lines',
    'controlPoints',
    'controlMeasurements',
  ];
  const listsOf = (of: unknown, names: readonly string[]) =>
    isRecord(of) ? names.flatMap((name) => recordsIn(of[name])) : [];
  const plans = [plan, ...(Array.isArray(variants) ? variants : [])];
  return new Set(
    [
      ...listsOf(donor, lists),
      ...listsOf(body, ['mounts', 'masses']),
      ...plans.flatMap((each) => listsOf(each, ['operations'])),
    ].map(({ id }) => id),
  );
}

function donorOf4(donor: Raw, taken: ReadonlySet<unknown>): Raw {
  const features = recordsIn(donor.features);
  const axles = recordsIn(donor.axles);
  const groups = recordsIn(donor.groups).map(({ id, name }) => {
    const own = features.filter(({ group }) => group === id);
    return {
      id,
      name,
      kind: unitKind(
        own,
        axles.filter(({ group }) => group === id),
      ),
      mounts: own.map((feature) => ({ kind: 'feature', id: feature.id })),
    };
  });
  const known = (kind: string) => groups.some((group) => group.kind === kind);
  const onUnit = (axle: Raw): Raw =>
    axle.group !== undefined && axle.carrier === undefined
      ? { ...without(axle, 'group'), carrier: { kind: 'unit', id: axle.group } }
      : withRef(without(axle, 'group'), donor);
  return {
    ...without(donor, 'groups'),
    members: [],
    braces: [],
    features: mapped(donor.features, (feature) => without(feature, 'group')),
    units: [
      ...groups,
      ...(known('cab') ? [] : impliedUnit(donor, 'cab', ['cab-mount'], 'Cab', taken)),
      ...(known('power-unit')
        ? []
        : impliedUnit(donor, 'power-unit', ['engine-mount', 'gearbox-mount'], 'Engine and gearbox', taken)),
    ],
    axles: mapped(donor.axles, onUnit),
    points: mapped(donor.points, (point) => withRef(point, donor)),
  };
}

/** What conflicts of version 3 are called now. */
const RENAMED: Readonly<Record<string, string>> = { 'group-split': 'unit-split', 'mounts-part': 'mount-left' };

const planOf4 = (plan: unknown): unknown =>
  isRecord(plan)
    ? {
        ...plan,
        stays: [],
        accepted: mapped(plan.accepted, (acceptance) => {
          const [code = '', ...about] = String(acceptance.conflict).split('/');
          return { ...acceptance, conflict: [RENAMED[code] ?? code, ...about].join('/') };
        }),
      }
    : plan;

function rulesOf4(rules: unknown): unknown {
  if (!isRecord(rules) || !isRecord(rules.changes)) return rules;
  const { 'group/moved': moved, ...changes } = rules.changes;
  return { ...rules, changes: moved === undefined ? changes : { ...changes, 'unit/moved': moved } };
}

const recordOfReading = ({ id, measurement, stage, value, taken, by }: Raw) => ({
  id,
  kind: 'reading',
  version: 1,
  body: { measurement, stage, value },
  taken,
  by,
});

/** Cautions read had no ids of their own: they get one by their place in the list. */
const recordOfCaution = ({ step, caution, by, at }: Raw, index: number) => ({
  id: `caution-read-${index + 1}`,
  kind: 'caution-read',
  version: 1,
  body: { step, caution },
  taken: at,
  by,
});

/**
 * 4: what was a group is a unit that rides on its mounts, and carriers say of what kind they are; members and braces;
 * readings and cautions read are records beside the job.
 */
export function toVersion4({ job, readings, ...file }: RawJobFile): RawJobFile {
  if (!isRecord(job)) return { ...file, job };
  const cautions = recordsIn(job.cautionsRead).map(recordOfCaution);
  return {
    ...file,
    job: {
      ...without(job, 'cautionsRead'),
      donor: isRecord(job.donor) ? donorOf4(job.donor, idsIn(job)) : job.donor,
      plan: planOf4(job.plan),
      variants: Array.isArray(job.variants) ? job.variants.map(planOf4) : job.variants,
      rules: rulesOf4(job.rules),
    },
    attachments: [],
    records: Array.isArray(readings)
      ? [...readings.map((one: unknown) => (isRecord(one) ? recordOfReading(one) : one)), ...cautions]
      : readings === undefined
        ? cautions
        : readings,
  };
}

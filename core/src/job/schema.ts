import { FEATURE_KINDS, ORIGINS, POINT_KINDS } from '../frame/index.ts';
import { PROFILES, RULES } from '../rules/index.ts';
import { STAGES } from '../survey/index.ts';
import {
  angle,
  density,
  flag,
  id,
  length,
  list,
  mass,
  moment,
  name,
  number,
  share,
  oneOf,
  orNull,
  record,
  stress,
  text,
  variant,
  whole,
} from './fields.ts';
import { CAUTION_STEPS } from './cautions.ts';
import { JOB_FORMAT, JOB_VERSION } from './job.ts';
import { BENCH_IDS } from './progress.ts';
import { MOST_VARIANTS } from './variants.ts';

const section = variant('kind', {
  channel: { depth: length(), flange: length(), thickness: length() },
  'closed-channel': { depth: length(), flange: length(), thickness: length(), plate: length() },
  tube: { depth: length(), width: length(), thickness: length(), inner: length() },
  hat: { depth: length(), crown: length(), brim: length(), thickness: length() },
  round: { depth: length(), thickness: length() },
});

/** The id of something that may be left out. */
const reference = () => id().optional();

const rail = () => list(record({ x: length(), halfWidth: length(), top: length(), section: id() }));

const crossmemberFields = {
  id: id(),
  name: name(),
  x: length(),
  length: length(),
  depth: length(),
  below: length(),
  section: reference(),
  fixing: oneOf(['riveted', 'bolted', 'welded']),
  removable: flag(),
  mass: mass(),
};

const featureFields = {
  id: id(),
  name: name(),
  kind: oneOf(FEATURE_KINDS),
  side: oneOf(['left', 'right', 'both']),
  x: length(),
  ahead: length(),
  behind: length(),
  face: oneOf(['top', 'web-outside', 'web-inside', 'bottom']),
  down: length(),
  diameter: length(),
  attachment: oneOf(['rivets', 'bolts', 'weld', 'hole']),
  movable: oneOf(['no', 're-drill', 're-weld']),
  mass: mass(),
  group: reference(),
  origin: oneOf(ORIGINS).optional(),
};

const controlEnd = () => record({ point: id(), side: oneOf(['left', 'right']) });

const frame = record({
  name: name(),
  material: record({
    name: name(),
    yieldStress: stress(),
    tensile: stress(),
    density: density(),
    heatTreated: flag(),
    weldable: flag(),
    heatAffected: share(),
    source: text(500),
  }),
  sections: list(record({ id: id(), section })),
  rails: variant('kind', { mirrored: { stations: rail() }, measured: { left: rail(), right: rail() } }),
  crossmembers: list(record(crossmemberFields)),
  features: list(record(featureFields)),
  datum: id(),
  groups: list(record({ id: id(), name: name() })),
  axles: list(
    record({
      id: id(),
      name: name(),
      role: oneOf(['front', 'rear']),
      x: length(),
      z: length(),
      tyreRadius: length(),
      track: length(),
      rating: mass().optional(),
      group: reference(),
      carrier: reference(),
      origin: oneOf(ORIGINS).optional(),
    }),
    20,
  ),
  points: list(
    record({
      id: id(),
      name: name(),
      kind: oneOf(POINT_KINDS),
      x: length(),
      y: length(),
      z: length(),
      mass: mass(),
      pitch: angle().optional(),
      yaw: angle().optional(),
      carrier: reference(),
    }),
  ),
  lines: list(
    record({
      id: id(),
      name: name(),
      kind: oneOf(['brake', 'fuel', 'harness', 'cable', 'exhaust']),
      side: oneOf(['left', 'right']),
      from: length(),
      to: length(),
      slack: length(),
    }),
  ),
  controlPoints: list(record({ id: id(), name: name(), x: length(), inboard: length(), down: length() })),
  controlMeasurements: list(
    variant('kind', {
      tape: { id: id(), from: controlEnd(), to: controlEnd() },
      height: { id: id(), at: controlEnd() },
    }),
  ),
});

const place = () => record({ x: length(), on: oneOf(['donor', 'built']) });
const endPlace = () => record({ x: length(), on: oneOf(['donor', 'built', 'end']) });
const align = () => record({ out: length(), up: length(), yaw: angle(), pitch: angle() });
const common = { id: id(), note: text(2000), off: flag() };

const operation = variant('kind', {
  shorten: { ...common, from: place(), to: place(), transition: length(), rise: length() },
  lengthen: { ...common, at: place(), length: length(), section: orNull(id()), align: align() },
  widen: { ...common, amount: length(), from: orNull(place()), to: orNull(place()), transition: length() },
  'pie-cut': {
    ...common,
    at: place(),
    pivot: oneOf(['top', 'bottom']),
    mode: oneOf(['close', 'open']),
    turned: oneOf(['front', 'rear']),
    amount: variant('by', { angle: { angle: angle() }, drop: { drop: length(), distance: length() } }),
    wedge: oneOf(['symmetric', 'square']),
  },
  step: { ...common, from: place(), to: place(), rise: length(), method: oneOf(['turn-middle', 'new-middle']) },
  trim: {
    ...common,
    end: oneOf(['front', 'rear']),
    at: endPlace(),
    angle: angle(),
    lean: oneOf(['top-longer', 'bottom-longer']),
  },
  extend: {
    ...common,
    end: oneOf(['front', 'rear']),
    cut: orNull(endPlace()),
    length: length(),
    section: orNull(id()),
    align: align(),
  },
  notch: {
    ...common,
    at: place(),
    width: length(),
    depth: length(),
    from: oneOf(['below', 'above']),
    form: oneOf(['round', 'arch']),
    plate: length(),
  },
  box: { ...common, from: place(), to: place(), plate: length(), taper: length() },
  crossmember: {
    ...common,
    change: variant('what', {
      add: { at: place(), crossmember: record(crossmemberFields) },
      remove: { crossmember: id() },
      move: { crossmember: id(), to: place() },
      lower: { crossmember: id(), by: length() },
      thin: { crossmember: id(), depth: length() },
    }),
  },
  bracket: {
    ...common,
    change: variant('what', {
      add: { at: place(), feature: record(featureFields) },
      remove: { feature: id() },
      move: { feature: id(), to: place(), down: length() },
      drill: { at: place(), feature: record(featureFields), count: whole(), pitch: length() },
    }),
  },
});

const body = record({
  name: name(),
  wheelbase: length(),
  outline: list(record({ x: length(), z: length() }), 500),
  mounts: list(record({ id: id(), name: name(), x: length(), y: length(), z: length() }), 200),
  masses: list(record({ id: id(), name: name(), mass: mass(), x: length(), y: length(), z: length() }), 50),
});

const plan = record({
  name: name(),
  note: text(2000),
  accepted: list(record({ conflict: text(400), reason: text(500).required('must not be empty'), by: name() }), 200),
  operations: list(operation, 200),
}).meta({ name: 'plan' });

/** The shape of a job document. */
export const jobSchema = record({
  name: name(),
  donor: frame,
  body: orNull(body),
  plan,
  variants: list(plan, MOST_VARIANTS),
  rules: record({
    profile: oneOf(Object.keys(PROFILES)),
    changes: record(Object.fromEntries(Object.keys(RULES).map((rule) => [rule, number().optional()]))),
  }),
  display: record({ unit: oneOf(['in', 'mm']), division: oneOf([8, 16, 32, 64, 'decimal']) }),
  cautionsRead: list(record({ step: oneOf(CAUTION_STEPS), caution: id(), by: name(), at: moment() }), 1000),
  done: list(oneOf(BENCH_IDS), 50),
});

/** The shape of one reading. */
export const readingSchema = record({
  id: id(),
  measurement: id(),
  stage: oneOf(STAGES),
  value: length(),
  taken: moment(),
  by: name(),
});

/** The shape of a job file. */
export const jobFileSchema = record({
  format: oneOf([JOB_FORMAT]),
  version: oneOf([JOB_VERSION]),
  job: jobSchema,
  readings: list(readingSchema, 20_000),
});

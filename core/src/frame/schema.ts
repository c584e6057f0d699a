import {
  angle,
  density,
  type Field,
  flag,
  formed,
  id,
  length,
  list,
  mass,
  name,
  oneOf,
  optional,
  record,
  share,
  stress,
  text,
  variant,
} from '../fields/index.ts';
import type { Material } from '../materials/index.ts';
import type { Section } from '../sections/index.ts';
import { FEATURE_KINDS } from './feature-kinds.ts';
import {
  type Axle,
  type ControlEnd,
  type ControlMeasurement,
  type ControlPoint,
  type Crossmember,
  type Feature,
  type Frame,
  type FrameLine,
  type FrameRoom,
  type FramePoint,
  type NamedSection,
  ORIGINS,
  POINT_KINDS,
  ROOM_KINDS,
  type Rails,
  SIDES,
  type Station,
} from './frame.ts';
import type { Anchor, Brace, Member, MemberEnd, MemberPoint, RailId } from './members.ts';
import { type Ref, REF_KINDS } from './ref.ts';
import { type Unit, UNIT_KINDS } from './units.ts';
import { USUAL_FIGURES } from './usual-figures.ts';

const section = () =>
  variant<Section, 'kind'>('kind', {
    channel: { depth: length(), flange: length(), thickness: length() },
    'closed-channel': {
      depth: length(),
      flange: length(),
      thickness: length(),
      plate: length(),
      plateDepth: optional(length()),
    },
    tube: { depth: length(), width: length(), thickness: length(), inner: length() },
    hat: { depth: length(), crown: length(), brim: length(), thickness: length() },
    round: { depth: length(), thickness: length() },
  });

const origin = () => optional(oneOf(ORIGINS));
const fixing = () => oneOf(['riveted', 'bolted', 'welded']);
const ref = () => record<Ref>({ kind: oneOf(REF_KINDS), id: id() });

const rail = () =>
  list(record<Station>({ x: length(), halfWidth: length(), top: length(), section: id(), origin: origin() }));

/** The fields of a crossmember. */
export const crossmemberFields = () => ({
  id: id(),
  name: name(),
  x: length(),
  length: length(),
  depth: length(),
  below: length(),
  section: optional(id()),
  fixing: fixing(),
  removable: flag(),
  mass: optional(mass()),
  origin: origin(),
});

/** The fields of a feature. */
export const featureFields = () => ({
  id: id(),
  name: name(),
  kind: oneOf(FEATURE_KINDS),
  side: oneOf(['left', 'right', 'both']),
  x: length(),
  ahead: length(),
  behind: length(),
  face: oneOf(['top', 'web-outside', 'web-inside', 'bottom']),
  down: length(),
  inboard: optional(length()),
  diameter: length(),
  attachment: oneOf(['rivets', 'bolts', 'weld', 'hole']),
  movable: oneOf(['no', 're-drill', 're-weld']),
  mass: mass(),
  origin: origin(),
  usual: optional(list(oneOf(USUAL_FIGURES), USUAL_FIGURES.length)),
});

/** The fields of an axle. */
const axleFields = () => ({
  id: id(),
  name: name(),
  role: oneOf(['front', 'rear']),
  x: length(),
  z: length(),
  tireRadius: length(),
  track: length(),
  suspension: optional(oneOf(['independent'])),
  rating: optional(mass()),
  carrier: optional(ref()),
  origin: origin(),
});

/** The fields of a point. */
const pointFields = () => ({
  id: id(),
  name: name(),
  kind: oneOf(POINT_KINDS),
  x: length(),
  y: length(),
  z: length(),
  mass: mass(),
  pitch: optional(angle()),
  yaw: optional(angle()),
  carrier: optional(ref()),
  origin: origin(),
});

const memberEnd = () =>
  record<MemberEnd>({
    on: oneOf(['own-rail', 'other-rail', 'crossmember', 'member', 'free']),
    to: optional(id()),
    fixing: fixing(),
  });

const member = () =>
  record<Member>({
    id: id(),
    name: name(),
    copies: oneOf(['pair', 'single']),
    section: id(),
    path: list(record<MemberPoint>({ x: length(), outward: length(), z: length() }), 200),
    front: memberEnd(),
    rear: memberEnd(),
  });

const railId = (): Field<RailId> =>
  formed(
    /^([A-Za-z0-9][A-Za-z0-9._-]*\/)?(left|right)$/,
    'must be left, right, or a member and its side',
  ) as Field<unknown> as Field<RailId>;

const anchor = () => record<Anchor>({ rail: railId(), x: length(), down: length() });

const controlEnd = () => record<ControlEnd>({ point: id(), side: oneOf(SIDES) });

/** The shape of a donor frame. */
export const frameSchema = () =>
  record<Frame>({
    name: name(),
    copiedFrom: optional(name()),
    material: record<Material>({
      name: name(),
      yieldStress: stress(),
      tensile: stress(),
      density: density(),
      heatTreated: flag(),
      weldable: flag(),
      heatAffected: share(),
      source: text(500),
    }),
    sections: list(record<NamedSection>({ id: id(), section: section(), origin: origin() })),
    rails: variant<Rails, 'kind'>('kind', {
      mirrored: { stations: rail() },
      measured: { left: rail(), right: rail() },
    }),
    members: list(member(), 100),
    braces: list(
      record<Brace>({
        id: id(),
        name: name(),
        from: anchor(),
        to: anchor(),
        section: id(),
        fixing: fixing(),
        removable: flag(),
      }),
      200,
    ),
    crossmembers: list(record<Crossmember>(crossmemberFields())),
    features: list(record<Feature>(featureFields())),
    datum: id(),
    units: list(
      record<Unit>({
        id: id(),
        name: name(),
        kind: oneOf(UNIT_KINDS),
        mounts: list(
          record<Ref<'feature' | 'crossmember'>>({ kind: oneOf(['feature', 'crossmember']), id: id() }),
          100,
        ),
      }),
      100,
    ),
    axles: list(record<Axle>(axleFields()), 20),
    points: list(record<FramePoint>(pointFields())),
    lines: list(
      record<FrameLine>({
        id: id(),
        name: name(),
        kind: oneOf(['brake', 'fuel', 'harness', 'cable', 'exhaust']),
        side: oneOf(SIDES),
        from: length(),
        to: length(),
        slack: length(),
        origin: origin(),
      }),
    ),
    rooms: list(
      record<FrameRoom>({
        id: id(),
        name: name(),
        kind: oneOf(ROOM_KINDS),
        front: length(),
        rear: length(),
        left: length(),
        right: length(),
        low: length(),
        high: length(),
        origin: origin(),
      }),
      200,
    ),
    controlPoints: list(
      record<ControlPoint>({
        id: id(),
        name: name(),
        x: length(),
        inboard: length(),
        down: length(),
        origin: origin(),
      }),
    ),
    controlMeasurements: list(
      variant<ControlMeasurement, 'kind'>('kind', {
        tape: { id: id(), from: controlEnd(), to: controlEnd() },
        plumb: { id: id(), from: controlEnd(), to: controlEnd() },
        rise: { id: id(), from: controlEnd(), to: controlEnd() },
        height: { id: id(), at: controlEnd() },
      }),
    ),
  });

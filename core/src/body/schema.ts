import {
  type Field,
  flag,
  id,
  length,
  list,
  mass,
  name,
  oneOf,
  optional,
  orNull,
  rate,
  record,
  share,
} from '../fields/index.ts';
import {
  type AcrossPoint,
  type Body,
  BODY_KINDS,
  BODY_POINT_KINDS,
  type BodyChange,
  type BodyMass,
  type BodyMount,
  type BodyPoint,
  CLEAR_BOX_KINDS,
  type ClearBox,
  type Fender,
  type ProfilePoint,
  type WheelOpening,
} from './body.ts';
import type { DeckLayer, DeckMechanism, WorkBody } from './work-body.ts';

const profile = () => list(record<ProfilePoint>({ x: length(), z: length() }), 500);

/** The shape of a body. */
export const bodySchema = (): Field<Body> =>
  record<Body>({
    id: id(),
    name: name(),
    kind: oneOf(BODY_KINDS),
    outline: profile(),
    underside: profile(),
    across: optional(list(record<AcrossPoint>({ out: length(), z: length() }), 60)),
    openings: list(
      record<WheelOpening>({
        id: id(),
        name: name(),
        over: oneOf(['front', 'rear']),
        x: length(),
        z: optional(length()),
        radius: optional(length()),
        outline: optional(profile()),
      }),
      20,
    ),
    mounts: list(
      record<BodyMount>({
        id: id(),
        name: name(),
        x: length(),
        y: length(),
        z: length(),
        hole: optional(length()),
        thickness: optional(length()),
        bushing: optional(length()),
        bushingRate: optional(rate()),
        load: optional(mass()),
      }),
      200,
    ),
    boxes: list(
      record<ClearBox>({
        id: id(),
        name: name(),
        kind: oneOf(CLEAR_BOX_KINDS),
        front: length(),
        rear: length(),
        left: length(),
        right: length(),
        low: length(),
        high: length(),
      }),
      200,
    ),
    masses: list(record<BodyMass>({ id: id(), name: name(), mass: mass(), x: length(), y: length(), z: length() }), 50),
    fenders: list(
      record<Fender>({ id: id(), name: name(), over: oneOf(['front', 'rear']), inner: length(), outer: length() }),
      20,
    ),
    points: list(
      record<BodyPoint>({ id: id(), name: name(), kind: oneOf(BODY_POINT_KINDS), x: length(), z: length() }),
      100,
    ),
    changes: list(
      record<BodyChange>({ id: id(), of: oneOf(['length', 'width']), at: length(), by: length(), off: flag() }),
      20,
    ),
    front: optional(length()),
    rear: optional(length()),
    width: optional(length()),
    gapAhead: optional(length()),
    tireGap: optional(length()),
    work: optional(
      record<WorkBody>({
        length: length(),
        behind: share(),
        stack: list(record<DeckLayer>({ id: id(), name: name(), height: length(), open: flag() }), 20),
        hose: length(),
        clearance: length(),
        hinge: orNull(length()),
        mechanism: orNull(
          record<DeckMechanism>({ name: name(), least: length(), most: length(), stands: length(), foot: length() }),
        ),
      }),
    ),
    copiedFrom: optional(name()),
  });

import { type Field, id, length, list, mass, name, oneOf, optional, record } from '../fields/index.ts';
import {
  type Body,
  BODY_KINDS,
  type BodyMass,
  type BodyMount,
  CLEAR_BOX_KINDS,
  type ClearBox,
  type ProfilePoint,
  type WheelOpening,
} from './body.ts';

const profile = () => list(record<ProfilePoint>({ x: length(), z: length() }), 500);

/** The shape of a body. */
export const bodySchema = (): Field<Body> =>
  record<Body>({
    id: id(),
    name: name(),
    kind: oneOf(BODY_KINDS),
    outline: profile(),
    underside: profile(),
    openings: list(
      record<WheelOpening>({
        id: id(),
        name: name(),
        over: oneOf(['front', 'rear']),
        x: length(),
        z: optional(length()),
        radius: optional(length()),
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
  });

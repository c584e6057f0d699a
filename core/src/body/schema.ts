import { type Field, id, length, list, mass, name, record } from '../fields/index.ts';
import type { Body, BodyMass, BodyMount } from './body.ts';

/** The shape of a body. */
export const bodySchema = (): Field<Body> =>
  record<Body>({
    name: name(),
    wheelbase: length(),
    outline: list(record<Body['outline'][number]>({ x: length(), z: length() }), 500),
    mounts: list(record<BodyMount>({ id: id(), name: name(), x: length(), y: length(), z: length() }), 200),
    masses: list(record<BodyMass>({ id: id(), name: name(), mass: mass(), x: length(), y: length(), z: length() }), 50),
  });

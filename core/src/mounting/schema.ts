import { type Field, flag, id, length, list, oneOf, optional, rate, record, variant, whole } from '../fields/index.ts';
import { BOLT_GRADES } from '../splice/index.ts';
import {
  ARM_MAKES,
  type Bracket,
  type BracketFixing,
  type ContourPoint,
  LAYER_KINDS,
  type Mounting,
  type StackLayer,
} from './mounting.ts';

const layers = () =>
  list(record<StackLayer>({ id: id(), kind: oneOf(LAYER_KINDS), height: length(), rate: optional(rate()) }), 20);
const contour = () => list(record<ContourPoint>({ at: length(), gap: length() }), 60);
const fixing = () =>
  variant<BracketFixing, 'by'>('by', {
    weld: { leg: length() },
    bolts: { grade: oneOf(BOLT_GRADES), diameter: length(), count: whole(2, 12) },
  });

/** The shape of how a mount is made. */
export const mountingSchema = (): Field<Mounting> =>
  record<Mounting>({
    body: id(),
    mount: id(),
    under: layers(),
    bracket: variant<Bracket, 'form'>('form', {
      none: {},
      perch: {
        thickness: length(),
        along: length(),
        across: length(),
        radius: length(),
        boxed: flag(),
        leg: length(),
        contour: contour(),
      },
      arm: {
        make: oneOf(ARM_MAKES),
        thickness: length(),
        along: length(),
        deep: length(),
        tip: length(),
        radius: length(),
        fixing: fixing(),
        contour: contour(),
      },
      angle: { thickness: length(), along: length(), upright: length(), radius: length(), fixing: fixing() },
      old: { height: length(), along: length(), leg: length() },
    }),
    over: layers(),
    hung: layers(),
  });

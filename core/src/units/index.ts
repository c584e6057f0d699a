export { formatLength, lengthText, otherUnitText } from './format-length.ts';
export {
  finer,
  inches,
  LONGEST,
  MM_PER_INCH,
  nudgeOf,
  type InchDivision,
  type LengthFormat,
  type LengthUnit,
} from './length-unit.ts';
export { GRAVITY, STEEL_DENSITY } from './constants.ts';
export { angleText } from './angle.ts';
export { parseLength } from './parse-length.ts';
export {
  exceeds,
  isAt,
  isInside,
  isMet,
  isWithin,
  overlap,
  readsLess,
  settled,
  type Span,
  TOLERANCE,
} from './tolerance.ts';
export {
  otherQuantityText,
  parseQuantity,
  quantityFigure,
  type QuantityKind,
  quantitySize,
  quantityText,
  quantityUnit,
} from './quantity.ts';

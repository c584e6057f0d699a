export { formatLength, lengthText, otherUnitText, type FormattedLength } from './format-length.ts';
export {
  inches,
  LONGEST,
  MM_PER_INCH,
  nudgeOf,
  type InchDivision,
  type LengthFormat,
  type LengthUnit,
} from './length-unit.ts';
export { parseLength } from './parse-length.ts';

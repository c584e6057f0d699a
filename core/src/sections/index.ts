export { type Addition, builtUpSection } from './built-up.ts';
export { propertiesOfParts, resistingMoment, sectionProperties, shearArea, torsionConstant } from './properties.ts';
export {
  closingPlate,
  describeSection,
  isPlateBetween,
  type Part,
  partsOf,
  rectangle,
  type Rectangle,
  type Section,
  widthOf,
} from './section.ts';
export { STOCK_SECTIONS, USUAL_SECTION } from './stock.ts';

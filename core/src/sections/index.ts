export { type Addition, type BuiltUpSection, builtUpSection } from './built-up.ts';
export {
  propertiesOfParts,
  resistingMoment,
  sectionProperties,
  type SectionProperties,
  shearArea,
  STEEL_DENSITY,
  torsionConstant,
} from './properties.ts';
export {
  closingPlate,
  describeSection,
  isPlateBetween,
  type Part,
  partsOf,
  rectangle,
  type Rectangle,
  type Section,
  type SectionKind,
  widthOf,
} from './section.ts';
export { STOCK_SECTIONS, type StockSection, USUAL_SECTION } from './stock.ts';

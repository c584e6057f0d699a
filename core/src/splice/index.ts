export { type JointForm, weldAt, weldReach } from './joint-form.ts';
export { type Fillet, filletCapacity, plugCapacity, type Slice, sliceAt, type SplicePart, THROAT } from './part.ts';
export { effectiveSection, type PartShare, type Splice, type SpliceStrength, spliceStrength } from './strength.ts';
export {
  edgesOf,
  isOnWeb,
  type Plate,
  PLATE_FACES,
  type PlateFace,
  plateOn,
  type PlateShape,
  roomFor,
} from './plate.ts';
export * from './rail-splice.ts';
export {
  BOLT_TENSILE,
  cornerRadiusOf,
  edgesAt,
  jointFormOf,
  type MadeSplice,
  plateName,
  type RailSteel,
  spliceOf,
  weldMetalOf,
} from './splice-of.ts';
export { flangeLength, innerWallOf, isClosed, wallLength, wallParts, wallsOf } from './section-walls.ts';
export { contactOf, type EndFit, ENDS_MEET } from './end-fit.ts';
export { wedgeSleeve } from './wedge-sleeve.ts';
export { cyclesToCompare, shrinkageAcross } from './life.ts';
export {
  insideOf,
  type Sleeve,
  sleeveFit,
  type SleeveFit,
  type SleeveRules,
  sleeveWalls,
  type StockTube,
} from './sleeve.ts';
export { STOCK_TUBES } from './stock-tubes.ts';
export { reachFedInFull } from './plate-reach.ts';
export { efficiencyOf } from './wall-welds.ts';

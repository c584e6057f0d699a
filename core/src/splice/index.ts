export { type Band, type JointForm, weldAt, weldReach } from './joint-form.ts';
export {
  type Bolt,
  type Fed,
  fedFrom,
  type Fillet,
  filletCapacity,
  type Plug,
  plugCapacity,
  reachOfPart,
  type Slice,
  sliceAt,
  type SplicePart,
  THROAT,
  type WeldMetal,
} from './part.ts';
export {
  effectiveSection,
  type EffectiveSection,
  type PartShare,
  type Splice,
  type SpliceHole,
  type SpliceStrength,
  spliceStrength,
} from './strength.ts';
export {
  type Corner,
  edgesOf,
  isOnWeb,
  type Plate,
  PLATE_FACES,
  type PlateFace,
  plateOn,
  plateProblems,
  type PlateShape,
  roomFor,
} from './plate.ts';
export * from './rail-splice.ts';
export {
  BOLT_TENSILE,
  cornerRadiusOf,
  edgesAt,
  jointFormOf,
  laidPlate,
  type MadeSplice,
  plateName,
  type RailSteel,
  spliceOf,
  weldMetalOf,
} from './splice-of.ts';
export { flangeLength, innerWallOf, isClosed, wallLength, wallsOf } from './section-walls.ts';
export { contactOf, type EndFit, ENDS_MEET } from './end-fit.ts';
export { type WedgeSleeve, wedgeSleeve } from './wedge-sleeve.ts';
export { cyclesToCompare, shrinkageAcross } from './life.ts';
export {
  type Inside,
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

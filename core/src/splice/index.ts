export { type Band, type JointForm, weldAt, weldReach } from './joint-form.ts';
export {
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
  type WeldMetal,
} from './part.ts';
export {
  effectiveSection,
  type EffectiveSection,
  type PartShare,
  type Splice,
  type SpliceStrength,
  spliceStrength,
} from './strength.ts';
export { type Plate, type PlateFace, plateOn, type PlateShape } from './plate.ts';
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
export { reachFedInFull } from './plate-reach.ts';

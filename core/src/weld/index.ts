export {
  COARSE_MESH,
  type Heat,
  type HeatedWall,
  type HeatLoss,
  type Mesh,
  type SteelHeat,
  USUAL_MESH,
  type WallPlace,
  WarmWall,
} from './cooling.ts';
export { arcTime, heatInput, settingsProblems, travelOf, type WeldSettings, weldSettingsSchema } from './heat-input.ts';
export { type JoinedWall, type Pull, pulled, pullOf } from './pull.ts';
export { type PullFactor, pullFactor, type PullSample, TEXTBOOK_BAND } from './pull-factor.ts';
export { type StitchToLay, type TimedStitch, type WaitRules, weldRun, type WeldRun } from './schedule.ts';
export { balancedOrder, peakOf, type PullingStitch, type StitchOrder } from './stitch-order.ts';
export { filletArea, type Groove, grooveArea, passesFor, weldMass } from './weld-metal.ts';
export { type LaidStitch, type NextStitch, nextStitches, wallsNow } from './live.ts';

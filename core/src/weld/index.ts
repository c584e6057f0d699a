export {
  type Heat,
  type HeatedWall,
  type HeatLoss,
  type Mesh,
  type SteelHeat,
  USUAL_MESH,
  WarmWall,
} from './cooling.ts';
export { arcTime, heatInput, settingsProblems, travelOf, type WeldSettings } from './heat-input.ts';
export { type JoinedWall, type Pull, pulled, pullOf } from './pull.ts';
export { type PullFactor, pullFactor, type PullSample, TEXTBOOK_BAND } from './pull-factor.ts';
export { balancedOrder, peakOf, type PullingStitch, type StitchOrder } from './stitch-order.ts';
export { filletArea, type Groove, grooveArea, passesFor, weldMass } from './weld-metal.ts';

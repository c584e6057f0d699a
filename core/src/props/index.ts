export { type AtRest, atRest, type Beam, type BeamLoad, partOf, type Support, weightOf } from './beam.ts';
export { type Closes, type CutSide, type Kerf, kerfAt } from './kerf.ts';
export { type Neutral, neutralAt } from './neutral.ts';
export {
  type Footing,
  footingOf,
  type Over,
  type PlacedLoad,
  standLoads,
  type StandLoads,
  type StandPoint,
  type TippingMargins,
} from './stands.ts';

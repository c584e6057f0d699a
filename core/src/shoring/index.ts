export { type AtRest, atRest, type Beam, type BeamLoad, partOf, type BeamSupport, weightOf } from './beam.ts';
export { type Closes, type CutSide, type Kerf, kerfAt } from './kerf.ts';
export { type Neutral, neutralAt } from './neutral.ts';
export {
  NO_SHORING,
  offAt,
  type OffFrame,
  type Shore,
  SHORE_FACTS,
  SHORE_KINDS,
  SHORE_SIDES,
  type ShoreKind,
  type ShoreFacts,
  type Shoring,
  shoringSchema,
  type ShoreSide,
  tieLength,
} from './shore.ts';
export { type Stability, stabilityOf, type Over, type StandPoint, type TippingMargins } from './stability.ts';
export { type PlacedLoad, standLoads, type StandLoads } from './stands.ts';
export { type Fall, fallOver } from './tipping.ts';

export { atRest, type Beam, type BeamLoad, type BeamSupport, weightOf } from './beam.ts';
export { type Kerf, kerfAt } from './kerf.ts';
export { type Neutral, neutralAt } from './neutral.ts';
export {
  NO_SHORING,
  offAt,
  type Shore,
  SHORE_FACTS,
  SHORE_KINDS,
  SHORE_SIDES,
  type Shoring,
  shoringSchema,
  tieLength,
} from './shore.ts';
export { type Stability, stabilityOf } from './stability.ts';
export { type PlacedLoad, standLoads, type StandLoads } from './stands.ts';
export { fallOver } from './tipping.ts';

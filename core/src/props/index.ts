export { type AtRest, atRest, type Beam, type BeamLoad, partOf, type BeamSupport, weightOf } from './beam.ts';
export { type Closes, type CutSide, type Kerf, kerfAt } from './kerf.ts';
export { type Neutral, neutralAt } from './neutral.ts';
export {
  NO_PROPS,
  offAt,
  type OffFrame,
  type Prop,
  PROP_FACTS,
  PROP_KINDS,
  PROP_SIDES,
  type PropKind,
  type PropFacts,
  type Propping,
  proppingSchema,
  type PropSide,
  tieLength,
} from './prop.ts';
export { type Footing, footingOf, type Over, type StandPoint, type TippingMargins } from './footing.ts';
export { type PlacedLoad, standLoads, type StandLoads } from './stands.ts';
export { type Fall, fallOver } from './tipping.ts';

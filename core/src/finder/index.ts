export {
  type Cost,
  type FinderAsk,
  type FoundRun,
  GRID,
  type CutPlace,
  placeAt,
  placesAlong,
  runsOf,
} from './places.ts';

export { type Answer, type FinderResult, type Obvious, whereToCut } from './answer.ts';
export {
  ASKED,
  ASKED_OF,
  type AskedOf,
  baseOf,
  type Base,
  type FinderAsk,
  gridOf,
  inputWith,
  operationAt,
  tailOf,
} from './ask.ts';
export { type SuggestedAsk, suggestedAsks } from './asks.ts';
export { type Progress } from './along.ts';
export { groundOf } from './ground.ts';
export { type EndsApart } from './ends.ts';
export { gapsOf } from './way-cuts.ts';
export { type Judged, judgeWay, judgingOf, type Judging, weighPlan } from './judge.ts';
export { type Lanes, type LaneStretch } from './lanes.ts';
export { type Unmeasured } from './unmeasured.ts';
export { type Cost, LANES, LANE_IDS, type Lane, type Reason } from './reason.ts';
export { type Found, findWays, type Way, type WayCut } from './ways.ts';
export { hoursText, placeText } from './words.ts';

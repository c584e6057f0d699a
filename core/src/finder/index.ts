export { type Answer, type FinderResult, type Obvious, whereToCut } from './answer.ts';
export {
  GOAL_NAMES,
  GOAL_MEASURES,
  type GoalMeasure,
  baseOf,
  type Base,
  type FinderGoal,
  gridOf,
  inputWith,
  operationAt,
  tailOf,
} from './goal.ts';
export { type SuggestedGoal, suggestedGoals } from './goals.ts';
export { type Progress } from './along.ts';
export { groundOf } from './ground.ts';
export { type EndsApart } from './ends.ts';
export { gapsOf } from './option-cuts.ts';
export { type JudgedOption, judgeOption, judgeContextOf, type JudgeContext, weighPlan } from './judge.ts';
export { type Lanes, type LaneStretch } from './lanes.ts';
export { type Unmeasured } from './unmeasured.ts';
export { type Cost, LANES, LANE_IDS, type Lane, type Reason } from './reason.ts';
export { type Found, findOptions, type CutOption, type OptionCut } from './options.ts';
export { hoursText, placeText } from './words.ts';

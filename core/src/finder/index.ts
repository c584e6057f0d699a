export { type Answer, type FinderResult, whereToCut } from './answer.ts';
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
export { suggestedGoals } from './goals.ts';
export { groundOf } from './ground.ts';
export { gapsOf } from './option-cuts.ts';
export { type JudgedOption, judgeOption, judgeContextOf, type JudgeContext, weighPlan } from './judge.ts';
export { type LaneStretch } from './lanes.ts';
export { type Unmeasured } from './unmeasured.ts';
export { LANES, LANE_IDS, type Lane } from './reason.ts';
export { findOptions, type CutOption } from './options.ts';
export { hoursText, placeText } from './words.ts';

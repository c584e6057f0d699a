export { type BestCut, quickAnswer, type QuickAnswer, type QuickChange } from './quick-answer.ts';
export {
  QUICK_FIELD_IDS,
  QUICK_FIELDS,
  QUICK_GOALS,
  type QuickEntries,
  type QuickFieldId,
  type QuickGoal,
  type QuickProblem,
  quickProblems,
} from './quick-entries.ts';
export { quickGoal, quickJob } from './quick-job.ts';

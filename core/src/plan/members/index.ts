export { braceOutcome, type BraceLine, type BraceOutcome, middleOf } from './brace-outcome.ts';
export { type LegAnchor, type LegTurn, refittedLeg, type RefittedLeg } from './leg.ts';
export { memberLumps } from './lumps.ts';
export { ribbon } from './outline.ts';
export { type MemberMeeting } from './meeting.ts';
export { type MemberCopy, memberOutcome, type MemberOutcome, type Refit } from './member-outcome.ts';

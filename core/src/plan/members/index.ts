export { braceOutcome, type BraceOutcome, middleOf } from './brace-outcome.ts';
export { refittedLeg } from './leg.ts';
export { memberLumps } from './lumps.ts';
export { ribbon } from './outline.ts';
export { type MemberMeeting } from './meeting.ts';
export { type MemberCopy, memberOutcome, type MemberOutcome } from './member-outcome.ts';

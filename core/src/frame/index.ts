export * from './frame.ts';
export { cutRail, railAt, railEnds, type RailHere, sectionLookup } from './rail.ts';
export { frameProblems, sectionProblem } from './validate-frame.ts';

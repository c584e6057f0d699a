export * from './frame.ts';
export { cutRail, railAt, railEnds, type RailHere, sectionLookup, straightLength } from './rail.ts';
export { frameProblems, sectionProblem } from './validate-frame.ts';

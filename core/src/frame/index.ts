export * from './feature-kinds.ts';
export * from './frame.ts';
export * from './members.ts';
export { cutRail, railAt, railEnds, type RailHere, sectionLookup, straightLength } from './rail.ts';
export * from './ref.ts';
export { crossmemberFields, featureFields, frameSchema } from './schema.ts';
export * from './units.ts';
export * from './usual-figures.ts';
export { frameProblems, sectionProblem } from './validate-frame.ts';

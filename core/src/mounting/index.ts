export { bentStrip } from './bend.ts';
export { type BoltSize, boltFor } from './bolt-for.ts';
export { mountingProblems } from './bracket-problems.ts';
export { armParts, bracketChecks, type BracketCheck, type Contact, weldsOffMiddle } from './bracket-strength.ts';
export * from './mounting.ts';
export { mountingSchema } from './schema.ts';
export { heightOf, type LoadedLayer, loadedLayers } from './stack.ts';
export { weldGroup, weldStress, weldStressInPlane } from './weld-lines.ts';

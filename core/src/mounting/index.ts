export { bentStrip, type BentStrip } from './bend.ts';
export { type BoltSize, boltFor } from './bolt-for.ts';
export { mountingProblems } from './bracket-problems.ts';
export { armParts, bracketChecks, type BracketCheck, type BracketLoad, type Contact } from './bracket-strength.ts';
export * from './mounting.ts';
export { mountingSchema } from './schema.ts';
export { GRAVITY, heightOf, type LoadedLayer, loadedLayers } from './stack.ts';
export { weldGroup, type WeldGroup, type WeldLine, weldStress } from './weld-lines.ts';

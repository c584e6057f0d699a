export { checkSolids } from './check.ts';
export { contactShare } from './contact.ts';
export { solidConflict, type SolidFinding, TOUCH } from './finding.ts';
export type { FrameSolid, SolidKind } from './frame-solid.ts';
export { inWorkshop, type Kernel, loadKernel, type Workshop } from './kernel.ts';
export { railSteel, sectionOutline, type SteelStretch } from './steel.ts';
export { frameSolids } from './things.ts';

export { checkSolids } from './check.ts';
export { contactShare } from './contact.ts';
export { solidConflict, type SolidFinding } from './finding.ts';
export { inWorkshop, type Kernel, loadKernel } from './kernel.ts';
export { railSteel, sectionOutline } from './steel.ts';
export { frameSolids } from './things.ts';

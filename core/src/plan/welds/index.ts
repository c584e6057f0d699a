export { evaluateWelding, type JointWork, type RunToTime, runToTime, type WeldingResult } from './evaluate-welding.ts';
export { type JointPull, pulledByAll, type ReadingChange } from './pulls.ts';
export { placeBetween, type Seam, WELD_LAYERS, type WeldLayer, type WeldPosition } from './seam.ts';
export { FRAME_POSES, type FramePose, wallName } from './seams.ts';
export { type Stitch } from './stitches.ts';
export { type StitchPlace, stitchPlace } from './stitch-place.ts';
export { type FlatSection, flatSection } from './unfolded-walls.ts';
export { type EarlyStep, stepName, type WeldStep, type WeldWhat } from './weld-steps.ts';
export { ASSUMED_SETTINGS, USUAL_WELDING, type Welding, weldingSchema } from './welding.ts';

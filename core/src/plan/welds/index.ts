export { evaluateWelding, type RunToTime, runToTime, type WeldingResult } from './evaluate-welding.ts';
export { presetFor, presetOff } from './pulls.ts';
export { placeBetween, type Seam } from './seam.ts';
export { FRAME_POSES, type FramePose, wallName } from './rail-here.ts';
export { type Stitch } from './stitches.ts';
export { stitchPlace } from './stitch-place.ts';
export { flatSection } from './unfolded-walls.ts';
export { stepName, type WeldStep } from './weld-steps.ts';
export { USUAL_WELDING, type Welding } from './welding.ts';

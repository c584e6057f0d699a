export {
  type Body,
  BODY_KINDS,
  type BodyKind,
  type BodyMass,
  type BodyMount,
  bodyProblems,
  CLEAR_BOX_KINDS,
  type ClearBox,
  type ClearBoxKind,
  newBody,
  openingOver,
  type ProfilePoint,
  wheelbaseOf,
  type WheelOpening,
} from './body.ts';
export { type BodyPose, onBody, onFrame } from './body-pose.ts';
export { bodySchema } from './schema.ts';

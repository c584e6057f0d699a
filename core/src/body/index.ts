export {
  type AcrossPoint,
  type Body,
  BODY_KINDS,
  BODY_POINT_KINDS,
  type BodyChange,
  type BodyKind,
  type BodyMass,
  type BodyMount,
  type BodyPoint,
  bodyProblems,
  CLEAR_BOX_KINDS,
  type ClearBox,
  type Fender,
  newBody,
  openingOver,
  type ProfilePoint,
  wheelbaseOf,
  type WheelOpening,
} from './body.ts';
export { changedBody } from './body-change.ts';
export { type DeckLayer, type DeckMechanism, newWorkBody, type WorkBody, workProblems } from './work-body.ts';
export { type BodyPose, onBody, onFrame } from './body-pose.ts';
export { bodySchema } from './schema.ts';

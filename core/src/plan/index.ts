export { type AxleLoad, type Laden } from './axle-loads.ts';
export { type Bending, bendingOf } from './bending.ts';
export { acceptedText, advise, type Conflict, conflictOf, type SuggestedFix } from './conflict.ts';
export { type ControlPrediction, controlKind } from './control.ts';
export {
  operationOfJoint,
  placeOfOperation,
  shiftOperation,
  withMounting,
  withOperation,
  withOrder,
  withoutOperation,
  withSeat,
  withSplice,
} from './edit-plan.ts';
export { justBehind, placesToBegin } from './places-to-begin.ts';
export { newBracket, newCrossmember, newHole } from './new-things.ts';
export {
  aboutOf,
  type Box,
  type ChangeBracket,
  type ChangeCrossmember,
  type ChangeMember,
  type Extend,
  type Lengthen,
  type PieCut,
  type Shorten,
  type Step,
  type Trim,
  type Widen,
  isPaired,
  kindsFor,
  nameOfKind,
  newOperation,
  type Notch,
  type Operation,
  type OperationFigures,
  dotted,
  placesOf,
  operationName,
  OPERATION_KINDS,
  type OperationKind,
  operationSchema,
  type StartPlaces,
  stretchedOperation,
} from './operations/index.ts';
export { type CutEnd, endId, lettersToKeep } from './cut-ends.ts';
export { type Context, contextOf } from './context.ts';
export { conflictsOf, driveLinesOf, evaluatePlan, judge } from './evaluate-plan.ts';
export { evaluateGeometry, type Geometry } from './geometry.ts';
export * from './members/index.ts';
export { evaluateOutcomes, type Outcomes } from './outcomes.ts';
export { type MountOutcome, type UnitOutcome } from './unit-outcome.ts';
export { type OperationOutcome, type PlanInput, type PlanResult, type PlanStep } from './plan-result.ts';
export { type DriveLine, type Shaft, type ShaftJoint } from './drive-line.ts';
export {
  type Joint,
  type JointSide,
  type JointVerdict,
  jointsOf,
  letterOf,
  railsOf,
  worseSide,
  worstVerdict,
} from './joint.ts';
export { lineRun } from './line-run.ts';
export { axleLengthsOf, type Measures } from './measures.ts';
export * from './operation.ts';
export { bottomLength, endAngle, type RailEndAngle, topLength } from './new-rail.ts';
export { type OfSides } from './figures/figures.ts';
export { operationFigures } from './figures/operation-figures.ts';
export { type CrossmemberOutcome } from './crossmember-outcome.ts';
export { type AttachmentStatus } from './attachment-status.ts';
export { type FlatPart, type FlatShape } from './flat-part.ts';
export * from './mounts/index.ts';
export { lastHanger } from './school-conflicts.ts';
export { type FeatureOutcome, type Shift, type SidePlace } from './feature-outcome.ts';
export * from './shoring/index.ts';
export { type RiderOutcome } from './rider-outcome.ts';
export { type CutFace, endAt, faceAt, facesOf, type LineOf, TOP_EDGE } from './face.ts';
export { type NotchAt, notchDepths, notchFloor, notchOutline } from './notch-profile.ts';
export { type FacePoint, faceSpan, type FaceSpan } from './face-span.ts';
export { carryOutEdit, type HungRef, type PlanEdit } from './plan-edit.ts';
export { crossmemberStretch } from './match/solids.ts';
export { endCrossing, faceTop, type Piece, place, railEnd, type RemovedPiece, spine, stationsOf } from './piece.ts';
export { endWords, type FrameEnd, type FrameEnds } from './frame-ends.ts';
export { type DrawnPoint, insideEdge, planOutline, sideOutline, tallOf } from './outline.ts';
export {
  frameProfile,
  profileAt,
  type ProfileRow,
  type RailDifference,
  type RailProfile,
  worstDifferences,
} from './profile.ts';
export { distance, type Pose, posed } from './pose.ts';
export * from './match/index.ts';
export * from './splices/index.ts';
export { type Refusal, type Rework } from './state.ts';
export { railMass } from './solid.ts';
export { findSpot } from './spot.ts';
export { planSchema } from './schema.ts';
export { cutsAlong, type PlanSummary, summaryOf, worstJointOf } from './summary.ts';
export { type Between, between, type Thing, thingsOn } from './things.ts';
export { builtOf, donorOf, isOnTape, type Tape, type TapeFold, tapeOf, type TapeSpan } from './tape.ts';
export { groundUnder, type GroundLine, type Wheels, wheelsUnder } from './underside.ts';
export { clears, removeAllFirst, triedFixes } from './tried-fixes.ts';

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
  type ChangeBracket,
  type ChangeCrossmember,
  type Lengthen,
  type PieCut,
  type Step,
  type Widen,
  isPaired,
  kindsFor,
  nameOfKind,
  newOperation,
  type Operation,
  type OperationFigures,
  dotted,
  placesOf,
  operationName,
  OPERATION_KINDS,
  type OperationKind,
  operationSchema,
  stretchedOperation,
} from './operations/index.ts';
export { type CutEnd, lettersToKeep } from './cut-ends.ts';
export { type Context, contextOf } from './context.ts';
export { conflictsOf, driveLinesOf, evaluatePlan, judge } from './evaluate-plan.ts';
export { evaluateGeometry } from './geometry.ts';
export * from './members/index.ts';
export { evaluateOutcomes, type Outcomes } from './outcomes.ts';
export { type UnitOutcome } from './unit-outcome.ts';
export { type OperationOutcome, type PlanInput, type PlanResult } from './plan-result.ts';
export { type Joint, type JointSide, type JointVerdict, jointsOf, letterOf, worseSide, worstVerdict } from './joint.ts';
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
export { type FeatureOutcome } from './feature-outcome.ts';
export * from './shoring/index.ts';
export { type RiderOutcome } from './rider-outcome.ts';
export { type CutFace, facesOf } from './face.ts';
export { notchDepths, notchFloor, notchOutline } from './notch-profile.ts';
export { faceSpan, type FaceSpan } from './face-span.ts';
export { carryOutEdit, type PlanEdit } from './plan-edit.ts';
export { crossmemberStretch } from './match/solids.ts';
export { endCrossing, faceTop, type Piece, place, stationsOf } from './piece.ts';
export { endWords, type FrameEnd } from './frame-ends.ts';
export { type DrawnPoint, insideEdge, planOutline, sideOutline, tallOf } from './outline.ts';
export { frameProfile, profileAt, worstDifferences } from './profile.ts';
export { distance, type Pose, posed } from './pose.ts';
export * from './match/index.ts';
export * from './splices/index.ts';
export * from './welds/index.ts';
export { railMass } from './solid.ts';
export { findSpot } from './spot.ts';
export { planSchema } from './schema.ts';
export { cutsAlong, type PlanSummary, summaryOf, worstJointOf } from './summary.ts';
export { type Between, between, type Thing, thingsOn } from './things.ts';
export { builtOf, donorOf, isOnTape, type Tape } from './tape.ts';
export { groundUnder, wheelsUnder } from './underside.ts';
export { removeAllFirst, triedFixes } from './tried-fixes.ts';

export { type AxleLoad, type Laden } from './axle-loads.ts';
export { acceptedText, type Conflict, type WayOut } from './conflict.ts';
export { type ControlPrediction, controlKind } from './control.ts';
export { placeOfOperation, shiftOperation, withOperation, withOrder, withoutOperation } from './edit-plan.ts';
export {
  justBehind,
  newBracket,
  newCrossmember,
  newHole,
  newOperation,
  placesToBegin,
  type StartPlaces,
} from './new-operation.ts';
export { type CutEnd } from './cut-ends.ts';
export { contextOf } from './context.ts';
export { evaluatePlan } from './evaluate-plan.ts';
export { type OperationOutcome, type PlanInput, type PlanResult, type PlanStep } from './plan-result.ts';
export { type DriveLine, type Shaft, type ShaftJoint } from './drive-line.ts';
export { type Joint, type JointSide, type JointVerdict, letterOf, worseSide } from './joint.ts';
export { type Measures } from './measures.ts';
export * from './operation.ts';
export { bottomLength, endAngle, type RailEndAngle, topLength } from './new-rail.ts';
export { type OfSides, type OperationFigures } from './figures/figures.ts';
export { operationFigures } from './figures/operation-figures.ts';
export { OPERATION_NAMES, operationName } from './operation-names.ts';
export { type CrossmemberOutcome } from './crossmember-outcome.ts';
export { type Fate } from './fate.ts';
export { type FeatureOutcome, type Shift, type SidePlace } from './feature-outcome.ts';
export { type RiderOutcome } from './rider-outcome.ts';
export { type CutFace, crossing, faceAt, type LineOf, TOP_EDGE } from './face.ts';
export { carryOutEdit, type HungRef, type PlanEdit } from './plan-edit.ts';
export { endCrossing, faceTop, type Piece, place, railEnd, type RemovedPiece, spine, stationsOf } from './piece.ts';
export { type DrawnPoint, insideEdge, planOutline, sideOutline } from './outline.ts';
export { frameProfile, type ProfileRow, type RailDifference, type RailProfile, worstDifferences } from './profile.ts';
export { distance, type Pose, posed } from './pose.ts';
export { type Refusal, type Rework } from './state.ts';
export { type PlanSummary, summaryOf, worstJointOf } from './summary.ts';
export { type Between, between, type Thing, thingsOn } from './things.ts';
export { builtOf, donorOf, type Tape, type TapeFold, tapeOf, type TapeSpan } from './tape.ts';

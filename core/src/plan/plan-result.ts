import type { Body } from '../body/index.ts';
import type { Axle, Frame, FramePoint } from '../frame/index.ts';
import type { Rulebook } from '../rules/index.ts';
import type { LengthFormat } from '../units/index.ts';
import type { Laden } from './axle-loads.ts';
import type { Conflict } from './conflict.ts';
import type { ControlPrediction } from './control.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { CutEnd } from './cut-ends.ts';
import type { DriveLine } from './drive-line.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { Joint } from './joint.ts';
import type { Measures } from './measures.ts';
import type { BraceOutcome, MemberOutcome } from './members/index.ts';
import type { Obstacles, SeatOutcome } from './match/index.ts';
import type { MountingOutcome } from './mounts/mounting-outcome.ts';
import type { Plan } from './operation.ts';
import type { Operation } from './operations/index.ts';
import type { Piece, RemovedPiece } from './piece.ts';
import type { RiderOutcome } from './rider-outcome.ts';
import type { SpliceOutcome } from './splices/index.ts';
import type { PlanState, Refusal, Rework } from './state.ts';
import type { Tape } from './tape.ts';
import type { UnitOutcome } from './unit-outcome.ts';

/** What a plan is evaluated from; a `Job` is one. */
export interface PlanInput {
  readonly donor: Frame;
  readonly bodies: readonly Body[];
  readonly plan: Plan;
  readonly rules: Rulebook;
  readonly display: LengthFormat;
}

/** How one operation went. */
export interface OperationOutcome {
  readonly operation: Operation;
  readonly status: 'done' | 'off' | 'refused';
  readonly refusal: Refusal | null;
  /** Letters of the joints and free ends it made, front to rear. */
  readonly letters: readonly string[];
}

/** Everything a plan gives; lengths in mm, angles in radians, stations on the built frame unless named donor. */
export interface PlanResult {
  readonly pieces: readonly Piece[];
  readonly removed: readonly RemovedPiece[];
  readonly reworks: readonly Rework[];
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  /** How each joint is made, front to rear. */
  readonly splices: readonly SpliceOutcome[];
  readonly operations: readonly OperationOutcome[];
  readonly features: readonly FeatureOutcome[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly members: readonly MemberOutcome[];
  readonly braces: readonly BraceOutcome[];
  readonly units: readonly UnitOutcome[];
  readonly axles: readonly RiderOutcome<Axle>[];
  readonly points: readonly RiderOutcome<FramePoint>[];
  readonly tape: Tape;
  readonly measures: { readonly before: Measures; readonly after: Measures };
  /** The frame after each operation in order, also after one that was refused or is off: then as it was before. */
  readonly steps: readonly PlanStep[];
  /** The frame before the first of them. */
  readonly donorState: PlanState;
  /** Station of the datum hole; on the built frame where its steel went, if that was taken out. */
  readonly datum: { readonly donor: number; readonly built: number };
  /** Where each body sits, what is under it, and what it asks for. */
  readonly seats: readonly SeatOutcome[];
  /** What bodies must clear besides rails and crossmembers. */
  readonly obstacles: Obstacles;
  /** How each mount of a body is made, front to rear by body. */
  readonly mountings: readonly MountingOutcome[];
  /** Approach and departure with what hangs low on the bodies, radians; null where nothing lies there. */
  readonly ramps: { readonly approach: number | null; readonly departure: number | null };
  /** With the bodies on where they sit; null while their masses are not known. */
  readonly laden: { readonly before: Laden | null; readonly after: Laden | null };
  /** Null without a transmission flange and a pinion, or where the plan takes one of them out. */
  readonly driveLine: { readonly before: DriveLine | null; readonly after: DriveLine | null };
  readonly controls: readonly ControlPrediction[];
  /** Worst first. */
  readonly conflicts: readonly Conflict[];
}

/** The frame before and after one operation of a plan; `cutOf` gives it at the moment when it was cut. */
export interface PlanStep {
  readonly state: PlanState;
  readonly before: PlanState;
  readonly outcome: Omit<OperationOutcome, 'letters'>;
}

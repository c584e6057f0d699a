import type { Frame } from '../frame/index.ts';
import type { Laden } from './axle-loads.ts';
import type { Finding } from './conflict.ts';
import type { Context } from './context.ts';
import type { CutEnd } from './cut-ends.ts';
import type { DriveLine } from './drive-line.ts';
import type { Joint } from './joint.ts';
import type { BraceOutcome, MemberOutcome } from './members/index.ts';
import type { SeatOutcome } from './match/index.ts';
import type { MountingOutcome } from './mounts/mounting-outcome.ts';
import type { Plan } from './operation.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { FeatureOutcome } from './feature-outcome.ts';
import type { RiderOutcome } from './rider-outcome.ts';
import type { StateBefore } from './attachment-status.ts';
import type { SpliceOutcome } from './splices/index.ts';
import type { PlanStep } from './plan-result.ts';
import type { PlanState } from './state.ts';
import type { Tape } from './tape.ts';
import type { UnitOutcome } from './unit-outcome.ts';

/** What the conflicts are looked for in: the evaluated plan, before its conflicts are known. */
export interface Findings {
  readonly frame: Frame;
  readonly plan: Plan;
  readonly state: PlanState;
  /** Every operation in turn, with the frame ahead of it and after it. */
  readonly steps: readonly PlanStep[];
  /** The frame ahead of an operation. */
  readonly before: StateBefore;
  readonly tape: Tape;
  readonly datum: { readonly donor: number; readonly built: number };
  readonly joints: readonly Joint[];
  readonly cutEnds: readonly CutEnd[];
  readonly seats: readonly SeatOutcome[];
  readonly mountings: readonly MountingOutcome[];
  readonly splices: readonly SpliceOutcome[];
  readonly driveLine: { readonly before: DriveLine | null; readonly after: DriveLine | null };
  /** With the bodies on; null while their masses are not known. */
  readonly laden: Laden | null;
  readonly features: readonly FeatureOutcome[];
  readonly crossmembers: readonly CrossmemberOutcome[];
  readonly axles: readonly RiderOutcome<Frame['axles'][number]>[];
  readonly points: readonly RiderOutcome<Frame['points'][number]>[];
  readonly units: readonly UnitOutcome[];
  readonly members: readonly MemberOutcome[];
  readonly braces: readonly BraceOutcome[];
}

/** Looks for one sort of conflict. */
export type Finder = (findings: Findings, context: Context) => Finding[];

/** Where a feature is on the built frame; null when it is not. */
export const builtXOf = ({ places }: FeatureOutcome): number | null => (places.left ?? places.right)?.built?.x ?? null;

import { datumStation } from '../frame/index.ts';
import { type Context, contextOf } from './context.ts';
import type { PlanInput, PlanStep } from './plan-result.ts';
import { carryOutAll, prepare, type Prepared } from './prepare.ts';
import type { PlanState } from './state.ts';
import { builtOf, type Tape, tapeOf } from './tape.ts';

/** The first stage of an evaluation: where the steel goes. Enough for a search that only asks whether a cut can be made. */
export interface Geometry {
  readonly input: PlanInput;
  readonly context: Context;
  readonly prepared: Prepared;
  readonly steps: readonly PlanStep[];
  /** The frame after the last operation. */
  readonly state: PlanState;
  readonly tape: Tape;
  /** Station of the datum hole; on the built frame where its steel went, if that was taken out. */
  readonly datum: { readonly donor: number; readonly built: number };
}

/**
 * Where the steel of a donor goes under a plan: every operation carried out in order, nothing judged.
 *
 * @param input Donor, body, plan and rules; validated.
 */
export function evaluateGeometry(input: PlanInput): Geometry {
  const context = contextOf(input);
  const prepared = prepare(input.donor, context);
  const steps = carryOutAll(prepared, input, context);
  const state = steps[steps.length - 1]?.state ?? prepared.state;
  const tape = tapeOf(state);
  const datum = datumStation(input.donor);
  const fold = tape.folds.find(({ donorFrom, donorTo }) => datum > donorFrom && datum < donorTo);
  return {
    input,
    context,
    prepared,
    steps,
    state,
    tape,
    datum: { donor: datum, built: builtOf(tape, datum) ?? fold?.builtX ?? datum },
  };
}

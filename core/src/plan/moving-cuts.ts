import { ruleValue } from '../rules/index.ts';
import { nudgeOf } from '../units/index.ts';
import type { SuggestedFix } from './conflict.ts';
import type { Context } from './context.ts';
import type { PlanState } from './state.ts';

/** A stretch of the donor that a cut should stay clear of, mm. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Donor stations at which an operation cuts the donor's steel. */
function cutsOf(state: PlanState, operation: string): readonly number[] {
  let byOperation = cutsKnown.get(state);
  if (!byOperation) {
    byOperation = new Map<string, number[]>();
    for (const { source, front, rear } of state.pieces)
      if (source === 'donor')
        for (const face of [front, rear])
          if (face.operation !== undefined) {
            const known = byOperation.get(face.operation);
            if (known) known.push(face.x);
            else byOperation.set(face.operation, [face.x]);
          }
    cutsKnown.set(state, byOperation);
  }
  return byOperation.get(operation) ?? [];
}

const cutsKnown = new WeakMap<PlanState, Map<string, number[]>>();

/**
 * Ways of moving an operation so that its cuts stand clear of a stretch of the donor by what the rulebook asks beside a
 * joint: forward and back, to a whole division, the shorter way first. None where it does not cut near there.
 *
 * @param state The frame in work.
 * @param operation Id of the operation that cuts there; null where none does.
 */
export function fixesToClear(
  state: PlanState,
  operation: string | null,
  { from, to }: Stretch,
  { rules, display, show }: Context,
): SuggestedFix[] {
  if (operation === null) return [];
  const clear = ruleValue(rules, 'joint/hole-distance');
  const near = cutsOf(state, operation).filter((x) => x > from - clear - 1e-6 && x < to + clear + 1e-6);
  if (near.length === 0) return [];
  const step = nudgeOf(display);
  const whole = (mm: number) => Math.ceil(mm / step - 1e-9) * step;
  const forward = whole(Math.max(...near) - (from - clear));
  const back = whole(to + clear - Math.min(...near));
  const ways = [
    { by: -forward, say: `Move the cut ${show(forward)} forward` },
    { by: back, say: `Move the cut ${show(back)} back` },
  ].sort((a, b) => Math.abs(a.by) - Math.abs(b.by));
  return ways.map(({ by, say }) => ({ say, edit: { do: 'shift', operation, by } }));
}

/**
 * Where to put something that loses its steel: just behind the nearest cut that stays, as far as the rulebook asks.
 *
 * @param state The frame in work.
 */
export function nearestSteel(state: PlanState, { from, to }: Stretch, { rules }: Context): number | null {
  const clear = ruleValue(rules, 'joint/hole-distance') + (to - from) / 2;
  const places = state.pieces.flatMap(({ source, front, rear }) =>
    source === 'donor' && rear.x - front.x > 2 * clear ? [front.x + clear, rear.x - clear] : [],
  );
  const x = (from + to) / 2;
  return places.reduce<number | null>(
    (best, place) => (best === null || Math.abs(place - x) < Math.abs(best - x) ? place : best),
    null,
  );
}

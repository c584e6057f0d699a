import type { BenchId, HoldPoint } from '@splay/core';
import { body } from '../benches/body/bench.ts';
import { cuts } from '../benches/cuts/bench.ts';
import { donor } from '../benches/donor/bench.ts';
import { marks } from '../benches/marks/bench.ts';
import { match } from '../benches/match/bench.ts';
import { mounts } from '../benches/mounts/bench.ts';
import { stands } from '../benches/stands/bench.ts';
import { splice } from '../benches/splice/bench.ts';
import { trueUp } from '../benches/true-up/bench.ts';
import { weld } from '../benches/weld/bench.ts';
import { where } from '../benches/where/bench.ts';
import { type BenchDefinition, type BenchParts, PHASE_NAMES, type PhaseName } from '../client/bench.ts';

/** Every bench, in the order of work. To add one, write its folder and name it here. */
export const BENCHES: Readonly<Record<string, BenchDefinition>> = {
  donor,
  body,
  match,
  where,
  cuts,
  splice,
  marks,
  stands,
  'true-up': trueUp,
  weld,
  mounts,
} satisfies Readonly<Record<BenchId, BenchDefinition>>;

/** The hold point at the end of a phase. */
const HOLD_POINT_AFTER: Partial<Record<PhaseName, HoldPoint['id']>> = {
  Mark: 'before-cutting',
  Join: 'before-welding-out',
};

/** The phases that have a bench, in order, each with its benches and its hold point. */
export const phases = () =>
  PHASE_NAMES.flatMap((name) => {
    const benches = Object.entries(BENCHES).filter(([, bench]) => bench.phase === name);
    return benches.length > 0 ? [{ name, benches, holdPoint: HOLD_POINT_AFTER[name] }] : [];
  });

export const isBench = (id: string): boolean => Object.hasOwn(BENCHES, id);

/**
 * A bench that is known to be there: the first where its name is not one of them.
 *
 * @param id Name of a bench, as in the address.
 */
export const benchOf = (id: string): BenchDefinition => BENCHES[id] ?? donor;

const loaded = new Map<string, Promise<BenchParts>>();

/** The code of a bench: loaded once, when it is first asked for. One that could not be loaded is asked for again. */
export function partsOf(id: string): Promise<BenchParts> {
  const known = loaded.get(id);
  if (known) return known;
  const parts = benchOf(id).load();
  loaded.set(id, parts);
  parts.then(
    // What React knows to be here it does not wait for.
    (value) => Object.assign(parts, { status: 'fulfilled', value }),
    () => loaded.delete(id),
  );
  return parts;
}

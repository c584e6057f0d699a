import type { BenchId, Gate } from '@splay/core';

export type { BenchId };

export interface Bench {
  readonly id: BenchId;
  readonly name: string;
}

export interface Phase {
  readonly name: string;
  readonly benches: readonly Bench[];
  /** The hold point at the end of the phase. */
  readonly gate?: Gate['id'];
}

/** The order of work. */
export const PHASES: readonly Phase[] = [
  { name: 'Measure', benches: [{ id: 'donor', name: 'Donor' }] },
  { name: 'Plan', benches: [{ id: 'cuts', name: 'Cuts' }] },
  { name: 'Mark', benches: [{ id: 'marks', name: 'Marks' }], gate: 'before-cutting' },
  { name: 'Join', benches: [{ id: 'true-up', name: 'True-up' }], gate: 'before-welding-out' },
];

export const BENCHES: readonly Bench[] = PHASES.flatMap((phase) => phase.benches);
export const isBench = (id: string): id is BenchId => BENCHES.some((bench) => bench.id === id);

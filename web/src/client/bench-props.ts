import type { Conflict, Job, JobResult, PlanResult, Reading, ShopRecord } from '@splay/core';
import type { JobStore, ShownMeasurement } from './job-store.ts';

/** What every bench gets: the open job, evaluated, and ways to point at the board. */
export interface BenchProps {
  readonly store: JobStore;
  /** The job as shown: with the drag in progress, if one. */
  readonly job: Job;
  /** Everything about the job with its records; `result` is what its plan gives. */
  readonly whole: JobResult;
  readonly result: PlanResult;
  /** The donor alone, evaluated. */
  readonly donor: PlanResult;
  readonly records: readonly ShopRecord[];
  /** The readings among them that stand. */
  readonly readings: readonly Reading[];
  readonly canWrite: boolean;
  /** May add readings, notes and photos. */
  readonly canRecord: boolean;
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  /** Draws a measurement across the plan view. */
  readonly onShowMeasurement: (measurement: ShownMeasurement | null) => void;
  /** Brings a built station into sight on the board, mm. */
  readonly onLook: (builtX: number) => void;
  readonly onPickConflict: (conflict: Conflict) => void;
  readonly onRecord: (record: ShopRecord) => void;
  /** Forgets a record that the server refused. */
  readonly onDropRecord: (record: string) => void;
}

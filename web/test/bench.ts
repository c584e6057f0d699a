import { emptyPlan, evaluateJob, evaluatePlan, type Job, type ShopRecord } from '@splay/core';
import { vi } from 'vitest';
import type { JobStore } from '../src/client/job-store.ts';
import { openStore } from './demo.ts';

/** What a bench asks of the workbench, heard. */
export const asked = () => ({
  onSelect: vi.fn(),
  onShowMeasurement: vi.fn(),
  onLook: vi.fn(),
  onPickConflict: vi.fn(),
  onRecord: vi.fn(),
  onDropRecord: vi.fn(),
});

/** A job as it is given to a bench, evaluated, with what the bench asks. */
export function benchOf(job: Job, records: readonly ShopRecord[] = [], store: JobStore = openStore(job, records)) {
  const whole = evaluateJob(job, records);
  const { canWrite, canRecord, selected } = store.getState();
  return {
    store,
    job,
    records,
    whole,
    result: whole.plan,
    readings: whole.readings,
    donor: evaluatePlan({ ...job, plan: emptyPlan('Donor') }),
    canWrite,
    canRecord,
    selected,
    ...asked(),
  };
}

import { emptyPlan, evaluateJob, evaluatePlan, type Job, type ShopRecord } from '@splay/core';
import type { ComponentType } from 'react';
import { vi } from 'vitest';
import type { BenchProps } from '../src/client/bench-props.ts';
import { useJobState } from '../src/client/job-store.ts';
import { openStore } from './demo.ts';
import { render } from './page.ts';

interface Opening {
  readonly records?: readonly ShopRecord[];
  readonly selected?: string;
  readonly canWrite?: boolean;
}

/** A bench on the page as the workbench shows it, with what it asks of the board. */
export function openBench(
  Bench: ComponentType<BenchProps>,
  job: Job,
  { records = [], selected = '', canWrite = true }: Opening = {},
) {
  const store = openStore(job, records, canWrite);
  if (selected) store.setState({ selected });
  const asked = {
    onShowMeasurement: vi.fn(),
    onLook: vi.fn(),
    onPickConflict: vi.fn(),
    onRecord: vi.fn(),
    onDropRecord: vi.fn(),
  };
  function Workbench() {
    const state = useJobState(store, (whole) => ({
      job: whole.job,
      records: whole.records,
      selected: whole.selected,
      canWrite: whole.canWrite,
    }));
    const whole = evaluateJob(state.job, state.records);
    return (
      <Bench
        {...{ ...state, ...asked, store }}
        whole={whole}
        result={whole.plan}
        readings={whole.readings}
        donor={evaluatePlan({ ...state.job, plan: emptyPlan('Donor') })}
        onSelect={(id) => store.setState({ selected: id })}
      />
    );
  }
  render(<Workbench />);
  return { store, asked, now: () => store.getState().job, done: () => store.getState().labels };
}

import type { ReactNode } from 'react';
import { goToBench } from '../client/go-to-bench.ts';
import type { JobStore } from '../client/job-store.ts';

interface BeginAtProps {
  readonly store: JobStore;
  /** The bench where that is done which this one waits for, and what slides over its tray there. */
  readonly bench: string;
  readonly drawer?: string;
  /** What the button says. */
  readonly go: string;
  /** What this bench waits for, in words. */
  readonly children: ReactNode;
}

/** A bench with nothing to decide yet says what it waits for, and opens the place where that is done. */
export function BeginAt({ store, bench, drawer, go, children }: BeginAtProps) {
  return (
    <>
      <p className="text-pencil">{children}</p>
      <button type="button" className="button mt-2" onClick={() => goToBench(store, bench, drawer)}>
        {go}
      </button>
    </>
  );
}

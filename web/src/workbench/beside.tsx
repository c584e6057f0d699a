import type { Job, JobProgress, ShopRecord } from '@splay/core';
import { type ReactNode } from 'react';
import { lazyComponent } from '../client/lazy-component.tsx';
import { Waits } from '../ui/waits.tsx';

const WithProgress = lazyComponent(() => import('./with-progress.tsx').then((file) => file.WithProgress));

interface BesideProps {
  readonly job: Job;
  readonly records: readonly ShopRecord[];
  /** Whether the board is on the screen: nothing beside it is loaded or worked out before. */
  readonly stands: boolean;
  /** What keeps its place until it is here; nothing where not said. */
  readonly place?: ReactNode;
  readonly children: (progress: JobProgress) => ReactNode;
}

/** Something beside the board that tells how far the work has come. */
export const Beside = ({ job, records, stands, place = null, children }: BesideProps) => (
  <Waits place={place}>
    {stands ? (
      <WithProgress job={job} records={records}>
        {children}
      </WithProgress>
    ) : (
      place
    )}
  </Waits>
);

import { spliceParts } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { PartCards } from '../../ui/part-cards.tsx';

/** Every plate, sleeve and strip to cut, left and right, with its flat shape and its files. */
export function PartsDrawer({ store, job, result }: BenchProps) {
  const parts = useMemo(() => spliceParts(result, job), [result, job]);
  return (
    <PartCards
      {...{ store, parts }}
      format={job.display}
      of="joints"
      none="No joint that is decided has a plate or a sleeve yet."
    />
  );
}

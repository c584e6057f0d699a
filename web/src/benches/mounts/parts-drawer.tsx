import { contextOf, mountParts } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { PartCards } from '../../ui/part-cards.tsx';

/** Every bracket, plate and block to cut for the mounts, left and right, with its flat shape and its files. */
export function MountPartsDrawer({ store, job, result }: BenchProps) {
  const parts = useMemo(() => mountParts(result.mountings, contextOf(job)), [result, job]);
  return (
    <PartCards
      {...{ store, parts }}
      format={job.display}
      of="mounts"
      none="No mount that is decided has a bracket yet: take them as proposed, or decide each in the panel."
    />
  );
}

import { markSheet } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { MarksTables } from '../../ui/marks-tables.tsx';

/** Every mark of the plan as tables. */
export function MarksDrawer({ job, result }: BenchProps) {
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  return <MarksTables sheet={sheet} display={job.display} />;
}

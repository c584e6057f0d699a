import { markBlocks, markSheet } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { MarkSheetBlocks } from '../../ui/mark-sheet.tsx';
import { ReleaseNotice } from '../../ui/release-notice.tsx';

/** Width of the drawings, mm, as on paper. */
const WIDTH = 180;

/** The marks sheet of the plan as it is printed. */
export function MarksDrawer({ job, result }: BenchProps) {
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  const blocks = useMemo(() => markBlocks(job, sheet, WIDTH), [job, sheet]);
  return (
    <div className="max-w-[56rem] space-y-3">
      <ReleaseNotice sheet={sheet} />
      <MarkSheetBlocks blocks={blocks} display={job.display} />
    </div>
  );
}

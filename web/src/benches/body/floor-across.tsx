import type { AcrossPoint } from '@splay/core';
import { inches } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { putBody } from '../../ui/put-body.ts';
import { type Column, lengthColumn } from '../../ui/table-columns.ts';

const COLUMNS: readonly Column<AcrossPoint>[] = [
  lengthColumn('out', 'From the middle, outward', '50%'),
  lengthColumn('z', 'Over the middle, under it below 0', '50%'),
];

/** How the floor rises or falls across, both sides alike, where it is not level. */
export function FloorAcross(bench: BenchProps) {
  const body = selectedBody(bench.job.bodies, bench.selected);
  const [problem, setProblem] = useState('');
  if (!body) return null;
  return (
    <section aria-label="Floor across" className="mb-5">
      <h3 className="heading text-lg">Floor, across</h3>
      <p className="mb-1.5 text-sm text-pencil">
        Where it is not level across: sills that hang lower outside, a raised middle. Without a point it is level.
      </p>
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was changed.
        </p>
      )}
      <EditTable<AcrossPoint>
        caption="Floor across"
        columns={COLUMNS}
        rows={body.across ?? []}
        format={bench.job.display}
        disabled={!bench.canWrite}
        addLabel="Add a point across"
        newRow={(after) => ({ out: (after?.out ?? -inches(8)) + inches(8), z: after?.z ?? 0 })}
        onChange={(across) => {
          const { across: _, ...level } = body;
          const wrong = putBody(
            bench,
            'Edited the floor across',
            across.length > 0 ? { ...level, across } : level,
            'across',
          );
          setProblem(wrong.elsewhere);
          return wrong.cells;
        }}
      />
    </section>
  );
}

import { type Body, inches, type ProfilePoint, type WheelOpening } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { putBody } from '../../ui/put-body.ts';
import { PROFILE } from './body-columns.ts';

/** The edge of each opening point by point, where it is no circle. */
export function OpeningEdges(bench: BenchProps) {
  const body = selectedBody(bench.job.bodies, bench.selected);
  if (!body || body.openings.length === 0) return null;
  return (
    <div className="mt-2">
      {body.openings.map((opening) => (
        <OpeningEdge key={opening.id} {...{ bench, body, opening }} />
      ))}
    </div>
  );
}

function OpeningEdge({
  bench,
  body,
  opening,
}: {
  readonly bench: BenchProps;
  readonly body: Body;
  readonly opening: WheelOpening;
}) {
  const [problem, setProblem] = useState('');
  const put = (outline: readonly ProfilePoint[]) => {
    const { outline: _, ...round } = opening;
    const next: WheelOpening = outline.length === 0 ? round : { ...round, outline };
    const openings = body.openings.map((one) => (one.id === opening.id ? next : one));
    const wrong = putBody(bench, `Edge of ${opening.name}`, { ...body, openings }, 'openings');
    setProblem(wrong.elsewhere || (wrong.cells[0]?.message ?? ''));
    return [];
  };
  return (
    <details className="mb-2 border border-rule px-3 py-1">
      <summary className="min-h-9 cursor-pointer">
        {opening.name}, edge by points: {opening.outline?.length ?? 0}
      </summary>
      <p className="text-sm text-pencil">
        From its front foot over the top to its rear foot, where it is no circle. With points the room round the tire is
        measured to them.
      </p>
      {problem && (
        <p role="alert" className="text-oxide">
          {problem}
        </p>
      )}
      <EditTable<ProfilePoint>
        caption={`Edge of ${opening.name}`}
        columns={PROFILE}
        rows={opening.outline ?? []}
        format={bench.job.display}
        disabled={!bench.canWrite}
        addLabel="Add a point"
        newRow={(after) => ({ x: (after?.x ?? opening.x - inches(18)) + (after ? inches(9) : 0), z: after?.z ?? 0 })}
        onChange={put}
      />
    </details>
  );
}

import { type ContourPoint, contextOf, type MountingOutcome } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { type Column, lengthColumn } from '../../ui/table-columns.ts';
import { make, selectedMount } from './selection.ts';

const COLUMNS: readonly Column<ContourPoint>[] = [
  lengthColumn('at', 'Behind the mount, ahead below 0', '50%'),
  lengthColumn('gap', 'Under the straight edge', '50%'),
];

/** What the foot of the bracket at hand follows: as read from a contour gauge, or along the rail as measured. */
export function ContourDrawer(bench: BenchProps) {
  const { job, result } = bench;
  const outcome = selectedMount(result, bench);
  if (!outcome || !('contour' in outcome.mounting.bracket))
    return <p className="p-4 text-pencil">Only a perch or an arm is cut to the rail: pick one in the panel.</p>;
  return <Contour {...{ bench, outcome }} contour={outcome.mounting.bracket.contour} show={contextOf(job).show} />;
}

interface ContourProps {
  readonly bench: BenchProps;
  readonly outcome: MountingOutcome;
  readonly contour: readonly ContourPoint[];
  readonly show: (mm: number) => string;
}

function Contour({ bench, outcome, contour, show }: ContourProps) {
  const { store, job, canWrite } = bench;
  const { mounting, tag, edge } = outcome;
  const put = (label: string, next: readonly ContourPoint[]) =>
    make(store, label, [{ ...mounting, bracket: { ...mounting.bracket, contour: next } as typeof mounting.bracket }]);
  return (
    <section aria-label={`Contour of ${tag}`} className="max-w-2xl p-4">
      <h3 className="heading text-lg">What the foot of {tag} follows</h3>
      <p className="mb-2 text-sm text-pencil">
        Lay a straight edge over the rail {mounting.bracket.form === 'arm' ? 'along its side' : 'along its top'}, and
        read how far the steel lies under it, ahead of the mount and behind. Without any reading the rail as measured on
        Donor is followed, its kick-up and taper with it.
      </p>
      <EditTable<ContourPoint>
        caption={`Contour of ${tag}`}
        columns={COLUMNS}
        rows={contour}
        format={job.display}
        disabled={!canWrite}
        addLabel="Add a reading"
        newRow={(after) => ({ at: (after?.at ?? -50) + 25, gap: 0 })}
        onChange={(rows) => {
          put(`Contour of ${tag}`, rows);
          return [];
        }}
      />
      <h4 className="label mt-4 mb-1">Cut to</h4>
      <ul className="flex flex-wrap gap-x-6 text-sm">
        {edge().map(({ at, reach }) => (
          <li key={at}>
            <span className="text-pencil">
              {at === 0 ? 'at the mount' : `${show(Math.abs(at))} ${at < 0 ? 'ahead' : 'behind'}`}:{' '}
            </span>
            <Length mm={reach} format={job.display} className="font-semibold" />
          </li>
        ))}
      </ul>
    </section>
  );
}

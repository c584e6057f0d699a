import { type ControlMeasurement, type ControlPoint, controlKind, datumStation, inches, type Job } from '@splay/core';
import { type Column, EditTable } from '../../ui/edit-table.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { lengthColumn, type SetDonor, textColumn } from './donor-bench.tsx';

interface ControlTablesProps {
  readonly job: Job;
  readonly set: SetDonor;
  readonly disabled: boolean;
}

/** Every width, and lengths and both diagonals between neighbours and from first to last. */
export function usualMeasurements(points: readonly ControlPoint[]): ControlMeasurement[] {
  const inOrder = [...points].sort((a, b) => a.x - b.x);
  const [first, last] = [inOrder[0], inOrder.at(-1)];
  const neighbours = inOrder.slice(1).map((point, index) => [inOrder[index] as ControlPoint, point] as const);
  const pairs = first && last && inOrder.length > 2 ? [...neighbours, [first, last] as const] : neighbours;
  const end = (point: ControlPoint, side: 'left' | 'right') => ({ point: point.id, side });
  return [
    ...inOrder.map((point) => ({ id: `${point.id}-width`, from: end(point, 'left'), to: end(point, 'right') })),
    ...pairs.flatMap(([a, b]) => [
      { id: `${a.id}-${b.id}-left`, from: end(a, 'left'), to: end(b, 'left') },
      { id: `${a.id}-${b.id}-right`, from: end(a, 'right'), to: end(b, 'right') },
      { id: `${a.id}-left-${b.id}-right`, from: end(a, 'left'), to: end(b, 'right') },
      { id: `${a.id}-right-${b.id}-left`, from: end(a, 'right'), to: end(b, 'left') },
    ]),
  ];
}

/** Control points in left/right pairs, and what is taped between them. */
export function ControlTables({ job, set, disabled }: ControlTablesProps) {
  const { controlPoints, controlMeasurements } = job.donor;
  const columns: Column<ControlPoint>[] = [
    textColumn('name', 'Name', '40%'),
    lengthColumn('x', 'From datum', '20%', datumStation(job.donor)),
    lengthColumn('inboard', 'Inboard', '20%'),
    lengthColumn('down', 'Below rail top', '20%'),
  ];
  const kinds = controlMeasurements.map(controlKind);
  const count = (kind: string) => kinds.filter((candidate) => candidate === kind).length;
  return (
    <>
      <p className="mb-2 text-sm text-pencil">
        Punch each point on both rails before the cut: a left and a right one at the same station. Widths, lengths and
        diagonals between them show how the frame lies.
      </p>
      <EditTable
        caption="Control points"
        columns={columns}
        rows={controlPoints}
        format={job.display}
        disabled={disabled}
        addLabel="Add a control point"
        newRow={(after, index) => ({
          id: freshPoint(controlPoints),
          name: `Point ${index + 1}`,
          x: (after?.x ?? 0) + inches(24),
          inboard: 0,
          down: 0,
        })}
        onChange={(rows) =>
          set('Edited control points', 'controlPoints', (frame) => {
            const left = new Set(rows.map((row) => row.id));
            return {
              ...frame,
              controlPoints: rows,
              controlMeasurements: frame.controlMeasurements.filter(
                ({ from, to }) => left.has(from.point) && left.has(to.point),
              ),
            };
          })
        }
      />
      <PanelHeading>What is taped</PanelHeading>
      <p>
        {count('width')} widths, {count('length')} lengths, {count('diagonal')} diagonals.
      </p>
      <button
        type="button"
        className="button mt-2"
        disabled={disabled || controlPoints.length < 2}
        onClick={() =>
          set('Chose the measurements', 'controlMeasurements', (frame) => {
            const known = new Set(frame.controlMeasurements.map(({ id }) => id));
            return {
              ...frame,
              controlMeasurements: [
                ...frame.controlMeasurements,
                ...usualMeasurements(frame.controlPoints).filter(({ id }) => !known.has(id)),
              ],
            };
          })
        }
      >
        Add the usual ones: widths, lengths, both diagonals
      </button>
    </>
  );
}

function freshPoint(points: readonly ControlPoint[]): string {
  for (let count = points.length + 1; ; count += 1)
    if (!points.some(({ id }) => id === `p${count}`)) return `p${count}`;
}

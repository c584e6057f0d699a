import {
  type Body,
  type BodyMass,
  type BodyMount,
  type BodyPoint,
  type ClearBox,
  type Fender,
  inches,
  type JobTable,
  type LengthFormat,
  type ProfilePoint,
  type WheelOpening,
  wheelbaseOf,
} from '@splay/core';
import { Fragment, type ReactNode, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { freshId } from '../../client/fresh-id.ts';
import { EditTable, type EditTableProps } from '../../ui/edit-table.tsx';
import { TableFile } from '../../ui/table-file.tsx';
import type { Column } from '../../ui/table-columns.ts';
import { putBody } from '../../ui/put-body.ts';
import { BOXES, FENDERS, MOUNTS, OPENINGS, POINTS, PROFILE, WEIGHTS } from './body-columns.ts';

type Listed = 'openings' | 'mounts' | 'boxes' | 'masses' | 'outline' | 'underside' | 'fenders' | 'points';

interface TableOf<Row extends object> {
  readonly list: Listed;
  readonly caption: string;
  readonly hint: string;
  readonly columns: readonly Column<Row>[];
  readonly addLabel: string;
  /** The table of the job that it goes out and comes in as. */
  readonly file?: Exclude<JobTable, 'readings'>;
  readonly newRow: EditTableProps<Row>['newRow'];
}

/** One list of the body at hand as a table to type and paste into, with why the last edit was not taken. */
function BodyTable<Row extends object>({
  bench,
  body,
  of: { list, caption, hint, columns, addLabel, file, newRow },
}: {
  readonly bench: BenchProps;
  readonly body: Body;
  readonly of: TableOf<Row>;
}) {
  const [problem, setProblem] = useState('');
  return (
    <section aria-label={caption} className="mb-5">
      <h3 className="heading text-lg">{caption}</h3>
      <p className="mb-1.5 text-sm text-pencil">{hint}</p>
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was changed.
        </p>
      )}
      <EditTable<Row>
        caption={caption}
        columns={columns}
        rows={body[list] as unknown as readonly Row[]}
        format={bench.job.display}
        disabled={!bench.canWrite}
        addLabel={addLabel}
        newRow={newRow}
        onChange={(rows) => {
          const wrong = putBody(bench, `Edited ${caption.toLowerCase()}`, { ...body, [list]: rows }, list);
          setProblem(wrong.elsewhere);
          return wrong.cells;
        }}
      />
      {file && <TableFile table={file} job={bench.job} store={bench.store} disabled={!bench.canWrite} />}
    </section>
  );
}

/** A drawer of tables of the body at hand; says what is missing where the job has no body yet. */
const drawerOf =
  (...tables: readonly ((bench: BenchProps, body: Body) => ReactNode)[]) =>
  (bench: BenchProps) => {
    const body = selectedBody(bench.job.bodies, bench.selected);
    if (!body) return <p className="text-pencil">There is no body yet: add one on the panel.</p>;
    return (
      <div key={body.id}>
        {tables.map((table, index) => (
          <Fragment key={index}>{table(bench, body)}</Fragment>
        ))}
      </div>
    );
  };

/** One table of a body, by what tells it. */
const tableOf =
  <Row extends object>(tell: (body: Body, format: LengthFormat) => TableOf<Row>) =>
  (bench: BenchProps, body: Body) => <BodyTable<Row> bench={bench} body={body} of={tell(body, bench.job.display)} />;

export const OpeningsDrawer = drawerOf(
  tableOf<WheelOpening>((body) => ({
    list: 'openings',
    caption: 'Wheel openings',
    hint: 'Hook the tape at one end of the body and plumb down from the middle of each opening. Heights from a level line struck along its side; leave empty what nobody has measured.',
    columns: OPENINGS,
    addLabel: 'Add an opening',
    file: 'openings',
    newRow: (_, count) => ({
      id: freshId('opening'),
      name: count === 0 ? 'Front opening' : 'Rear opening',
      over: count === 0 ? 'front' : 'rear',
      x: count === 0 ? inches(30) : (body.openings.at(-1)?.x ?? 0) + inches(120),
    }),
  })),
);

export const MountsDrawer = drawerOf(
  tableOf<BodyMount>((_, format) => ({
    list: 'mounts',
    caption: 'Body mounts',
    hint: 'Every one, left and right: the middle of its hole, the underside of its own bracket. Left of the middle is below 0. What each carries is calculated from the weights where nothing is said.',
    columns: MOUNTS(format),
    addLabel: 'Add a mount',
    file: 'mounts',
    newRow: (after, count) => ({
      id: freshId('mount'),
      name: `Mount ${count + 1}`,
      x: (after?.x ?? 0) + inches(30),
      y: after?.y ?? inches(-17),
      z: after?.z ?? 0,
      ...(after?.hole !== undefined && { hole: after.hole }),
      ...(after?.thickness !== undefined && { thickness: after.thickness }),
    }),
  })),
);

export const BoxesDrawer = drawerOf(
  tableOf<ClearBox>(() => ({
    list: 'boxes',
    caption: 'Parts that stay clear',
    hint: 'A box round each hump, tub, sill, tunnel or step that nothing of the frame may come into.',
    columns: BOXES,
    addLabel: 'Add a part',
    file: 'boxes',
    newRow: (after, count) => ({
      id: freshId('box'),
      name: `Part ${count + 1}`,
      kind: 'tub',
      front: (after?.rear ?? 0) + inches(2),
      rear: (after?.rear ?? 0) + inches(38),
      left: inches(-36),
      right: inches(-22),
      low: 0,
      high: inches(12),
    }),
  })),
  tableOf<ProfilePoint>(() => ({
    list: 'underside',
    caption: 'Floor, front to rear',
    hint: 'The lowest of the floor over the rails and between them, wherever it steps.',
    columns: PROFILE,
    addLabel: 'Add a point',
    newRow: (after) => ({ x: (after?.x ?? 0) + inches(40), z: after?.z ?? inches(4) }),
  })),
);

export const WeightsDrawer = drawerOf(
  tableOf<BodyMass>((body, format) => ({
    list: 'masses',
    caption: 'Weights of the body',
    hint: 'Its weights, and what it will carry, each where it balances: with them and the axle ratings the plan says what stands on each axle and on each mount.',
    columns: WEIGHTS(format),
    addLabel: 'Add a weight',
    file: 'weights',
    newRow: (_, count) => ({
      id: freshId('mass'),
      name: count === 0 ? 'Body, empty' : 'Load, even over the floor',
      mass: 500,
      x: (wheelbaseOf(body) ?? inches(120)) / 2,
      y: 0,
      z: inches(30),
    }),
  })),
);

export const OutlineDrawer = drawerOf(
  tableOf<ProfilePoint>(() => ({
    list: 'outline',
    caption: 'Outline of its side',
    hint: 'Corner by corner, going round from the front foot of its wall. For the drawing only: rough is enough.',
    columns: PROFILE,
    addLabel: 'Add a corner',
    newRow: (after) => ({ x: (after?.x ?? 0) + inches(12), z: after?.z ?? 0 }),
  })),
);

export const FendersDrawer = drawerOf(
  tableOf<Fender>(() => ({
    list: 'fenders',
    caption: 'Fenders',
    hint: 'How far their edges are from the middle of the body, both sides alike: whether they cover the tires.',
    columns: FENDERS,
    addLabel: 'Add a fender',
    newRow: (_after, count) => ({
      id: freshId('fender'),
      name: count === 0 ? 'Front fender' : 'Rear fender',
      over: count === 0 ? 'front' : 'rear',
      inner: inches(24),
      outer: inches(38),
    }),
  })),
  tableOf<BodyPoint>(() => ({
    list: 'points',
    caption: 'Steps, and what hangs low',
    hint: 'Treads that people step on; the lowest ahead of the front wheels and behind the rear ones: tail, step, light bar.',
    columns: POINTS,
    addLabel: 'Add a point',
    newRow: (after, count) => ({
      id: freshId('point'),
      name: count === 0 ? 'Entry step' : `Point ${count + 1}`,
      kind: count === 0 ? 'step' : 'hangs',
      x: (after?.x ?? 0) + inches(20),
      z: after?.z ?? 0,
    }),
  })),
);

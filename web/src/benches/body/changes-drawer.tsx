import {
  type Body,
  type BodyChange,
  type BodyEffects,
  changedBody,
  compareChanged,
  contextOf,
  inches,
} from '@splay/core';
import { useMemo, useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { selectedBody } from '../../client/selected-body.ts';
import { freshId } from '../../client/fresh-id.ts';
import { EditTable } from '../../ui/edit-table.tsx';
import { Length } from '../../ui/length.tsx';
import { choiceColumn, type Column, flagColumn, lengthColumn } from '../../ui/table-columns.ts';
import { putBody } from '../../ui/put-body.ts';

const COLUMNS: readonly Column<BodyChange>[] = [
  choiceColumn('of', 'Change of', '24%', [
    ['width', 'width, split at'],
    ['length', 'length, cut at'],
  ]),
  lengthColumn('at', 'Place: from the tape, or from the middle', '26%'),
  lengthColumn('by', 'By, less below 0', '24%'),
  flagColumn('off', 'Carried out', '26%', ['no: kept in the list', 'yes']),
];

/** What is done to the body at hand before it goes on, what is cut for that, and what it changes against leaving it. */
export function ChangesDrawer(bench: BenchProps) {
  const { job, canWrite } = bench;
  const body = selectedBody(job.bodies, bench.selected);
  const [problem, setProblem] = useState('');
  const { show } = useMemo(() => contextOf(job), [job]);
  if (!body) return <p className="text-pencil">There is no body yet: add one on the panel.</p>;
  const { lost, steel } = changedBody(body);
  return (
    <section aria-label="Changes to the body" className="max-w-3xl p-4">
      <h3 className="heading text-lg">What is done to {body.name} before it goes on</h3>
      <p className="mb-2 text-sm text-pencil">
        Made wider it is split there and both halves move outward by half; made longer it is cut across there and
        everything behind moves. Below 0 so much is taken out. Its tables stay as measured; the frame is matched with
        the body as changed. Brace it before it is cut.
      </p>
      {problem && (
        <p role="alert" className="mb-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem} Nothing was changed.
        </p>
      )}
      <EditTable<BodyChange>
        caption="Changes to the body"
        columns={COLUMNS}
        rows={body.changes}
        format={job.display}
        disabled={!canWrite}
        addLabel="Add a change"
        newRow={() => ({ id: freshId('change'), of: 'width', at: 0, by: inches(4), off: false })}
        onChange={(changes) => {
          const wrong = putBody(bench, 'Changed the body', { ...body, changes }, 'changes');
          setProblem(wrong.elsewhere);
          return wrong.cells;
        }}
      />
      {lost.length > 0 && (
        <p role="status" className="mt-3 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          Lost with what is taken out: {lost.join(', ')}. Move the place, or measure them where they go then.
        </p>
      )}
      {steel.length > 0 && (
        <>
          <h4 className="label mt-4 mb-1">To cut</h4>
          <ul>
            {steel.map(({ what, count, along, across }, index) => (
              <li key={index} className="flex justify-between border-b border-rule py-1">
                <span className="first-letter:uppercase">
                  {what}
                  {count > 1 ? `, ${count} of them` : ''}
                </span>
                <span>
                  <Length mm={along} format={job.display} className="font-semibold" />
                  {across === null ? (
                    <span className="text-pencil"> × not measured yet</span>
                  ) : (
                    <>
                      {' × '}
                      <Length mm={across} format={job.display} className="font-semibold" />
                    </>
                  )}
                </span>
              </li>
            ))}
          </ul>
          <Comparison bench={bench} body={body} show={show} />
        </>
      )}
    </section>
  );
}

/** What comes of the job with the changes, and without them. */
function Comparison({
  bench: { job, result },
  body,
  show,
}: {
  readonly bench: BenchProps;
  readonly body: Body;
  readonly show: (mm: number) => string;
}) {
  const compared = useMemo(() => compareChanged(job, body.id, result), [job, body.id, result]);
  if (!compared) return null;
  const orDash = (mm: number | null) => (mm === null ? '–' : show(mm));
  const rows: readonly (readonly [string, (effects: BodyEffects) => string])[] = [
    ['Wheelbase asked', ({ requiredWheelbase }) => orDash(requiredWheelbase)],
    [
      'Frame wider to bring every mount over a rail',
      ({ wider }) => (wider === null ? 'no one width does' : wider === 0 ? 'as it is' : show(wider)),
    ],
    ['Mounts beside the rail', ({ mountsBeside }) => String(mountsBeside)],
    ['Least a fender covers beyond the tire', ({ leastCover }) => orDash(leastCover)],
    ['Clashes', ({ clashes }) => String(clashes)],
    ['To decide on the plan', ({ toDecide }) => String(toDecide)],
  ];
  return (
    <table className="figures-table mt-4 w-full text-sm">
      <caption className="label pb-1 text-left">Against leaving the body as it is</caption>
      <thead className="text-left text-pencil">
        <tr className="border-b border-graphite">
          {['What', 'As it is', 'Changed'].map((head) => (
            <th key={head} scope="col" className="py-1 font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, tell]) => (
          <tr key={name} className="border-b border-rule">
            <th scope="row" className="py-1 pr-3 text-left font-normal">
              {name}
            </th>
            <td className="figures pr-3">{tell(compared.asItIs)}</td>
            <td className="figures pr-3 font-semibold">{tell(compared.changed)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

import { type Body, type BodyMass, inches, type LengthFormat, newBody } from '@splay/core';
import { useState } from 'react';
import { change } from '../../client/job-store.ts';
import { type CellProblem, EditTable } from '../../ui/edit-table.tsx';
import { LengthField } from '../../ui/length-field.tsx';
import { type Column, lengthColumn, massColumn, textColumn } from '../../ui/table-columns.ts';
import { TextField } from '../../ui/text-field.tsx';
import { editProblems } from '../../ui/check-edit.ts';
import type { PartProps } from './donor-part.tsx';
import { freshId } from '../../client/fresh-id.ts';

const columnsOf = (format: LengthFormat): readonly Column<BodyMass>[] => [
  textColumn('name', 'Weight', '38%'),
  massColumn('mass', 'Mass', '15%', format),
  lengthColumn('x', 'Behind its front opening', '19%'),
  lengthColumn('y', 'To the right', '13%'),
  lengthColumn('z', 'Height', '13%'),
];

/** The body as far as the frame must be made to fit and to carry it. */
export function BodyForm({ job, store, disabled }: Pick<PartProps, 'job' | 'store' | 'disabled'>) {
  const { display } = job;
  const body = job.body ?? newBody;
  const [problem, setProblem] = useState('');
  const put = (next: Partial<Body>): readonly CellProblem[] => {
    const edited = { ...body, ...next };
    const wrong = editProblems({ ...job, body: edited }, 'body.masses');
    setProblem(wrong?.elsewhere ?? '');
    if (wrong) return wrong.cells;
    change(store, 'Edited the body', (old) => ({ ...old, body: edited }));
    return [];
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Name" value={job.body?.name ?? ''} disabled={disabled} onChange={(name) => put({ name })} />
        <LengthField
          label="Wheel openings, centre to centre"
          mm={body.wheelbase}
          format={display}
          disabled={disabled}
          check={(mm) => (mm > 0 ? null : 'The distance must be more than 0.')}
          onChange={(wheelbase) => put({ wheelbase })}
        />
      </div>
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
      <p className="mt-3 mb-1 text-sm text-pencil">
        Its weights, and what it will carry, each where it balances: with them and the axle ratings the plan says what
        stands on each axle.
      </p>
      <EditTable<BodyMass>
        caption="Weights of the body"
        columns={columnsOf(display)}
        rows={body.masses}
        format={display}
        disabled={disabled}
        addLabel="Add a weight"
        newRow={(_, count) => ({
          id: freshId('mass'),
          name: count === 0 ? 'Body, empty' : 'Load, even over the floor',
          mass: 500,
          x: body.wheelbase / 2,
          y: 0,
          z: inches(30),
        })}
        onChange={(masses) => put({ masses })}
      />
    </>
  );
}

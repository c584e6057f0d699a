import {
  dotted,
  type LengthFormat,
  type MarkSheet,
  MARKS_RULES,
  markTables,
  type SheetCell,
  type SheetColumn,
  type SheetNote,
  type SheetTable,
} from '@splay/core';
import type { ReactNode } from 'react';
import { Length } from './length.tsx';
import { ReleaseNotice } from './release-notice.tsx';

interface MarksTablesProps {
  readonly sheet: MarkSheet;
  readonly display: LengthFormat;
  /** What stands between the notice that the sheet is not released and the marks. */
  readonly children?: ReactNode;
}

export function SheetFigure({ cell, display }: { readonly cell: SheetCell; readonly display: LengthFormat }) {
  return typeof cell === 'string' ? cell : <Length mm={cell.mm} format={display} />;
}

/** The marks of both rails, the checks that prove them, and the new steel: the same on screen and on paper. */
export function MarksTables({ sheet, display, children }: MarksTablesProps) {
  const tables = markTables(sheet);
  return (
    <div className="space-y-4">
      <ReleaseNotice sheet={sheet} />
      {children}
      {tables.length === 0 && (
        <p className="text-pencil">Nothing to mark yet: the plan cuts nothing. Add an operation on the Cuts bench.</p>
      )}
      {tables.map((table) => (
        <OneTable key={table.id} table={table} display={display} />
      ))}
      <Notes title="Notes" notes={sheet.notes} />
      <Notes title="Welds" notes={sheet.welds} />
      {tables.length > 0 && <p className="text-sm text-pencil">{MARKS_RULES}</p>}
      {sheet.assumptions.length > 0 && (
        <p className="text-xs text-pencil">
          The strength of the joints rests on:{' '}
          {sheet.assumptions
            .map(
              ({ what, value, source, changed }) =>
                `${what.toLowerCase()} ${value} (${changed ? 'set by the shop' : source})`,
            )
            .join('; ')}
          .
        </p>
      )}
    </div>
  );
}

/** What is said beside the tables, each with the letters it is about. */
function Notes({ title, notes }: { readonly title: string; readonly notes: readonly SheetNote[] }) {
  if (notes.length === 0) return null;
  return (
    <section>
      <h3 className="heading mb-1 text-lg">{title}</h3>
      <ul className="text-[0.95rem]">
        {notes.map(({ letters, text }) => (
          <li key={letters + text} className="border-b border-rule/70 py-0.5">
            <b className="heading mr-1.5 text-layout">{letters}</b>
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
}

function OneTable({ table, display }: { readonly table: SheetTable; readonly display: LengthFormat }) {
  return (
    <table className="marks w-full border-collapse" data-table={table.id}>
      <caption className="mb-1 text-left">
        <span className="heading block text-lg">{table.caption}</span>
        <span className="block text-xs text-pencil">{table.measured}.</span>
      </caption>
      <thead>
        <tr className="border-b border-graphite align-bottom text-sm text-pencil">
          <Head column={{ title: '', figure: false, bold: false, share: 1 }} name="Mark" />
          {table.columns.map((column, index) => (
            <Head key={index} column={column} name={index === 0 ? 'What' : ''} />
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, index) => (
          <tr key={index} className="border-b border-rule/70" data-mark={`${table.id} ${row.mark}`}>
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {row.lettered ? <b className="heading text-lg text-layout">{dotted(row.mark)}</b> : row.mark}
            </th>
            {row.cells.map((cell, at) => (
              <td key={at} className={cellLook(table.columns[at])}>
                <SheetFigure cell={cell} display={display} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const cellLook = (column: SheetColumn | undefined): string =>
  column?.bold ? 'figures text-lg font-semibold' : column?.figure ? 'figures' : 'min-w-24 pr-2 text-sm leading-tight';

function Head({ column, name }: { readonly column: SheetColumn; readonly name: string }) {
  return (
    <th scope="col" className={`py-0.5 font-normal ${column.figure ? 'figures' : 'pr-2 text-left'}`}>
      {column.title || <span className="sr-only">{name}</span>}
    </th>
  );
}

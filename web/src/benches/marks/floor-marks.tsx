import { type CutLine, dotted, MARKS_RULES, markSheet, markTables, type SheetRow, type SheetTable } from '@splay/core';
import { type ReactNode, useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { SheetFigure } from '../../ui/mark-sheet.tsx';
import { Scribed } from './scribed.tsx';
import { ReleaseNotice } from '../../ui/release-notice.tsx';
import { BeginAt } from '../../ui/begin-at.tsx';

/** The marks at the frame: one card a line, the figure large enough to read at arm's length. */
export function FloorMarks(props: BenchProps) {
  const { job, result } = props;
  const cautions = useCautions(props, 'cutting');
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  const tables = markTables(sheet);
  return (
    <div className="space-y-4 p-3">
      <ReleaseNotice sheet={sheet} />
      {tables.length === 0 && (
        <BeginAt store={props.store} bench="cuts" go="Plan the cuts">
          Nothing to mark yet: the plan cuts nothing.
        </BeginAt>
      )}
      {tables.length > 0 && <CautionList {...cautions} />}
      {tables.map((table) => (
        <section key={table.id}>
          <h2 className="heading text-xl">{table.caption}</h2>
          <p className="mb-1.5 text-sm text-pencil">{table.measured}.</p>
          <ul className="space-y-2">
            {table.rows.map((row, index) => (
              <li key={index}>
                <MarkCard table={table} row={row} display={job.display}>
                  {lineOf(sheet.lines, table.id, index, (line) => (
                    <Scribed bench={props} line={line} isStopped={sheet.stops.length > 0} />
                  ))}
                </MarkCard>
              </li>
            ))}
          </ul>
        </section>
      ))}
      {[...sheet.notes, ...sheet.welds].map(({ letters, text }) => (
        <p key={letters + text}>
          <b className="heading text-layout">{letters}</b> {text}
        </p>
      ))}
      {tables.length > 0 && <p className="text-sm text-pencil">{MARKS_RULES} Not an approval.</p>}
    </div>
  );
}

/** Something for the line that a row of a table is about; nothing where it is about no line. */
function lineOf(lines: readonly CutLine[], table: string, row: number, show: (line: CutLine) => ReactNode): ReactNode {
  const line = lines.filter(({ side }) => table === `lines-${side}`)[row];
  return line ? show(line) : null;
}

/** One row of the sheet: what it is, the bold figure large, and the others each with its name. */
function MarkCard({
  table,
  row,
  display,
  children,
}: {
  readonly children: ReactNode;
  readonly table: SheetTable;
  readonly row: SheetRow;
  readonly display: BenchProps['job']['display'];
}) {
  const cells = table.columns.map((column, index) => ({ column, cell: row.cells[index] ?? '' }));
  const said = cells.filter(({ column }) => !column.figure);
  const figures = cells.filter(({ column, cell }) => column.figure && cell !== '–');
  // The first of the figures to mark by is the largest.
  const [first, ...more] = figures.filter(({ column }) => column.bold);
  const bold = first ? [first] : figures.slice(0, 1);
  const others = [...more, ...figures.filter(({ column }) => !column.bold)].filter((one) => !bold.includes(one));
  return (
    <div className="border-2 border-graphite bg-sheet p-3">
      <div className="flex items-baseline justify-between gap-3">
        <span>
          <b className={`heading ${row.lettered ? 'text-2xl text-layout' : 'text-lg'}`}>
            {row.lettered ? dotted(row.mark) : row.mark}
          </b>{' '}
          <span className="text-[0.95rem]">
            {said
              .map(({ column, cell }) => `${column.title ? `${column.title.toLowerCase()} ` : ''}${String(cell)}`)
              .join(', ')}
          </span>
        </span>
        <span className="shrink-0 text-right">
          {bold.map(({ column, cell }) => (
            <span key={column.title} className="block">
              <span className="block text-xs text-pencil">{column.title}</span>
              <span className="heading block text-4xl">
                <SheetFigure cell={cell} display={display} />
              </span>
            </span>
          ))}
        </span>
      </div>
      {others.length > 0 && (
        <dl className="mt-1 flex flex-wrap gap-x-4 text-base text-pencil">
          {others.map(({ column, cell }) => (
            <div key={column.title} className="flex gap-1">
              <dt>{column.title}</dt>
              <dd className="font-semibold text-graphite">
                <SheetFigure cell={cell} display={display} />
              </dd>
            </div>
          ))}
        </dl>
      )}
      {children}
    </div>
  );
}

import { changeText, dotted, lengthText, lineChanges, markedLines, type MarkSheet, standing } from '@splay/core';
import { useState } from 'react';
import { api } from '../../client/api.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { PanelHeading } from '../../ui/panel.tsx';

type Paper = 'page' | 'letter' | 'a4';

/** Opens a sheet: a page to print in a tab of its own, or a PDF as a file. */
const addressOf = (job: string, paper: Paper, search: URLSearchParams): string => {
  if (paper === 'page') return `/print/${job}/marks?${search.toString()}`;
  search.set('paper', paper);
  return `/api/jobs/${job}/marks.pdf?${search.toString()}`;
};

/** Prints the marks, each time of the saved plan and under a number of its own, and says which sheets still hold. */
export function PrintSheet({ store, job, records, canRecord, sheet }: BenchProps & { readonly sheet: MarkSheet }) {
  const { id, saveState } = useJobState(store, (state) => ({ id: state.id, saveState: state.saveState }));
  const [part, setPart] = useState('all');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);
  const cuts = [...new Set(sheet.lines.map(({ letters }) => dotted(letters)))];
  const print = async (paper: Paper) => {
    setProblem('');
    // Opened at once: a tab that opens after an answer is taken for an advertisement.
    const tab = paper === 'page' ? window.open('about:blank', '_blank') : null;
    setBusy(true);
    const issued = canRecord ? await api.issueMarks(id) : null;
    setBusy(false);
    if (issued && !issued.ok) {
      tab?.close();
      return setProblem(issued.detail);
    }
    const search = new URLSearchParams({ zone: Intl.DateTimeFormat().resolvedOptions().timeZone });
    if (issued) search.set('sheet', issued.value.sheet);
    if (part === 'left' || part === 'right') search.set('rail', part);
    else if (part !== 'all') search.set('cut', part);
    const address = addressOf(id, paper, search);
    if (tab) tab.location.href = address;
    else location.assign(address);
  };
  return (
    <section className="space-y-1.5">
      <div className="grid grid-cols-3 gap-1.5">
        <div className="col-span-3">
          <Choice
            list
            label="Print"
            value={part}
            disabled={false}
            choices={[
              ['all', 'both rails'],
              ['left', 'left rail'],
              ['right', 'right rail'],
              ...cuts.map((letters) => [letters, `card ${letters}`] as const),
            ]}
            onChange={setPart}
          />
        </div>
        {(
          [
            ['page', 'Print page'],
            ['letter', 'PDF Letter'],
            ['a4', 'PDF A4'],
          ] as const
        ).map(([paper, name]) => (
          <button
            key={paper}
            type="button"
            className="button px-1"
            disabled={busy || saveState !== 'saved'}
            onClick={() => void print(paper)}
          >
            {name}
          </button>
        ))}
      </div>
      {saveState !== 'saved' && (
        <p role="status" className="border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          The last change is not saved yet: a sheet is printed of the saved plan.
        </p>
      )}
      {problem && (
        <p role="alert" className="border-l-4 border-oxide bg-oxide-wash px-3 py-1.5 text-sm">
          {problem}
        </p>
      )}
      <PrintedSheets id={id} records={records} sheet={sheet} display={job.display} />
    </section>
  );
}

/** The sheets that are out, newest first: which still hold, and what moved on the others. */
function PrintedSheets({
  id,
  records,
  sheet,
  display,
}: Pick<BenchProps, 'records'> & {
  readonly id: string;
  readonly sheet: MarkSheet;
  readonly display: BenchProps['job']['display'];
}) {
  const issued = standing(records, 'sheet-issued').toSorted((a, b) => b.body.number - a.body.number);
  if (issued.length === 0) return null;
  const now = markedLines(sheet);
  const show = (mm: number) => lengthText(mm, display, true);
  return (
    <>
      <PanelHeading>Printed sheets</PanelHeading>
      <ul className="text-sm">
        {issued.slice(0, 5).map((record) => {
          const [first, ...more] = lineChanges(record.body.lines, now);
          return (
            <li key={record.id} className="border-b border-rule/60 py-1">
              <a className="font-semibold underline underline-offset-2" href={`/sheets/${id}/${record.id}`}>
                Sheet {record.body.number}
              </a>{' '}
              {first ? (
                <span className="text-oxide">
                  out of date: {changeText(first, show)}
                  {more.length > 0 && `, and ${more.length} more`}
                </span>
              ) : (
                'no line has moved since'
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

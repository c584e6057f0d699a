import { formatLength, lineName, markSheet } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { Length } from '../../ui/length.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { ReleaseNotice } from '../../ui/release-notice.tsx';
import { PrintSheet } from './print-sheet.tsx';
import { linesByCut, mainFigure } from './cut-lines.ts';
import { BeginAt } from '../../ui/begin-at.tsx';

/** Whether the marks may be cut by, the lines one after the other, and the sheet for the wall. */
export function MarksPanel(props: BenchProps) {
  const { job, result, selected, onSelect } = props;
  const cautions = useCautions(props, 'cutting');
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  const lines = linesByCut(sheet.lines);
  return (
    <div className="space-y-3">
      <ReleaseNotice sheet={sheet} />
      <PrintSheet {...props} sheet={sheet} />
      {lines.length > 0 ? (
        <section>
          <PanelHeading aside={<span>along the rail</span>}>From the {sheet.datum.toLowerCase()}</PanelHeading>
          <ul>
            {lines.map(({ key, letters, operation, left, right }) => {
              const [first, other] = left ? [left, right] : [right, null];
              if (!first) return null;
              const figure = mainFigure(first);
              const onRight = other && mainFigure(other);
              const differs =
                onRight && formatLength(figure.mm, job.display).text !== formatLength(onRight.mm, job.display).text;
              return (
                <li key={key} className="border-b border-rule/60">
                  <button
                    type="button"
                    aria-pressed={selected === operation}
                    className={`flex w-full items-baseline gap-2 py-1.5 text-left ${selected === operation ? 'bg-layout-wash' : ''}`}
                    onClick={() => onSelect(operation)}
                  >
                    <span className="heading bg-layout px-1.5 text-sheet">{letters}</span>
                    <span className="text-sm text-pencil">{lineName(first)}</span>
                    <span className="ml-auto text-right">
                      <Length mm={figure.mm} format={job.display} className="heading text-xl" />
                      {figure.along !== 'top edge' && (
                        <span className="block text-sm text-pencil">along the {figure.along}</span>
                      )}
                      {differs && (
                        <span className="block text-sm">
                          right <Length mm={onRight.mm} format={job.display} className="font-semibold" />
                        </span>
                      )}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      ) : (
        <BeginAt store={props.store} bench="cuts" go="Plan the cuts">
          Nothing to mark yet: the plan cuts nothing.
        </BeginAt>
      )}
      <CautionList {...cautions} />
    </div>
  );
}

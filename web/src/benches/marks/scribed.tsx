import { changeText, type CutLine, lengthText, lettersToKeep, lineChanges, markedLine, standing } from '@splay/core';
import { Check, OctagonX } from 'lucide-react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change, recordNow } from '../../client/job-store.ts';
import { momentWords } from '../../ui/moment-words.ts';

interface ScribedProps {
  readonly bench: BenchProps;
  readonly line: CutLine;
  /** Something stops the plan: nothing is scribed by it. */
  readonly isStopped: boolean;
}

/** Whether a line is on the steel, who scribed it when, and whether it has moved since; and the key that says so. */
export function Scribed({ bench, line, isStopped }: ScribedProps) {
  const { store, job, result, records, canRecord, canWrite, onRecord } = bench;
  const now = markedLine(line);
  const last = standing(records, 'line-scribed').findLast(
    ({ body }) =>
      body.letters === now.letters && body.side === now.side && body.part === now.part && body.kerf === now.kerf,
  );
  const [moved] = last ? lineChanges([last.body], [now]) : [];
  const show = (mm: number) => lengthText(mm, job.display, true);
  const scribe = () => {
    // From now on its letters stay: they are on the steel.
    if (canWrite)
      change(store, `Letters kept: ${now.letters.replace(' ', '·')} scribed`, (old) => {
        const letters = lettersToKeep(result, old.plan.letters);
        return letters.length === (old.plan.letters?.length ?? 0) ? old : { ...old, plan: { ...old.plan, letters } };
      });
    onRecord(recordNow(store, 'line-scribed', now));
  };
  return (
    <div className="mt-2 flex flex-wrap items-center justify-between gap-2 border-t border-rule pt-2">
      {last && !moved && (
        <p className="flex items-center gap-1.5">
          <Check size={18} className="text-passed" aria-hidden="true" />
          Scribed by {last.by}, {momentWords(last.taken)}
        </p>
      )}
      {last && moved && (
        <p role="alert" className="flex items-start gap-1.5 font-semibold text-oxide">
          <OctagonX size={18} className="mt-0.5 shrink-0" aria-hidden="true" />
          <span>
            The line on the steel is wrong now. {changeText(moved, show)}. Scribed by {last.by},{' '}
            {momentWords(last.taken)}.
          </span>
        </p>
      )}
      {canRecord && (!last || moved) && (
        <button type="button" className="button ml-auto min-h-12" disabled={isStopped} onClick={scribe}>
          {moved ? 'Scribed again' : 'Scribed'}
        </button>
      )}
    </div>
  );
}

import { markSheet } from '@splay/core';
import { useMemo } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { useJobState } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { MarksTables } from '../../ui/marks-tables.tsx';

/** The lines to scribe on both rails, on screen and on paper. */
export function MarksBench(props: BenchProps) {
  const { store, job, result } = props;
  const { id, saveState } = useJobState(store, (state) => ({ id: state.id, saveState: state.saveState }));
  const cautions = useCautions(props, 'cutting');
  const sheet = useMemo(() => markSheet(job, result), [job, result]);
  return (
    <>
      <div className="mb-3 flex items-center gap-2">
        <h2 className="heading flex-1 text-xl">Marks from the {sheet.datum.toLowerCase()}</h2>
        <a className="button" href={`/print/${id}/marks`} target="_blank" rel="noreferrer">
          Print page
        </a>
        <a className="button" href={`/api/jobs/${id}/marks.pdf?paper=a4`}>
          PDF A4
        </a>
        <a className="button" href={`/api/jobs/${id}/marks.pdf?paper=letter`}>
          PDF Letter
        </a>
      </div>
      {saveState !== 'saved' && (
        <p role="status" className="mb-2 border-l-4 border-ochre bg-ochre-wash px-3 py-1.5 text-sm">
          The last change is not saved yet: print and PDF show the saved plan.
        </p>
      )}
      <MarksTables sheet={sheet} display={job.display}>
        <CautionList {...cautions} />
      </MarksTables>
    </>
  );
}

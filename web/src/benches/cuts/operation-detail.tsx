import {
  dotted,
  isMet,
  type Job,
  nameOfKind,
  type Operation,
  type OperationOutcome,
  type PlanResult,
  withMoreWheelbase,
  withOperation,
} from '@splay/core';
import { change, type JobStore } from '../../client/job-store.ts';
import { Length } from '../../ui/length.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { OperationFields } from './operation-fields.tsx';

interface OperationDetailProps {
  readonly store: JobStore;
  readonly job: Job;
  readonly result: PlanResult;
  readonly outcome: OperationOutcome;
  readonly canWrite: boolean;
}

/** One operation: its figures to type, its geometry, and whether it gives the body what it asks for. */
export function OperationDetail({ store, job, result, outcome, canWrite }: OperationDetailProps) {
  const { operation, letters } = outcome;
  const set = (next: Operation) =>
    change(store, `Changed ${nameOfKind(next.kind).toLowerCase()}`, (old) => ({
      ...old,
      plan: withOperation(old.plan, next),
    }));
  return (
    <section aria-label={nameOfKind(operation.kind)} className="mt-3">
      <h2 className="heading flex items-center gap-2 text-xl">
        {nameOfKind(operation.kind)}
        {letters.length > 0 && <span className="bg-layout px-2 text-sheet">{dotted(letters)}</span>}
      </h2>
      <div className="mt-2 space-y-2.5">
        <OperationFields operation={operation} job={job} result={result} disabled={!canWrite} onChange={set} />
      </div>
      {(operation.kind === 'lengthen' || operation.kind === 'shorten') && (
        <BodyTasks job={job} result={result} operation={operation} disabled={!canWrite} onChange={set} />
      )}
      <label className="mt-2.5 block text-sm text-pencil">
        Note
        <textarea
          className="field mt-1 min-h-9 py-1 text-graphite"
          rows={operation.note.length > 40 ? 2 : 1}
          key={operation.note}
          defaultValue={operation.note}
          disabled={!canWrite}
          maxLength={2000}
          onBlur={(event) => event.target.value !== operation.note && set({ ...operation, note: event.target.value })}
        />
      </label>
    </section>
  );
}

/** What the body still asks of the wheelbase, and one press to give it. */
function BodyTasks({
  job,
  result,
  operation,
  disabled,
  onChange,
}: {
  readonly job: Job;
  readonly result: PlanResult;
  readonly operation: Operation;
  readonly disabled: boolean;
  readonly onChange: (operation: Operation) => void;
}) {
  const asks = result.seats.find(({ wheelbase }) => wheelbase !== null)?.wheelbase;
  if (!asks) return null;
  const { overDonor: asked, overPlan: left } = asks;
  const there = isMet(left);
  // Nothing green stands beside a stop.
  const stopped = result.conflicts.some(({ severity }) => severity === 'stop');
  const met = withMoreWheelbase(operation, left);
  return (
    <div
      className={`mt-3 border-l-4 px-3 py-1.5 ${!there ? 'border-ochre bg-ochre-wash' : stopped ? 'border-pencil bg-bench' : 'border-passed bg-passed-wash'}`}
    >
      <Verdict kind={!there ? 'warn' : stopped ? 'note' : 'good'}>
        The body asks for <Length mm={Math.abs(asked)} format={job.display} className="font-semibold" />{' '}
        {asked > 0 ? 'more' : 'less'} wheelbase.{' '}
        {there ? (
          stopped ? (
            'The plan gives that, but something stops it.'
          ) : (
            'You are there.'
          )
        ) : (
          <>
            Still <Length mm={Math.abs(left)} format={job.display} className="font-semibold" />{' '}
            {left > 0 ? 'short' : 'too long'}.
          </>
        )}
      </Verdict>
      {!there && met && (
        <button type="button" className="button mt-1.5" disabled={disabled} onClick={() => onChange(met)}>
          Make it meet
        </button>
      )}
    </div>
  );
}

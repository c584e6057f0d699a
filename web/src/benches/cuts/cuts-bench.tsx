import {
  datumStation,
  donorOf,
  freshId,
  inches,
  justBehind,
  newOperation,
  OPERATION_NAMES,
  type OperationKind,
  OPERATION_KINDS,
} from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { change } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { ComparePlans } from './compare-plans.tsx';
import { ConflictList } from './conflict-list.tsx';
import { JointTable } from './joint-table.tsx';
import { MovesWithIt } from './moves-with-it.tsx';
import { OperationDetail } from './operation-detail.tsx';
import { OperationList } from './operation-list.tsx';
import { PlanHead } from './plan-head.tsx';

/** Where to cut and what to do there: the operations in order, the one at hand, and what follows from it. */
export function CutsBench(props: BenchProps) {
  const { store, job, result, donor, readings, canWrite, selected, onSelect, onPickConflict } = props;
  const cautions = useCautions(props, 'cutting');
  const [asked, setAsked] = useState<OperationKind | ''>('');
  const [comparing, setComparing] = useState(false);
  // Picking a feature on the drawing keeps the operation that was at hand.
  const [last, setLast] = useState<string | null>(null);
  const find = (id: string | null) => result.operations.find((candidate) => candidate.operation.id === id);
  const outcome = find(selected) ?? find(last) ?? result.operations[0];
  if (selected !== last && find(selected)) setLast(selected);
  const operation = outcome?.operation;
  const conflicts = result.conflicts.filter((conflict) => conflict.operation === operation?.id);
  const others = result.conflicts.filter((conflict) => conflict.operation !== operation?.id);

  const add = (kind: OperationKind) => {
    const id = freshId(job.plan);
    const near = result.joints.find((joint) => joint.operation === operation?.id)?.builtX;
    const beside = (near !== undefined ? donorOf(result.tape, near) : null) ?? datumStation(job.donor);
    // Here: behind what is picked on the drawing, else a foot behind the cut at hand.
    const start = justBehind(job.donor, selected, job.rules) ?? beside + inches(12);
    const fresh = newOperation(kind, id, start, job.donor, selected);
    change(store, `Added ${OPERATION_NAMES[kind].toLowerCase()}`, (old) => ({
      ...old,
      plan: { ...old.plan, operations: [...old.plan.operations, fresh] },
    }));
    onSelect(id);
    setAsked('');
  };

  const acceptSplit = (group: string, reason: string) =>
    change(store, 'Accepted a group split', (old) => ({
      ...old,
      plan: {
        ...old.plan,
        accepted: [...old.plan.accepted.filter((entry) => entry.group !== group), { group, reason }],
      },
    }));
  const listed = { onPick: onPickConflict, ...(canWrite ? { onAcceptSplit: acceptSplit } : {}) };

  return (
    <>
      <PlanHead store={store} job={job} canWrite={canWrite} onCompare={() => setComparing(true)} />
      {comparing && (
        <ComparePlans
          store={store}
          job={job}
          donor={donor}
          readings={readings}
          canWrite={canWrite}
          onClose={() => setComparing(false)}
        />
      )}
      <OperationList
        store={store}
        result={result}
        canWrite={canWrite}
        selected={operation?.id ?? null}
        onSelect={onSelect}
        job={job}
      />
      {canWrite && (
        <label className="mt-2 block">
          <span className="sr-only">New operation</span>
          <select
            className="field"
            data-key="new-operation"
            value={asked}
            onChange={(event) => add(event.target.value as OperationKind)}
          >
            <option value="">New operation …</option>
            {OPERATION_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {OPERATION_NAMES[kind]}
              </option>
            ))}
          </select>
        </label>
      )}
      {!operation && (
        <p className="mt-4 text-pencil">
          Nothing is planned yet. Begin with the length the body asks for, or with the cut you have in mind.
        </p>
      )}
      {outcome && operation && (
        <>
          <OperationDetail
            key={operation.id}
            store={store}
            job={job}
            result={result}
            outcome={outcome}
            canWrite={canWrite}
          />
          <JointTable
            joints={result.joints.filter((joint) => joint.operation === operation.id)}
            display={job.display}
          />
          {conflicts.length > 0 && (
            <>
              <PanelHeading>This place</PanelHeading>
              <ConflictList conflicts={conflicts} {...listed} />
            </>
          )}
          <MovesWithIt result={result} operation={operation.id} display={job.display} />
        </>
      )}
      {operation && (
        <div className="mt-5">
          <CautionList {...cautions} />
        </div>
      )}
      {others.length > 0 && (
        <>
          <PanelHeading aside={<span>{others.length}</span>}>Everywhere else</PanelHeading>
          <ConflictList conflicts={others} {...listed} />
        </>
      )}
    </>
  );
}

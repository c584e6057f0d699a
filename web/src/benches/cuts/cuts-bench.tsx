import { type Conflict, kindsFor, nameOfKind, type OperationKind } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { goToBench } from '../../client/go-to-bench.ts';
import { useJobState } from '../../client/job-store.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { ConflictList } from '../../ui/conflict-list.tsx';
import { SolidCheckList } from './solid-check-list.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';
import { addOperation } from './add-operation.ts';
import { JointTable } from './joint-table.tsx';
import { MovesWithIt } from './moves-with-it.tsx';
import { OperationDetail } from './operation-detail.tsx';
import { OperationList } from './operation-list.tsx';
import { PlanHead } from './plan-head.tsx';
import { StopNotice } from './stop-notice.tsx';
import { Waits } from '../../ui/waits.tsx';
import { lazyComponent } from '../../client/lazy-component.tsx';

/** Loaded when plans are held against each other. */
const ComparePlans = lazyComponent(() => import('./compare-plans.tsx').then((file) => file.ComparePlans));

/** Where to cut and what to do there: the operations in order, the one at hand, and what follows from it. */
export function CutsBench(props: BenchProps) {
  const { store, job, result, donor, readings, canWrite, selected, onSelect, onPickConflict } = props;
  const cautions = useCautions(props, 'cutting');
  const [asked, setAsked] = useState<OperationKind | ''>('');
  const comparing = useJobState(store, ({ drawer }) => drawer === 'compare');
  const compare = (open: boolean) => store.setState({ drawer: open ? 'compare' : null });
  // Picking a feature on the drawing keeps the operation that was at hand.
  const [last, setLast] = useState<string | null>(null);
  const find = (id: string | null) => result.operations.find((candidate) => candidate.operation.id === id);
  const outcome = find(selected) ?? find(last) ?? result.operations[0];
  if (selected !== last && find(selected)) setLast(selected);
  const operation = outcome?.operation;
  const [own, far] = [true, false].map((here) =>
    result.conflicts.filter((conflict) => (conflict.operation === operation?.id) === here),
  ) as [Conflict[], Conflict[]];
  const isStop = ({ severity }: Conflict) => severity === 'stop';
  const stops = [...own.filter(isStop), ...far.filter(isStop)];
  const conflicts = own.filter((conflict) => !isStop(conflict));
  const others = far.filter((conflict) => !isStop(conflict));

  const add = (kind: OperationKind) => {
    addOperation(store, result, kind);
    setAsked('');
  };

  const actions = useConflictActions(props);
  const listed = { onPick: onPickConflict, actions };

  return (
    <>
      <PlanHead store={store} job={job} canWrite={canWrite} onCompare={() => compare(true)} />
      {comparing && (
        <Waits>
          <ComparePlans
            store={store}
            job={job}
            donor={donor}
            readings={readings}
            canWrite={canWrite}
            onClose={() => compare(false)}
          />
        </Waits>
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
            {kindsFor(job.donor).map((kind) => (
              <option key={kind} value={kind}>
                {nameOfKind(kind)}
              </option>
            ))}
          </select>
        </label>
      )}
      {stops.length > 0 && (
        <div className="mt-3">
          <StopNotice stops={stops} {...listed} />
        </div>
      )}
      {!operation && (
        <>
          <p className="mt-4 text-pencil">
            Nothing is planned yet. Begin with the length the body asks for, or with the cut you have in mind.
          </p>
          <button type="button" className="button mt-2" onClick={() => goToBench(store, 'where')}>
            Look where to cut
          </button>
        </>
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
              <ConflictList opened conflicts={conflicts} {...listed} />
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
      <SolidCheckList store={store} listed={listed} />
      {others.length > 0 && (
        <>
          <PanelHeading aside={<span>{others.length}</span>}>Everywhere else</PanelHeading>
          <ConflictList conflicts={others} {...listed} />
        </>
      )}
    </>
  );
}

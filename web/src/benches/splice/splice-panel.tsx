import { type Job, lastHanger, type PlanResult, ruleValue } from '@splay/core';
import type { BenchProps } from '../../client/bench-props.ts';
import { useCautions } from '../../client/use-cautions.ts';
import { CautionList } from '../../ui/caution-list.tsx';
import { ConflictList } from '../../ui/conflict-list.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { useConflictActions } from '../../ui/use-conflict-actions.ts';
import { pickJoint, useSelection } from './selection.ts';
import { CouponList } from './coupon-list.tsx';
import { FatigueList } from './fatigue-list.tsx';
import { FittingFields } from './fitting-fields.tsx';
import { FormFields } from './form-fields.tsx';
import { JointList } from './joint-list.tsx';
import { MadeAlike } from './made-alike.tsx';
import { PlateFields } from './plate-fields.tsx';
import { SleeveFields } from './sleeve-fields.tsx';
import { NotDecided, Stronger } from './stronger.tsx';
import { WeldFields } from './weld-fields.tsx';
import { BeginAt } from '../../ui/begin-at.tsx';

/** Whether the steel and the shop's school of practice let a joint be welded there. */
const mayWeld = ({ donor: { material }, rules }: Job, { features }: PlanResult, builtX: number): boolean =>
  material.weldable &&
  !material.heatTreated &&
  (ruleValue(rules, 'weld/ahead-of-hanger') === 1 || builtX >= lastHanger(features));

/** Every joint with what it carries, the one at hand and how it is made, and what would make it stronger. */
export function SplicePanel(props: BenchProps) {
  const { store, job, result, canWrite, onPickConflict } = props;
  const cautions = useCautions(props, 'welding');
  const hand = useSelection(props);
  const actions = useConflictActions(props);
  if (!hand)
    return (
      <>
        <BeginAt store={store} bench="cuts" go="Plan the cuts">
          There is no joint yet: put a cut in the plan, and what it joins is made here.
        </BeginAt>
        <FittingFields {...{ store, job, result }} disabled={!canWrite} />
      </>
    );
  const { outcome, one } = hand;
  const { joint, decided } = outcome;
  const own = result.conflicts.filter(
    ({ code, about, operation }) =>
      (code.startsWith('splice-') && (about === joint.id || code.endsWith(joint.id.replace('/', '-')))) ||
      ((code === 'near-joint' || code === 'identity-stamp' || code === 'not-weldable' || code === 'ahead-of-hanger') &&
        operation === joint.operation &&
        (about === joint.id || code === 'near-joint' || code === 'identity-stamp')),
  );
  const fields = { store, job, hand, disabled: !canWrite };
  const said = own.length > 0 && (
    <>
      <PanelHeading>This joint</PanelHeading>
      <ConflictList opened conflicts={own} onPick={onPickConflict} actions={actions} />
    </>
  );
  return (
    <>
      <JointList
        splices={result.splices}
        asked={ruleValue(job.rules, 'splice/ratio')}
        at={outcome}
        onPick={(id) => pickJoint(store, id)}
      />
      {decided === null ? (
        <>
          <NotDecided {...fields} weldable={mayWeld(job, result, joint.builtX)} />
          {said}
        </>
      ) : (
        <>
          <Stronger {...fields} />
          {said}
          <PanelHeading>Form</PanelHeading>
          <FormFields {...fields} />
          {one.splice.form.form !== 'bolted' && (
            <>
              <PanelHeading>Weld</PanelHeading>
              <WeldFields {...fields} />
            </>
          )}
          <PanelHeading aside={<span>{one.splice.plates.length || ''}</span>}>Plates</PanelHeading>
          <PlateFields {...fields} />
          <PanelHeading>Sleeve</PanelHeading>
          <SleeveFields {...fields} />
          <MadeAlike {...fields} splices={result.splices} />
        </>
      )}
      <FittingFields {...{ store, job, result }} disabled={!canWrite} />
      <CouponList {...props} />
      <FatigueList job={job} one={one} {...(canWrite && { store })} />
      <div className="mt-5">
        <CautionList {...cautions} />
      </div>
    </>
  );
}

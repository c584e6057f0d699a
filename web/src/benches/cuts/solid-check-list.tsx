import { useSolidCheck } from '../../client/solid-check.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { type ConflictActions, ConflictList } from '../../ui/conflict-list.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';

interface SolidCheckListProps extends Pick<BenchProps, 'store'> {
  readonly listed: { readonly onPick: BenchProps['onPickConflict']; readonly actions: ConflictActions | undefined };
}

/** What the check in 3D found, or that it is under way, or why there is none. */
export function SolidCheckList({ store, listed }: SolidCheckListProps) {
  const { state, conflicts, problem } = useSolidCheck(store);
  return (
    <>
      <PanelHeading>Check in 3D</PanelHeading>
      {state === 'checking' && <p className="text-pencil">Checking the steel in 3D …</p>}
      {state === 'failed' && <Verdict kind="warn">Not checked in 3D: {problem} What overlaps is not known.</Verdict>}
      {state === 'done' && conflicts.length === 0 && (
        <p className="text-pencil">
          Nothing that is measured overlaps more than on the donor, every plate lies on its rail, and each crossmember
          has rails beside it. What was not measured is not checked.
        </p>
      )}
      {conflicts.length > 0 && <ConflictList opened conflicts={conflicts} {...listed} />}
    </>
  );
}

import { useSolidCheck } from '../../client/solid-check.ts';
import type { BenchProps } from '../../client/bench-props.ts';
import { type ConflictActions, ConflictList } from '../../ui/conflict-list.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Verdict } from '../../ui/verdict.tsx';

interface SolidCheckListProps extends Pick<BenchProps, 'store'> {
  readonly listed: { readonly onPick: BenchProps['onPickConflict']; readonly actions: ConflictActions | undefined };
}

/** The findings of the check in 3D, its progress, or the reason that it failed. */
export function SolidCheckList({ store, listed }: SolidCheckListProps) {
  const { state, conflicts, problem } = useSolidCheck(store);
  return (
    <>
      <PanelHeading>Check in 3D</PanelHeading>
      {state === 'checking' && <p className="text-pencil">Checking in 3D …</p>}
      {state === 'failed' && <Verdict kind="warn">Not checked in 3D: {problem} Overlaps are unknown.</Verdict>}
      {state === 'done' && conflicts.length === 0 && (
        <p className="text-sm text-pencil">
          No overlaps found. Plates touch their rails and crossmembers reach both. Not checked: brackets, caps, tires,
          lines, and anything not measured.
        </p>
      )}
      {conflicts.length > 0 && <ConflictList opened conflicts={conflicts} {...listed} />}
    </>
  );
}

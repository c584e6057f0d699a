import { acceptedText, type Conflict, type PlanEdit, type SuggestedFix } from '@splay/core';
import { eachByKey } from './each-by-key.ts';
import { memoized } from './memoized.ts';
import { Verdict } from './verdict.tsx';
import { AcceptConflict } from './accept-conflict.tsx';

/** What can be done about conflicts; none of it where nothing may be changed. */
export interface ConflictActions {
  /** The suggested fixes of a conflict that work, each tried on a copy of the job. */
  readonly tried: (conflict: Conflict) => readonly SuggestedFix[];
  /** One edit that takes off everything that stands in the way of an operation; null where there is none such. */
  readonly removeFirst: (stops: readonly Conflict[]) => SuggestedFix | null;
  /** Carries out a suggested fix as one step of undo. */
  readonly onEdit: (edit: PlanEdit, label: string) => void;
  readonly onAccept: (conflict: Conflict, reason: string) => void;
  readonly onTakeBack: (conflict: Conflict) => void;
}

interface ConflictListProps {
  readonly conflicts: readonly Conflict[];
  readonly onPick: (conflict: Conflict) => void;
  readonly actions?: ConflictActions | undefined;
  /** What stops the plan or asks for a decision begins with its suggested fixes in sight. */
  readonly opened?: boolean;
}

/** Conflicts with their reasons and suggested fixes; pressing one goes to its place. */
export function ConflictList({ conflicts, onPick, actions, opened = false }: ConflictListProps) {
  return (
    <ul className="space-y-1 text-[0.92rem]">
      {eachByKey(conflicts, ({ key }) => key).map(([name, conflict]) => (
        <ConflictItem key={name} {...{ conflict, onPick, actions, opened }} />
      ))}
    </ul>
  );
}

interface ConflictItemProps extends Omit<ConflictListProps, 'conflicts'> {
  readonly conflict: Conflict;
}

const ConflictItem = memoized(function ConflictItem({ conflict, onPick, actions, opened }: ConflictItemProps) {
  return (
    <li>
      <details open={opened && conflict.severity !== 'note'}>
        <summary className="cursor-pointer list-none hover:underline" onClick={() => onPick(conflict)}>
          <Verdict kind={conflict.severity}>
            {conflict.message}
            {conflict.accepted && <span className="block text-sm text-pencil">{acceptedText(conflict.accepted)}</span>}
          </Verdict>
        </summary>
        <div className="mt-1 mb-2 ml-6">
          <SuggestedFixes conflict={conflict} actions={actions} />
        </div>
      </details>
    </li>
  );
});

/** CutOptions out of a conflict: buttons that do what they say, advice in plain words, and accepting it with a reason. */
export function SuggestedFixes({
  conflict,
  actions,
}: {
  readonly conflict: Conflict;
  readonly actions: ConflictActions | undefined;
}) {
  const { accepted, acceptable } = conflict;
  const fixes = actions && !accepted ? actions.tried(conflict) : conflict.fixes;
  const advice = fixes.filter(({ edit }) => edit === null || !actions);
  return (
    <>
      {actions && !accepted && (
        <div className="flex flex-wrap gap-1.5">
          {fixes.map(({ say, edit }) =>
            edit ? (
              <button
                key={say}
                type="button"
                className="button min-h-8 py-1 text-left leading-tight whitespace-normal"
                onClick={() => actions.onEdit(edit, say)}
              >
                {say}
              </button>
            ) : null,
          )}
        </div>
      )}
      {!accepted && advice.length > 0 && (
        <ul className="mt-1 list-disc pl-4 text-sm text-pencil">
          {advice.map(({ say }) => (
            <li key={say}>{say}</li>
          ))}
        </ul>
      )}
      {actions && acceptable && !accepted && (
        <AcceptConflict onAccept={(reason) => actions.onAccept(conflict, reason)} />
      )}
      {actions && accepted && (
        <button
          type="button"
          className="text-sm text-layout underline underline-offset-2"
          onClick={() => actions.onTakeBack(conflict)}
        >
          Do not accept it any more<span className="sr-only">: {conflict.message}</span>
        </button>
      )}
    </>
  );
}

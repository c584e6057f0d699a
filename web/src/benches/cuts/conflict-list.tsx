import type { Conflict } from '@splay/core';
import { Verdict } from '../../ui/verdict.tsx';
import { AcceptSplit } from './accept-split.tsx';

interface ConflictListProps {
  readonly conflicts: readonly Conflict[];
  readonly onPick: (conflict: Conflict) => void;
  /** Accepts a group that the plan pulls apart; not given where nothing may be changed. */
  readonly onAcceptSplit?: (group: string, reason: string) => void;
}

/** Conflicts with their reasons and ways out; pressing one goes to its place. */
export function ConflictList({ conflicts, onPick, onAcceptSplit }: ConflictListProps) {
  return (
    <ul className="space-y-1 text-[0.92rem]">
      {conflicts.map((conflict, index) => (
        <li key={`${conflict.code}${conflict.about}${index}`}>
          <details>
            <summary className="cursor-pointer list-none hover:underline" onClick={() => onPick(conflict)}>
              <Verdict kind={conflict.severity}>{conflict.message}</Verdict>
            </summary>
            {conflict.waysOut.length > 0 && (
              <ul className="mt-0.5 mb-1 ml-6 list-disc pl-3 text-sm text-pencil">
                {conflict.waysOut.map((way) => (
                  <li key={way}>{way}</li>
                ))}
              </ul>
            )}
            {conflict.code === 'group-split' && conflict.severity === 'stop' && conflict.about && onAcceptSplit && (
              <AcceptSplit onAccept={(reason) => onAcceptSplit(conflict.about ?? '', reason)} />
            )}
          </details>
        </li>
      ))}
    </ul>
  );
}

import type { Conflict } from '@splay/core';
import { Verdict } from '../../ui/verdict.tsx';

/** Conflicts with their reasons; pressing one goes to its place. */
export function ConflictList({
  conflicts,
  onSelect,
}: {
  readonly conflicts: readonly Conflict[];
  readonly onSelect: (id: string) => void;
}) {
  return (
    <ul className="space-y-1 text-[0.92rem]">
      {conflicts.map((conflict, index) => (
        <li key={`${conflict.code}${conflict.about}${index}`}>
          <details>
            <summary
              className="list-none"
              onClick={() =>
                conflict.about &&
                onSelect(conflict.operation && conflict.code.startsWith('joint') ? conflict.operation : conflict.about)
              }
            >
              <Verdict kind={conflict.severity}>{conflict.message}</Verdict>
            </summary>
            {conflict.waysOut.length > 0 && (
              <ul className="mt-0.5 mb-1 ml-6 list-disc pl-3 text-sm text-pencil">
                {conflict.waysOut.map((way) => (
                  <li key={way}>{way}</li>
                ))}
              </ul>
            )}
          </details>
        </li>
      ))}
    </ul>
  );
}

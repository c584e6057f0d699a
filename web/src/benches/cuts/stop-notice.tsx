import type { Conflict } from '@splay/core';
import { OctagonX } from 'lucide-react';
import { type ConflictActions, SuggestedFixes } from '../../ui/conflict-list.tsx';
import { eachByKey } from '../../ui/each-by-key.ts';

interface StopNoticeProps {
  /** What stops the plan, the one at hand first. */
  readonly stops: readonly Conflict[];
  readonly onPick: (conflict: Conflict) => void;
  readonly actions?: ConflictActions | undefined;
}

/** A stop, over everything else of the panel: nothing good is said beside it. */
export function StopNotice({ stops, onPick, actions }: StopNoticeProps) {
  if (stops.length === 0) return null;
  const first = actions?.removeFirst(stops);
  return (
    <section
      role="alert"
      aria-label={`${stops.length} ${stops.length === 1 ? 'thing stops' : 'things stop'} this plan`}
      className="mb-3 border-2 border-oxide bg-oxide-wash px-3 py-2"
    >
      <h2 className="heading flex items-center gap-2 text-lg text-oxide">
        <OctagonX size={18} strokeWidth={2.4} aria-hidden="true" />
        {stops.length === 1 ? '1 thing stops this plan' : `${stops.length} things stop this plan`}
      </h2>
      {first?.edit && (
        <button
          type="button"
          className="button mt-1.5 w-full"
          onClick={() => first.edit && actions?.onEdit(first.edit, first.say)}
        >
          {first.say}
        </button>
      )}
      <ul className="mt-1 space-y-1.5 text-[0.92rem]">
        {eachByKey(stops, ({ key }) => key).map(([name, stop], index) => (
          <li key={name}>
            <details open={index < OPENED}>
              <summary className="cursor-pointer list-none font-semibold hover:underline" onClick={() => onPick(stop)}>
                {stop.message}
              </summary>
              <div className="mt-1">
                <SuggestedFixes conflict={stop} actions={actions} />
              </div>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** As many begin with their fixes in sight; more would make a list that nobody reads. */
const OPENED = 6;

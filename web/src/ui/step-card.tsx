import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

/** A key of a thumb's size on a card at the frame. */
export const THUMB_KEY =
  'flex min-h-14 min-w-14 flex-1 items-center justify-center border border-graphite bg-sheet disabled:text-rule';

interface StepCardProps {
  /** What is walked through one at a time, and the one ahead of it and behind it: “mount”. */
  readonly of: string;
  readonly name: string;
  /** What stands under its name. */
  readonly where: ReactNode;
  /** The one at hand, from 0, of so many. */
  readonly at: number;
  readonly count: number;
  readonly onGo: (to: number) => void;
  readonly children: ReactNode;
}

/** One thing of a row at the frame, with the keys to the one ahead and the one behind. */
export function StepCard({ of, name, where, at, count, onGo, children }: StepCardProps) {
  return (
    <section aria-label={`One ${of}`} className="mb-4 border-2 border-graphite bg-sheet">
      <div className="flex items-stretch border-b border-graphite">
        <button
          type="button"
          className={THUMB_KEY}
          aria-label={`The ${of} ahead`}
          disabled={at <= 0}
          onClick={() => onGo(at - 1)}
        >
          <ChevronLeft aria-hidden="true" />
        </button>
        <p className="flex-[4] px-2 py-1 text-center">
          <b className="heading block text-xl leading-tight">{name}</b>
          <span className="text-sm text-pencil">{where}</span>
        </p>
        <button
          type="button"
          className={THUMB_KEY}
          aria-label={`The ${of} behind`}
          disabled={at >= count - 1}
          onClick={() => onGo(at + 1)}
        >
          <ChevronRight aria-hidden="true" />
        </button>
      </div>
      {children}
    </section>
  );
}

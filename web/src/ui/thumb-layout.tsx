import type { ReactNode } from 'react';

interface ThumbLayoutProps {
  /** What is typed with, always in sight: under the rest, and beside it on a phone held sideways. */
  readonly entry: ReactNode;
  readonly children: ReactNode;
}

/** A task at the frame: what it is about scrolls, what it is typed with stays under the thumb. */
export function ThumbLayout({ entry, children }: ThumbLayoutProps) {
  return (
    <div className="flex h-full min-h-0 flex-col low:flex-row">
      <div className="min-h-0 flex-1 space-y-2.5 overflow-y-auto p-3" tabIndex={0} role="group" aria-label="The task">
        {children}
      </div>
      <div className="shrink-0 space-y-1.5 border-t border-rule px-1.5 pt-2 pb-2 min-[400px]:px-3 low:w-[25rem] low:overflow-y-auto low:border-t-0 low:border-l">
        {entry}
      </div>
    </div>
  );
}

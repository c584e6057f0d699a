import { X } from 'lucide-react';
import { type ReactNode, useEffect } from 'react';

interface WholeDrawingProps {
  readonly name: string;
  readonly onClose: () => void;
  /** The board. */
  readonly children: ReactNode;
}

/** The board on a small screen, or a page at 200 %: at the size of a small desk, scrolled under the screen. */
export function WholeDrawing({ name, onClose, children }: WholeDrawingProps) {
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent) => {
      if (key === 'Escape') onClose();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onClose]);
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex min-h-12 shrink-0 items-stretch gap-3 border-b border-graphite bg-bench pl-3">
        <h1 className="heading flex min-w-0 flex-1 items-center text-lg">
          <span className="truncate">{name}, the whole drawing</span>
        </h1>
        <button
          type="button"
          className="flex min-h-12 items-center gap-2 border-l border-graphite px-4"
          onClick={onClose}
        >
          <X size={20} aria-hidden="true" />
          Back
        </button>
      </header>
      <main className="min-h-0 flex-1 overflow-auto" aria-label="The whole drawing" tabIndex={0}>
        <div className="flex h-full min-h-[30rem] min-w-[60rem]">{children}</div>
      </main>
    </div>
  );
}

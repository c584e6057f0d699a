import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** False when the person has to choose. */
  readonly dismissable?: boolean;
  /** For a table of several columns. */
  readonly wide?: boolean;
}

/** A sheet laid over the bench, for a question or a list. */
export function Dialog({ title, onClose, children, dismissable = true, wide = false }: DialogProps) {
  return (
    <Radix.Root open onOpenChange={(open) => !open && dismissable && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-graphite/40" />
        <Radix.Content
          aria-describedby={undefined}
          className={`fixed left-1/2 z-50 flex -translate-x-1/2 flex-col border-2 border-graphite bg-sheet text-graphite ${wide ? 'top-[6vh] max-h-[88vh] w-[min(76rem,96vw)]' : 'top-[12vh] max-h-[76vh] w-[min(38rem,94vw)]'}`}
        >
          <div className="flex items-center justify-between border-b border-rule px-5 py-3">
            <Radix.Title className="heading text-xl">{title}</Radix.Title>
            {dismissable && (
              <Radix.Close className="p-1 text-pencil hover:text-graphite" aria-label="Close">
                <X size={18} />
              </Radix.Close>
            )}
          </div>
          <div className="overflow-auto px-5 py-4">{children}</div>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

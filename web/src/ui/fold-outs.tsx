import { type ReactNode, useEffect, useRef, useState } from 'react';
import type { Drawer } from '../client/bench.ts';
import type { BenchProps } from '../client/bench-props.ts';
import { useJobState } from '../client/job-store.ts';

interface FoldOutsProps {
  readonly bench: BenchProps;
  readonly slides: readonly (readonly [id: string, drawer: Drawer])[];
}

/** What slides over the tray on a larger screen, each to fold out on a phone; the one that is asked for is folded out. */
export function FoldOuts({ bench, slides }: FoldOutsProps) {
  const asked = useJobState(bench.store, ({ drawer }) => drawer);
  return slides.map(([id, { name, Content }]) => (
    <FoldOut key={id} name={name} asked={asked === id}>
      <Content {...bench} />
    </FoldOut>
  ));
}

interface FoldOutProps {
  readonly name: string;
  readonly asked: boolean;
  readonly children: ReactNode;
}

/** One of them: its content is drawn only while it is open. */
function FoldOut({ name, asked, children }: FoldOutProps) {
  const [open, setOpen] = useState(asked);
  const box = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    if (!asked || !box.current) return;
    box.current.open = true;
    box.current.scrollIntoView({ block: 'start' });
  }, [asked]);
  return (
    <details
      ref={box}
      className="mt-3 border border-graphite"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="heading flex min-h-12 cursor-pointer items-center bg-bench px-3 text-lg">{name}</summary>
      {open && <div className="overflow-x-auto p-2">{children}</div>}
    </details>
  );
}

import { ChevronLeft, ChevronRight, ListOrdered } from 'lucide-react';
import { useState } from 'react';
import { BENCHES } from './benches.ts';
import type { Order } from './phase-rail.tsx';
import { Waits } from '../ui/waits.tsx';
import { lazyComponent } from '../client/lazy-component.tsx';

const OrderOfWork = lazyComponent(() => import('./order-of-work.tsx').then((file) => file.OrderOfWork));

/** The order of work along the foot: the bench before, the one at hand, which opens all of them, and the one after. */
export function PhaseBar({ jobId, bench, done, holdPoints, onBench, onHoldPoint }: Order) {
  const [open, setOpen] = useState(false);
  const ids = Object.keys(BENCHES);
  const at = ids.indexOf(bench);
  const step = (to: string | undefined, Icon: typeof ChevronLeft, forward: boolean) => (
    <button
      type="button"
      className="flex min-h-14 flex-1 items-center justify-center gap-1 disabled:text-rule low:min-h-12"
      disabled={to === undefined}
      onClick={() => to !== undefined && onBench(to)}
      aria-label={
        to ? `${forward ? 'Next' : 'Previous'}: ${BENCHES[to]?.name}` : forward ? 'Last bench' : 'First bench'
      }
    >
      {!forward && <Icon size={20} aria-hidden="true" />}
      <span className="truncate text-sm">{to ? BENCHES[to]?.name : ''}</span>
      {forward && <Icon size={20} aria-hidden="true" />}
    </button>
  );
  return (
    <nav aria-label="Order of work" className="flex shrink-0 border-t border-graphite bg-bench">
      {step(ids[at - 1], ChevronLeft, false)}
      <button
        type="button"
        className="heading flex min-h-14 flex-[1.4] items-center justify-center gap-2 border-x border-graphite bg-paper text-lg low:min-h-12"
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => setOpen(true)}
      >
        <ListOrdered size={18} aria-hidden="true" />
        {BENCHES[bench]?.name}
      </button>
      {open && (
        <Waits>
          <OrderOfWork {...{ jobId, bench, done, holdPoints, onBench, onHoldPoint }} onClose={() => setOpen(false)} />
        </Waits>
      )}
      {step(ids[at + 1], ChevronRight, true)}
    </nav>
  );
}

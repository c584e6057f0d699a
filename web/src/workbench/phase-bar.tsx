import { ChevronLeft, ChevronRight, ListOrdered } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import { useState } from 'react';
import { BENCHES, phases } from './benches.ts';
import { GateBar, type Order } from './phase-rail.tsx';

/** The order of work along the foot: the bench before, the one at hand, which opens all of them, and the one after. */
export function PhaseBar({ jobId, bench, done, gates, onBench, onGate }: Order) {
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
      <Radix.Root open={open} onOpenChange={setOpen}>
        <Radix.Trigger className="heading flex min-h-14 flex-[1.4] items-center justify-center gap-2 border-x border-graphite bg-paper text-lg low:min-h-12">
          <ListOrdered size={18} aria-hidden="true" />
          {BENCHES[bench]?.name}
        </Radix.Trigger>
        <Radix.Portal>
          <Radix.Overlay className="fixed inset-0 z-40 bg-graphite/40" />
          <Radix.Content
            aria-describedby={undefined}
            className="fixed inset-x-0 bottom-0 z-50 max-h-[86dvh] overflow-y-auto border-t-2 border-graphite bg-sheet p-4"
          >
            <Radix.Title className="heading text-xl">Order of work</Radix.Title>
            <a href="/" className="button mt-2 min-h-12 w-full">
              All jobs
            </a>
            {phases().map(({ name, benches, gate: gateId }) => {
              const gate = gates.find(({ id }) => id === gateId);
              return (
                <section key={name} className="mt-3">
                  <h3 className="label">{name}</h3>
                  <ul className="mt-1 grid grid-cols-2 gap-2">
                    {benches.map(([id, { name: called, sentence }]) => (
                      <li key={id}>
                        <a
                          href={`/jobs/${jobId}/${id}`}
                          aria-current={id === bench ? 'page' : undefined}
                          className={`block h-full min-h-14 border px-3 py-2 ${id === bench ? 'border-layout bg-layout-wash' : 'border-graphite'}`}
                          onClick={(event) => {
                            event.preventDefault();
                            setOpen(false);
                            onBench(id);
                          }}
                        >
                          <span className="heading block text-lg">
                            {called}
                            {done.includes(id) && <span className="text-sm text-passed"> done</span>}
                          </span>
                          <span className="block text-sm leading-tight text-pencil">{sentence}</span>
                        </a>
                      </li>
                    ))}
                  </ul>
                  {gate && <GateBar gate={gate} onGate={onGate} />}
                </section>
              );
            })}
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
      {step(ids[at + 1], ChevronRight, true)}
    </nav>
  );
}

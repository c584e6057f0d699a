import { Dialog as Radix } from 'radix-ui';
import { useState } from 'react';
import { type TouchSettings, touchSettings, setTouchSettings } from '../client/touch-settings.ts';
import { phases } from './benches.ts';
import { HoldPointBar, type Order } from './phase-rail.tsx';

/** All benches and hold points in order, laid over the lower part of a tablet or a phone. */
export function OrderOfWork({
  jobId,
  bench,
  done,
  holdPoints,
  onBench,
  onHoldPoint,
  onClose,
}: Order & { readonly onClose: () => void }) {
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
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
          {phases().map(({ name, benches, holdPoint: holdPointId }) => {
            const holdPoint = holdPoints.find(({ id }) => id === holdPointId);
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
                          onClose();
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
                {holdPoint && <HoldPointBar holdPoint={holdPoint} onHoldPoint={onHoldPoint} />}
              </section>
            );
          })}
          <OnThisDevice />
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

/** How this device behaves at the frame. */
function OnThisDevice() {
  const [settings, setSettings] = useState(touchSettings);
  const box = (key: keyof TouchSettings, label: string) => (
    <label className="flex min-h-12 items-center gap-3 text-base">
      <input
        type="checkbox"
        className="h-6 w-6"
        checked={settings[key]}
        onChange={(event) => {
          const next = { ...settings, [key]: event.target.checked };
          setSettings(next);
          setTouchSettings(next);
        }}
      />
      {label}
    </label>
  );
  return (
    <section className="mt-4 border-t border-rule pt-2">
      <h3 className="label">On this device</h3>
      {box('glove', 'Glove size: larger keys and letters')}
      {box('signal', 'Sound and vibration with a verdict')}
    </section>
  );
}

import { finer, settingsProblems, travelOf, type WeldSettings } from '@splay/core';
import { useState } from 'react';
import type { BenchProps } from '../../client/bench-props.ts';
import { LengthField } from '../../ui/length-field.tsx';
import { PanelHeading } from '../../ui/panel.tsx';
import { Quantity } from '../../ui/quantity.tsx';
import { QuantityField } from '../../ui/quantity-field.tsx';
import { Verdict } from '../../ui/verdict.tsx';
import { decide, type WeldingInHand } from './use-welding.ts';

const FIELDS = [
  ['volts', 'Volts', 'voltage'],
  ['amps', 'Amperes', 'current'],
  ['travel', 'Travel', 'speed'],
] as const;

/** How the machine is set: volts, amperes and travel, and the heat that they bring in. */
export function MachineFields({ bench, hand }: { readonly bench: BenchProps; readonly hand: WeldingInHand }) {
  const { store, job, canWrite } = bench;
  const { settings, settingsAssumed, heat } = hand.welding;
  const { unit } = job.display;
  const set = (field: keyof WeldSettings, value: number) =>
    decide(store, 'Machine settings', (old) => ({ ...old, settings: { ...settings, [field]: value } }));
  const check = (field: keyof WeldSettings, value: number) =>
    settingsProblems({ ...settings, [field]: value }).find(({ path }) => path === field)?.message ?? null;
  return (
    <section>
      <PanelHeading
        aside={
          <span>
            <Quantity of="heat" value={heat} unit={unit} /> into the steel
          </span>
        }
      >
        Machine
      </PanelHeading>
      {settingsAssumed && (
        <Verdict kind="warn">
          Assumed: nobody has typed the machine’s settings. Read volts and amperes off while a coupon is welded, and
          time its bead.
        </Verdict>
      )}
      <div className="mt-2 grid grid-cols-3 gap-2">
        {FIELDS.map(([field, label, of]) => (
          <QuantityField
            key={field}
            label={label}
            of={of}
            value={settings[field]}
            unit={unit}
            disabled={!canWrite}
            check={(value) => check(field, value)}
            onChange={(value) => set(field, value)}
          />
        ))}
      </div>
      <Bead bench={bench} onTravel={(travel) => check('travel', travel) ?? (set('travel', travel), null)} />
      <p className="mt-1 text-sm text-pencil">The chart on the machine and your welding procedure govern.</p>
    </section>
  );
}

interface BeadProps {
  readonly bench: BenchProps;
  /** Takes a travel speed, or says what is wrong with it. */
  readonly onTravel: (travel: number) => string | null;
}

/** The travel speed from a bead on a coupon: how long it is, and how long it took. */
function Bead({ bench: { job, canWrite }, onTravel }: BeadProps) {
  const [long, setLong] = useState(0);
  const [seconds, setSeconds] = useState(0);
  const [problem, setProblem] = useState('');
  const take = () => {
    if (long <= 0 || seconds <= 0)
      return setProblem('Type how long the bead is and how many seconds it took, both above 0.');
    setProblem(onTravel(travelOf(long, seconds)) ?? '');
  };
  return (
    <div className="mt-2 grid grid-cols-2 items-end gap-2">
      <LengthField label="Bead long" mm={long} format={finer(job.display)} disabled={!canWrite} onChange={setLong} />
      <QuantityField
        label="It took"
        of="seconds"
        value={seconds}
        unit={job.display.unit}
        disabled={!canWrite}
        onChange={setSeconds}
      />
      <button type="button" className="button col-span-2 min-h-9" disabled={!canWrite} onClick={take}>
        Take the travel from this bead
      </button>
      {problem && (
        <p role="alert" className="col-span-2 text-sm text-oxide">
          {problem}
        </p>
      )}
    </div>
  );
}

import type { Instrument, InstrumentReading } from './instrument.ts';

/** An instrument that is not there: its key is pressed on the page. It ships with Splay, to try and to practice with. */
export function simulatedInstrument(says: () => InstrumentReading | null): Instrument & { readonly press: () => void } {
  let listener: ((reading: InstrumentReading) => void) | null = null;
  return {
    name: 'Simulated',
    here: () => true,
    connect: (onReading) => {
      listener = onReading;
      return Promise.resolve(() => (listener = null));
    },
    press: () => {
      const reading = says();
      if (reading) listener?.(reading);
    },
  };
}

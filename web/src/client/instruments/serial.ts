import { type Instrument, lineSplitter, readingOfLine } from './instrument.ts';

/** What there is of Web Serial that is used here. */
interface Port {
  readonly open: (options: { readonly baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  readonly requestPort: () => Promise<Port>;
}

const serialOf = (): Serial | undefined => (navigator as { readonly serial?: Serial }).serial;

/** An instrument on a cable that sends lines of text, 9600 baud. */
export const serialInstrument: Instrument = {
  name: 'Digital tape',
  here: () => serialOf() !== undefined,
  connect: async (onReading, onLost) => {
    const serial = serialOf();
    if (!serial) throw new Error('This browser reaches no instrument on a cable.');
    const port = await serial.requestPort();
    await port.open({ baudRate: 9600 });
    const reader = port.readable?.getReader();
    if (!reader) throw new Error('The instrument sends nothing: unplug it, plug it in again, and connect again.');
    const take = lineSplitter((line) => {
      const reading = readingOfLine(line);
      if (reading) onReading(reading);
    });
    const decoder = new TextDecoder();
    let wanted = true;
    const listen = async () => {
      try {
        for (;;) {
          const { value, done } = await reader.read();
          if (done) break;
          take(decoder.decode(value, { stream: true }));
        }
      } catch {
        // Unplugged: told below.
      }
      if (wanted) onLost('The instrument is gone: plug it in and connect it again.');
    };
    void listen();
    return () => {
      wanted = false;
      void reader
        .cancel()
        .catch(() => undefined)
        .then(() => port.close())
        .catch(() => undefined);
    };
  },
};

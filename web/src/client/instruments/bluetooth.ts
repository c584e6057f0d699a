import { type Instrument, lineSplitter, readingOfLine } from './instrument.ts';

/** The Nordic UART service: text both ways, which many small instruments speak. */
const SERVICE = '6e400001-b5a3-f393-e0a9-e50e24dcca9e';
const SENDS = '6e400003-b5a3-f393-e0a9-e50e24dcca9e';

/** What there is of Web Bluetooth that is used here. */
interface Characteristic extends EventTarget {
  readonly value?: DataView;
  readonly startNotifications: () => Promise<unknown>;
}
interface Device extends EventTarget {
  readonly gatt?: {
    readonly connect: () => Promise<{
      readonly getPrimaryService: (id: string) => Promise<{
        readonly getCharacteristic: (id: string) => Promise<Characteristic>;
      }>;
    }>;
    readonly disconnect: () => void;
  };
}
interface Bluetooth {
  readonly requestDevice: (options: {
    readonly filters: readonly { readonly services: readonly string[] }[];
  }) => Promise<Device>;
}

const bluetoothOf = (): Bluetooth | undefined => (navigator as { readonly bluetooth?: Bluetooth }).bluetooth;

/** An instrument by radio that sends lines of text. */
export const bluetoothInstrument: Instrument = {
  name: 'By radio',
  here: () => bluetoothOf() !== undefined,
  connect: async (onReading, onLost) => {
    const bluetooth = bluetoothOf();
    if (!bluetooth) throw new Error('This browser reaches no instrument by radio.');
    const device = await bluetooth.requestDevice({ filters: [{ services: [SERVICE] }] });
    const server = await device.gatt?.connect();
    if (!server) throw new Error('The instrument does not answer: switch it on and connect again.');
    const sends = await (await server.getPrimaryService(SERVICE)).getCharacteristic(SENDS);
    const take = lineSplitter((line) => {
      const reading = readingOfLine(line);
      if (reading) onReading(reading);
    });
    const decoder = new TextDecoder();
    sends.addEventListener('characteristicvaluechanged', () => {
      if (sends.value) take(decoder.decode(sends.value, { stream: true }));
    });
    await sends.startNotifications();
    let wanted = true;
    device.addEventListener('gattserverdisconnected', () => {
      if (wanted) onLost('The instrument is out of reach: come nearer and connect it again.');
    });
    return () => {
      wanted = false;
      device.gatt?.disconnect();
    };
  },
};

import fc from 'fast-check';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { bluetoothInstrument } from './bluetooth.ts';
import { type InstrumentReading, lineSplitter, readingOfLine } from './instrument.ts';
import { serialInstrument } from './serial.ts';
import { simulatedInstrument } from './simulated.ts';

afterEach(() => vi.unstubAllGlobals());

describe('what an instrument sends', () => {
  it.each([
    ['1234.5 mm', { kind: 'distance', mm: 1234.5 }],
    ['D: 48.625in', { kind: 'distance', mm: 48.625 * 25.4 }],
    ['1,205 m', { kind: 'distance', mm: 1205 }],
    ['-0.5 deg', { kind: 'angle', radians: (-0.5 * Math.PI) / 180 }],
    ['level 1.5°', { kind: 'angle', radians: (1.5 * Math.PI) / 180 }],
  ] as const)('“%s” is a reading', (line, reading) => {
    const found = readingOfLine(line)!;
    expect(found.kind).toBe(reading.kind);
    expect('mm' in found ? found.mm : found.radians).toBeCloseTo('mm' in reading ? reading.mm : reading.radians, 9);
  });
  it.each(['', 'ERR 255', '12.3.4', '-4 mm', '0 mm', '99 m', '180 deg', 'mm', '12 lb'])('“%s” is none', (line) => {
    expect(readingOfLine(line)).toBeNull();
  });
  it('however it is cut up, the lines come out whole', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9999 }), { minLength: 1 }),
        fc.integer({ min: 1, max: 7 }),
        (values, size) => {
          const text = values.map((value) => `${value} mm\r\n`).join('');
          const lines: string[] = [];
          const take = lineSplitter((line) => lines.push(line));
          for (let at = 0; at < text.length; at += size) take(text.slice(at, at + size));
          expect(lines).toEqual(values.map((value) => `${value} mm`));
        },
      ),
    );
  });
});

/** A cable that sends some text and is then pulled. */
function cable(pieces: readonly string[]) {
  const encoder = new TextEncoder();
  const close = vi.fn(() => Promise.resolve());
  const readable = new ReadableStream<Uint8Array>({
    start: (controller) => {
      for (const piece of pieces) controller.enqueue(encoder.encode(piece));
      controller.close();
    },
  });
  return { port: { open: () => Promise.resolve(), close, readable }, close };
}

describe('an instrument on a cable', () => {
  it('gives its readings, and says when it is gone', async () => {
    const { port } = cable(['12', '.5 mm\n', 'noise\n3 in\n']);
    vi.stubGlobal('navigator', { serial: { requestPort: () => Promise.resolve(port) } });
    const readings: InstrumentReading[] = [];
    const lost = await new Promise<string>((resolve) => {
      void serialInstrument.connect((reading) => readings.push(reading), resolve);
    });
    expect(readings).toEqual([
      { kind: 'distance', mm: 12.5 },
      { kind: 'distance', mm: expect.closeTo(76.2, 9) as number },
    ]);
    expect(lost).toMatch(/connect it again/);
  });
  it('where the browser has no such thing, says so', async () => {
    vi.stubGlobal('navigator', {});
    expect(serialInstrument.here()).toBe(false);
    expect(bluetoothInstrument.here()).toBe(false);
    await expect(serialInstrument.connect(vi.fn(), vi.fn())).rejects.toThrow(/no instrument on a cable/);
    await expect(bluetoothInstrument.connect(vi.fn(), vi.fn())).rejects.toThrow(/by radio/);
  });
});

it('an instrument by radio gives its readings, and says when it is out of reach', async () => {
  const sends = Object.assign(new EventTarget(), {
    value: undefined as DataView | undefined,
    startNotifications: () => Promise.resolve(),
  });
  const device = Object.assign(new EventTarget(), {
    gatt: {
      connect: () =>
        Promise.resolve({
          getPrimaryService: () => Promise.resolve({ getCharacteristic: () => Promise.resolve(sends) }),
        }),
      disconnect: vi.fn(),
    },
  });
  vi.stubGlobal('navigator', { bluetooth: { requestDevice: () => Promise.resolve(device) } });
  const [onReading, onLost] = [vi.fn(), vi.fn()];
  const leave = await bluetoothInstrument.connect(onReading, onLost);
  sends.value = new DataView(new TextEncoder().encode('0.25 deg\n').buffer);
  sends.dispatchEvent(new Event('characteristicvaluechanged'));
  expect(onReading).toHaveBeenCalledExactlyOnceWith({ kind: 'angle', radians: (0.25 * Math.PI) / 180 });
  device.dispatchEvent(new Event('gattserverdisconnected'));
  expect(onLost).toHaveBeenCalledOnce();
  leave();
  device.dispatchEvent(new Event('gattserverdisconnected'));
  expect(onLost).toHaveBeenCalledOnce();
});

it('a simulated one says what it is asked, when its key is pressed and it is connected', async () => {
  const simulated = simulatedInstrument(() => ({ kind: 'distance', mm: 5 }));
  const onReading = vi.fn();
  simulated.press();
  const leave = await simulated.connect(onReading, vi.fn());
  simulated.press();
  leave();
  simulated.press();
  expect(onReading).toHaveBeenCalledExactlyOnceWith({ kind: 'distance', mm: 5 });
});

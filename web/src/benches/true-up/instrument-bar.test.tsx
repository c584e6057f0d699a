import { planOf } from '@splay/core';
import { afterEach, expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { act, fireEvent, render, screen } from '../../../test/page.ts';
import { InstrumentBar } from './instrument-bar.tsx';

const { job } = demoJob('parcel-van');
const control = planOf(job).controls.find(({ kind }) => kind === 'width')!;
const asDefined = Object.getOwnPropertyDescriptor(navigator, 'serial');
afterEach(() => {
  if (asDefined) Object.defineProperty(navigator, 'serial', asDefined);
  else Reflect.deleteProperty(navigator, 'serial');
});

/** A cable in the browser that sends when it is told to. */
function cable() {
  let send: (text: string) => void = () => undefined;
  const readable = new ReadableStream<Uint8Array>({
    start: (controller) => {
      send = (text) => controller.enqueue(new TextEncoder().encode(text));
    },
  });
  const port = { open: () => Promise.resolve(), close: () => Promise.resolve(), readable };
  Object.defineProperty(navigator, 'serial', {
    configurable: true,
    value: { requestPort: () => Promise.resolve(port) },
  });
  return (text: string) =>
    act(async () => {
      send(text);
      await new Promise((resolve) => setTimeout(resolve, 0));
    });
}
const show = (onTake = vi.fn()) => {
  render(<InstrumentBar format={job.display} control={control} apart={control.predicted} onTake={onTake} />);
  return onTake;
};
const connect = () =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Connect digital tape' }));
    await Promise.resolve();
  });

it('is not there where the browser reaches no instrument', () => {
  show();
  expect(screen.queryByRole('region', { name: 'Instrument' })).toBeNull();
});

it('a distance is taken by a press, never by itself; an angle is said as the rise over the measurement', async () => {
  const send = cable();
  const onTake = show();
  await connect();
  await send('33.5 in\n');
  expect(onTake).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: `Save for ${control.name}` }));
  expect(onTake).toHaveBeenCalledExactlyOnceWith(expect.closeTo(33.5 * 25.4, 6));
  await send('-0.5 deg\n');
  // tan 0.5° over 29 3/4 in: 0.2596 in, a full quarter.
  expect(screen.getByRole('region', { name: 'Instrument' }).textContent).toMatch(
    /−0\.50°: its far end is 1\/4 in full lower over 29 3\/4 in/,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Disconnect' }));
  expect(screen.getByRole('button', { name: 'Connect digital tape' })).toBeTruthy();
});

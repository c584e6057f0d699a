import { expect, it } from 'vitest';
import { benchOf } from '../../test/bench.ts';
import { demoJob, openStore } from '../../test/demo.ts';
import { act, fireEvent, render, screen } from '../../test/page.ts';
import { useJobState } from '../client/job-store.ts';
import { LookAround } from './look-around.tsx';

const { job, records } = demoJob('parcel-van');

const show = () => {
  const store = openStore(job, records);
  store.setState({ lookingAround: true });
  const bench = benchOf(job, records, store);
  function Shown() {
    useJobState(store, ({ showBefore }) => showBefore);
    return <LookAround bench={bench} />;
  }
  render(<Shown />);
  return store;
};

it('a device that cannot draw in space says so, and leads to what shows the same', () => {
  const store = show();
  expect(screen.getByText(/cannot draw in space.*the glTF file opens elsewhere/)).toBeTruthy();
  expect(screen.getByRole('link', { name: 'glTF' }).getAttribute('href')).toBe('/api/jobs/job/frame.glb');
  fireEvent.click(screen.getByRole('button', { name: 'Back to the board' }));
  expect(store.getState().lookingAround).toBe(false);
});

it('names the layers that are there, and before has no new rail', () => {
  show();
  expect(screen.getByRole('checkbox', { name: 'new rail' })).toBeTruthy();
  const clear = screen.getByRole<HTMLInputElement>('checkbox', { name: 'keep clear' });
  expect(clear.checked).toBe(false);
  fireEvent.click(clear);
  expect(clear.checked).toBe(true);
  const before = screen.getByRole<HTMLInputElement>('slider', { name: 'Before, from the left' });
  fireEvent.change(before, { target: { value: '0.4' } });
  expect(before.getAttribute('aria-valuetext')).toBe('40 % of the view shows the frame before');
  expect(screen.getByRole('checkbox', { name: 'new rail' })).toBeTruthy();
  fireEvent.change(before, { target: { value: '1' } });
  expect(screen.queryByRole('checkbox', { name: 'new rail' })).toBeNull();
  expect(screen.getByRole('checkbox', { name: 'rails' })).toBeTruthy();
});

it('held for before it shows the frame before, all of it', () => {
  const store = show();
  act(() => store.setState({ showBefore: true }));
  expect(screen.getByRole<HTMLInputElement>('slider', { name: 'Before, from the left' }).value).toBe('1');
  expect(screen.queryByRole('checkbox', { name: 'new rail' })).toBeNull();
});

import { expect, it, vi } from 'vitest';
import { act, render, screen } from '../../test/page.ts';
import { lazyComponent } from '../client/lazy-component.tsx';
import { Waits } from './waits.tsx';

const Word = () => <p>here</p>;
const show = async (Part: ReturnType<typeof lazyComponent>) => {
  await act(async () => {
    render(
      <>
        <p>the board</p>
        <Waits place={<p>its place</p>}>
          <Part />
        </Waits>
      </>,
    );
  });
};

it('keeps the place of what is loaded, and then shows it', async () => {
  const come: ((word: typeof Word) => void)[] = [];
  await show(lazyComponent(() => new Promise<typeof Word>((resolve) => come.push(resolve))));
  expect(screen.getByText('its place')).toBeTruthy();
  await act(async () => come[0]?.(Word));
  expect(screen.getByText('here')).toBeTruthy();
});

it('says that the connection dropped, in its place alone, and how to go on', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  await show(
    lazyComponent(() => Promise.reject(new TypeError('Failed to fetch dynamically imported module: /panel.js'))),
  );
  expect(screen.getByRole('alert').textContent).toMatch(/connection dropped.*Nothing is lost/);
  expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
  expect(screen.getByText('the board')).toBeTruthy();
});

it('hides no fault of the program', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  await expect(show(lazyComponent(() => Promise.reject(new TypeError('x is not a function'))))).rejects.toThrow(
    'x is not a function',
  );
});

import { Suspense } from 'react';
import { expect, it, vi } from 'vitest';
import { act, render, screen } from '../../test/page.ts';
import { later, loadAllLater } from './later.ts';

const Word = ({ say }: { readonly say: string }) => <p>{say}</p>;
const show = (Part: typeof Word) =>
  render(
    <Suspense fallback={<p>coming</p>}>
      <Part say="here" />
    </Suspense>,
  );

it('loads a part when it is first shown, and only then', async () => {
  const load = vi.fn(() => Promise.resolve(Word));
  const Part = later(load) as typeof Word;
  expect(load).not.toHaveBeenCalled();
  await act(async () => void show(Part));
  expect(await screen.findByText('here')).toBeTruthy();
  await act(async () => void show(Part));
  expect(load).toHaveBeenCalledTimes(1);
});

it('draws at once what is here already', async () => {
  const Part = later(() => Promise.resolve(Word)) as typeof Word;
  await loadAllLater();
  show(Part);
  expect(screen.getByText('here')).toBeTruthy();
  expect(screen.queryByText('coming')).toBeNull();
});

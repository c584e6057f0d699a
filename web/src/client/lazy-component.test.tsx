import { expect, it, vi } from 'vitest';
import { act, render, screen } from '../../test/page.ts';
import { lazyComponent, loadAllLater, PlaceOfLazy } from './lazy-component.tsx';

const Word = ({ say }: { readonly say: string }) => <p>{say}</p>;
const show = (Part: typeof Word) =>
  render(
    <PlaceOfLazy value={<p>coming</p>}>
      <Part say="here" />
    </PlaceOfLazy>,
  );

it('loads a part when it is first shown, and only then', async () => {
  const load = vi.fn(() => Promise.resolve(Word));
  const Part = lazyComponent(load) as typeof Word;
  expect(load).not.toHaveBeenCalled();
  await act(async () => void show(Part));
  expect(await screen.findByText('here')).toBeTruthy();
  await act(async () => void show(Part));
  expect(load).toHaveBeenCalledTimes(1);
});

it('shows what stands in its place until it is here, and then the part without a wait', async () => {
  let come: (part: typeof Word) => void = () => undefined;
  const Part = lazyComponent(() => new Promise<typeof Word>((resolve) => (come = resolve))) as typeof Word;
  show(Part);
  expect(screen.getByText('coming')).toBeTruthy();
  await act(async () => come(Word));
  expect(screen.queryByText('coming')).toBeNull();
  expect(screen.getByText('here')).toBeTruthy();
});

it('draws at once what is here already', async () => {
  const Part = lazyComponent(() => Promise.resolve(Word)) as typeof Word;
  await loadAllLater();
  show(Part);
  expect(screen.getByText('here')).toBeTruthy();
  expect(screen.queryByText('coming')).toBeNull();
});

import { itemOf } from '@splay/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { fireEvent, render, screen, waitFor } from '../../test/page.ts';
import { FromLibrary, KeepInLibrary } from './library-tools.tsx';

const api = vi.hoisted(() => ({
  keepItem: vi.fn<(text: string) => Promise<unknown>>(),
  libraryItems: vi.fn<() => Promise<unknown>>(),
  libraryItem: vi.fn<(id: string) => Promise<unknown>>(),
}));
vi.mock('../client/api.ts', () => ({ api }));

const refused = (detail: string, problems: readonly unknown[] = []) => ({ ok: false, reason: 'no', detail, problems });
const { job } = demoJob('parcel-van');

beforeEach(() => {
  api.keepItem.mockReset();
  api.libraryItems.mockResolvedValue({
    ok: true,
    value: [
      { id: 'd', kind: 'donor', name: 'Ladder 35', from: 'Parcel van' },
      { id: 'b', kind: 'body', name: 'Box', from: '' },
    ],
  });
});

describe('keeping a copy', () => {
  it('says what it was kept as', async () => {
    api.keepItem.mockResolvedValue({ ok: true, value: { name: 'Ladder 35' } });
    render(<KeepInLibrary what="this donor" textOf={() => 'the item'} />);
    fireEvent.click(screen.getByRole('button', { name: 'Keep this donor in the library' }));
    expect(screen.getByRole('status').textContent).toBe('Keeping it …');
    await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/^Kept as “Ladder 35”/));
    expect(api.keepItem).toHaveBeenCalledExactlyOnceWith('the item');
  });

  it.each([
    [refused('The shop may not write.'), 'It was not kept: The shop may not write.'],
    [refused('wrong', [{ code: 'x', path: 'name', message: 'It needs a name.' }]), 'It needs a name.'],
  ])('or why it was not', async (answer, said) => {
    api.keepItem.mockResolvedValue(answer);
    render(<KeepInLibrary what="this donor" textOf={() => ''} />);
    fireEvent.click(screen.getByRole('button'));
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe(said));
  });
});

describe('picking one', () => {
  it('lists those of its kind with where each is from, and hands the picked one over', async () => {
    const item = itemOf(job);
    api.libraryItem.mockResolvedValue({ ok: true, value: item });
    const onPick = vi.fn();
    render(<FromLibrary kind="donor" label="Begin with" onPick={onPick} />);
    await screen.findByRole('combobox', { name: 'Begin with' });
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
      'Begin with …',
      'Ladder 35 (Parcel van)',
    ]);
    fireEvent.change(screen.getByRole('combobox'), { target: { value: 'd' } });
    await waitFor(() => expect(onPick).toHaveBeenCalledExactlyOnceWith(item));
  });

  it('is not there while there is none, and says why one cannot be had', async () => {
    api.libraryItem.mockResolvedValue(refused('It was taken out of the library.'));
    const onPick = vi.fn();
    render(<FromLibrary kind="body" label="Begin with" onPick={onPick} />);
    expect(screen.queryByRole('combobox')).toBeNull();
    fireEvent.change(await screen.findByRole('combobox'), { target: { value: 'b' } });
    expect((await screen.findByRole('alert')).textContent).toBe('It was taken out of the library.');
    expect(onPick).not.toHaveBeenCalled();
  });
});

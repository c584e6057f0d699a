import { beforeEach, expect, it, vi } from 'vitest';
import { fireEvent, render, screen, waitFor } from '../../test/page.ts';
import type { ListedItem } from '../shared/listed-item.ts';
import { LibraryList } from './library-list.tsx';

const api = vi.hoisted(() => ({
  keepItem: vi.fn<(text: string) => Promise<unknown>>(),
  dropItem: vi.fn<(id: string) => Promise<unknown>>(),
}));
vi.mock('../client/api.ts', () => ({ api }));

const item = (id: string, name: string): ListedItem => ({
  id,
  kind: 'donor',
  name,
  from: 'Parcel van',
  savedBy: 'Wren',
  savedAt: '2026-01-02T10:00:00.000Z',
});
const take = (text: string) =>
  fireEvent.change(screen.getByLabelText('Item file'), { target: { files: [{ text: () => Promise.resolve(text) }] } });

beforeEach(() => {
  api.keepItem.mockReset();
  api.dropItem.mockReset();
});

it('takes a file in, and lists what it became', async () => {
  api.keepItem.mockResolvedValue({ ok: true, value: item('two', 'Second') });
  render(<LibraryList items={[item('one', 'First')]} writes />);
  take('{"a":1}');
  await screen.findByText('Second');
  expect(api.keepItem).toHaveBeenCalledExactlyOnceWith('{"a":1}');
  expect(screen.queryByRole('alert')).toBeNull();
});

it('says where a file is wrong, and stores nothing of it', async () => {
  api.keepItem.mockResolvedValue({
    ok: false,
    reason: 'invalid',
    detail: 'wrong',
    problems: [{ code: 'x', path: 'donor.datum', message: 'names no hole.' }],
  });
  render(<LibraryList items={[item('one', 'First')]} writes />);
  take('{}');
  expect((await screen.findByRole('alert')).textContent).toBe('donor.datum names no hole. Nothing was stored.');
  expect(screen.getByText('First')).toBeTruthy();
});

it('takes one out; one that cannot be taken out stays', async () => {
  api.dropItem.mockResolvedValueOnce({ ok: false, reason: 'gone', detail: 'The shop may not write.', problems: [] });
  render(<LibraryList items={[item('one', 'First')]} writes />);
  const out = () => fireEvent.click(screen.getByRole('button', { name: /First/ }));
  out();
  expect((await screen.findByRole('alert')).textContent).toContain('The shop may not write.');
  expect(screen.getByText('First')).toBeTruthy();
  api.dropItem.mockResolvedValueOnce({ ok: true, value: null });
  out();
  await waitFor(() => expect(screen.queryByText('First')).toBeNull());
});

it('only looks without the right to change it', () => {
  render(<LibraryList items={[item('one', 'First')]} writes={false} />);
  expect(screen.queryByLabelText('Item file')).toBeNull();
  expect(screen.queryByRole('button')).toBeNull();
});

import { type Conflict, evaluatePlan } from '@splay/core';
import { describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render, screen, userEvent, within } from '../../test/page.ts';
import { ConflictList } from './conflict-list.tsx';
import { eachByKey } from './each-by-key.ts';

const all = evaluatePlan(demoJob('parcel-van').job).conflicts;
const [asks, other] = all.map((conflict): Conflict => ({ ...conflict, severity: 'warn', acceptable: true })) as [
  Conflict,
  Conflict,
];
const actions = {
  onEdit: vi.fn(),
  onAccept: vi.fn(),
  onTakeBack: vi.fn(),
  tried: ({ fixes }: Conflict) => fixes,
  removeFirst: () => null,
};
const list = (conflicts: readonly Conflict[]) => (
  <ConflictList opened conflicts={conflicts} onPick={() => undefined} actions={actions} />
);
const itemOf = (conflict: Conflict) =>
  within(screen.getByText(conflict.message, { exact: false }).closest('li') as HTMLElement);

describe('a list of conflicts', () => {
  it('keeps the reason that is being typed, and what was opened, when another conflict comes before it', async () => {
    const user = userEvent.setup();
    const { rerender } = render(list([asks]));
    await user.type(itemOf(asks).getByLabelText('Why this is accepted'), 'its bracket goes');
    rerender(list([other, { ...asks, message: `${asks.message} Still.` }]));
    expect(itemOf(asks).getByLabelText('Why this is accepted')).toHaveProperty('value', 'its bracket goes');
    await user.click(itemOf(asks).getByRole('button', { name: 'Accept' }));
    expect(actions.onAccept).toHaveBeenCalledWith(
      expect.objectContaining({ key: asks.key, message: `${asks.message} Still.` }),
      'its bracket goes',
    );
  });

  it('says what a conflict says now', () => {
    const { rerender } = render(list([asks]));
    rerender(list([{ ...asks, severity: 'stop', message: 'Worse.' }]));
    expect(screen.getByText('Worse.', { exact: false }).textContent).toBe('Stop: Worse.');
  });
});

describe('names of things in a list', () => {
  const names = (keys: readonly string[]) => eachByKey(keys, (key) => key).map(([name]) => name);

  it('stay the same whatever comes before', () => {
    expect(names(['b', 'a', 'c'])).toEqual(expect.arrayContaining([...names(['a']), ...names(['c'])]));
  });

  it('are different for things of the same key', () => {
    expect(new Set(names(['a', 'b', 'a', 'a'])).size).toBe(4);
  });

  it('are given to every plan of the shop without two the same', () => {
    const given = eachByKey(all, ({ key }) => key).map(([name]) => name);
    expect(given.length).toBeGreaterThan(4);
    expect(new Set(given).size).toBe(all.length);
  });
});

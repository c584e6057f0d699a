import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job, records } = demoJob('parcel-van');
const { job: pickup } = demoJob('beach-rescue');
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const begin = (level: '1' | '2' | '3' = '1') => {
  const opened = openBench(parts, job, { records, drawer: 'practice' });
  fireEvent.change(screen.getByRole('combobox', { name: 'How hard' }), { target: { value: level } });
  press('Give me a crooked frame');
  return opened;
};
const score = () => within(screen.getByRole('region', { name: 'Score' }));

// The frame is drawn from the time: the same one each run.
beforeEach(() => vi.spyOn(Date, 'now').mockReturnValue(1_795_000_000_000));
afterEach(() => vi.restoreAllMocks());

describe('the practice frame', () => {
  it.each(['1', '2', '3'] as const)(
    'of level %s is measured, moved as the list says, and scored; nothing goes into the job',
    (level) => {
      const { asked, done } = begin(level);
      for (let round = 0; round < 4; round += 1) {
        press('Measure everything');
        press('Show what Splay would do');
        const doAll = screen.queryByRole('button', { name: 'Do all of it' });
        if (!doAll) break;
        fireEvent.click(doAll);
      }
      press(/It is true: score it/);
      expect(score().getByText(/^True:|still out; the worst by 1\.\d times/)).toBeTruthy();
      expect(asked.onRecord).not.toHaveBeenCalled();
      expect(done()).toEqual([]);
      press('Another one');
      expect(screen.getByRole('button', { name: 'Give me a crooked frame' })).toBeTruthy();
    },
  );

  it('left as it is, it is not true, and the score says how far', () => {
    begin('3');
    press(/It is true: score it/);
    expect(score().getByText(/of 35 measurements are still out/)).toBeTruthy();
  });

  it('a move makes what was read old; what cannot be read as a length is said', () => {
    begin();
    press('Measure Tail, across');
    expect(screen.getByText('1 readings, 0 moves')).toBeTruthy();
    const amount = screen.getByRole('textbox', { name: /By how much/ });
    fireEvent.change(amount, { target: { value: 'a bit' } });
    press('Move it');
    expect(screen.getByRole('alert')).toBeTruthy();
    fireEvent.change(amount, { target: { value: '40' } });
    press('Move it');
    expect(screen.getByRole('alert').textContent).toMatch(/no correction/);
    fireEvent.change(amount, { target: { value: '-1/8' } });
    press('Move it');
    expect(screen.getByText('moved since')).toBeTruthy();
  });

  it('without a joint between measured points there is nothing to practice on', () => {
    openBench(parts, pickup, { drawer: 'practice' });
    expect(screen.getByText(/To practice, the plan needs a joint/)).toBeTruthy();
  });
});

import { evaluateJob, figureOf } from '@splay/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { BenchDefinition } from '../client/bench.ts';
import { demoJob } from '../../test/demo.ts';
import { act, fireEvent, render, screen, userEvent, within } from '../../test/page.ts';
import { partsOf } from './benches.ts';
import Workbench from './workbench.tsx';

/** A bench as one would add it: its folder, here two objects, and one line in the registry. */
vi.mock('./benches.ts', async (importOriginal) => {
  const real = await importOriginal<typeof import('./benches.ts')>();
  const paint: BenchDefinition = {
    phase: 'Seat',
    name: 'Paint',
    sentence: 'What color it gets.',
    shows: 'built',
    figures: ['wheelbase', 'width', 'mass', 'lowest', 'measured'],
    keys: [['P', 'a coat of paint']],
    load: () =>
      Promise.resolve({
        Panel: () => <p>Red oxide first.</p>,
        Tray: () => <p>A swatch of red.</p>,
        Floor: () => <p>Red, on the phone.</p>,
        along: () => [],
        drawers: { coats: { name: 'Coats', Content: () => <p>Two coats.</p> } },
        legend: [{ name: 'painted', draw: null }],
      }),
  };
  Object.assign(real.BENCHES, { paint });
  return real;
});
vi.mock('../client/live.ts', () => ({ hearJob: () => () => undefined }));
// Loads the solid kernel in its own time, which may be after the last test.
vi.mock('../client/run-solid-check.ts', () => ({ runSolidCheck: () => () => undefined }));
vi.mock('../client/save-loop.ts', () => ({
  startSaving: () => () => undefined,
}));

const { job, records } = demoJob('parcel-van');
let screenIs: 'desk' | 'tablet' | 'hand' = 'desk';

beforeEach(() => {
  screenIs = 'desk';
  // A page without a size: the board draws nothing, everything round it does.
  window.matchMedia = ((query: string) => ({
    get matches() {
      return query.includes('767') ? screenIs === 'hand' : screenIs !== 'desk';
    },
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as never;
});

const open = async (bench = 'cuts') => {
  const saved = { id: 'job-1', job, revision: 1, savedAt: '2026-05-01T08:00:00Z', savedBy: 'owner' };
  // A bench's code is loaded when it is first asked for.
  for (const id of ['cuts', 'marks', 'paint']) await partsOf(id);
  await act(async () => {
    render(
      <Workbench
        saved={saved as never}
        records={records}
        bench={bench}
        canWrite
        canRecord
        memberName="owner"
        shopName="Shop"
        me="me"
        asOf={null}
      />,
    );
    await Promise.resolve();
  });
};

describe('a bench that was added', () => {
  it('stands in its phase, with its panel, its drawer, its legend and its figures', async () => {
    await open();
    fireEvent.click(screen.getByRole('link', { name: 'Paint' }));
    const panel = await screen.findByRole('complementary', { name: 'Paint' });
    expect(within(panel).getByText('Red oxide first.')).toBeTruthy();
    expect(within(panel).getByText('What color it gets.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Coats' }));
    expect(screen.getByText('Two coats.')).toBeTruthy();
    await userEvent.setup().click(screen.getByRole('button', { name: 'Legend' }));
    expect(await screen.findByText('painted')).toBeTruthy();
    const ledger = screen.getByRole('list', { name: 'The figures that matter' });
    expect(
      within(ledger)
        .getAllByRole('button')
        .map(({ textContent }) => textContent?.slice(0, 5)),
    ).toEqual(['Wheel', 'Width', 'Mass3', 'Lowes', 'Measu', 'Next ']);
    expect(location.pathname).toBe('/jobs/job-1/paint');
  });

  it('has its phone view, its keys in the list, and its place in the palette', async () => {
    screenIs = 'hand';
    await open('paint');
    expect(await screen.findByText('Red, on the phone.')).toBeTruthy();
    await act(async () => {
      fireEvent.keyDown(window, { key: '?' });
      await import('./dialogs.tsx');
    });
    expect(await screen.findByRole('row', { name: /a coat of paint/ })).toBeTruthy();
  });
});

describe('the thread of a figure', () => {
  it('lists what the figure rests on, and says what of that is only assumed', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: /^Cab to axle/ }));
    const card = await screen.findByRole('region', { name: 'What Cab to axle rests on' });
    const { restsOn } = figureOf('cab-to-axle', job, evaluateJob(job, records));
    expect(within(card).getAllByRole('listitem')).toHaveLength(restsOn.length);
    expect(card.textContent).toMatch(/Nothing that it rests on is assumed/);
    fireEvent.keyDown(window, { key: 'Escape' });
    expect(screen.queryByRole('region', { name: 'What Cab to axle rests on' })).toBeNull();
  });
});

describe('on a tablet', () => {
  it('the order of work is a bar with the bench before and after, and a sheet of all', async () => {
    screenIs = 'tablet';
    await open();
    const bar = screen.getByRole('navigation', { name: 'Order of work' });
    expect(within(bar).getByRole('button', { name: 'Previous: Where' })).toBeTruthy();
    fireEvent.click(within(bar).getByRole('button', { name: 'Next: Splice' }));
    expect(await screen.findByRole('complementary', { name: 'Splice' })).toBeTruthy();
    await userEvent.setup().click(within(bar).getByRole('button', { name: 'Splice' }));
    const sheet = await screen.findByRole('dialog', { name: 'Order of work' });
    expect(
      within(sheet)
        .getAllByRole('link')
        .map(({ textContent }) => textContent),
    ).toContain('PaintWhat color it gets.');
  });
});

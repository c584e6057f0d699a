import { emptyPlan, inches, type Job, sectionLookup, shiftOperation } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { act, fireEvent, screen, within } from '../../../test/page.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const section = sectionLookup(van.donor);
const untouched: Job = { ...van, plan: emptyPlan('Nothing yet') };
/** The flagship with its stretch so many mm behind where it is. */
const cutAt = (mm: number): Job => ({
  ...van,
  plan: {
    ...van.plan,
    operations: van.plan.operations.map((operation) =>
      operation.kind === 'lengthen' ? shiftOperation(operation, mm) : operation,
    ),
  },
});

const tray = () => within(screen.getByRole('img', { name: 'Both rails unfolded, with the lines to scribe' }));
/** Three lengths of a line on a rail, in its title: along the top edge, the web and the bottom edge, in. */
const lengthsOf = (title: string) =>
  [...title.matchAll(/(\d+)(?: (\d+)\/(\d+))?(?= (?:in )?along)/g)].map(
    ([, whole, up, under]) => Number(whole) + (up ? Number(up) / Number(under) : 0),
  );
const titles = () =>
  [...document.querySelectorAll('svg[role="img"] title')].map(({ textContent }) => textContent ?? '');

describe('the lines to scribe', () => {
  it('stand in the panel front to rear, each from the datum hole along the top edge', () => {
    openBench(parts, van);
    const list = screen.getByRole('heading', { name: /^From the datum hole/ }).closest('section') as HTMLElement;
    const lines = within(list).getAllByRole('button');
    expect(lines.map(({ textContent }) => textContent?.match(/^[A-Z·]+/)?.[0])).toEqual(['A·B', 'A·B', 'A·B', 'C']);
    const stretch = van.plan.operations.find(({ kind }) => kind === 'lengthen');
    const datum = van.donor.features.find(({ id }) => id === van.donor.datum);
    const station = stretch?.kind === 'lengthen' ? stretch.at.x - (datum?.x ?? 0) : NaN;
    expect(station).toBeCloseTo(inches(56), 6);
    // The step is cut half of its 3 in ahead of that and half behind; the square line is not cut and not printed.
    expect(lines[0]?.textContent).toMatch(/54\s?1\s?\/\s?2$|54 1⁄2$/);
    expect(lines[2]?.textContent).toMatch(/57/);
    expect(lines.map(({ textContent }) => textContent).join()).not.toMatch(/56/);
  });

  it('say how much larger than lengths the heights are drawn', () => {
    openBench(parts, van);
    const [, ratio] =
      /heights drawn ([\d.]+) × as large/.exec(tray().getByText(/^heights drawn/).textContent ?? '') ?? [];
    const rects = [...document.querySelectorAll('svg[aria-label^="Both rails unfolded"] rect')];
    const [height, width] = ['height', 'width'].map((of) =>
      Math.max(...rects.map((each) => Number(each.getAttribute(of)))),
    );
    const { rails, sections } = van.donor;
    const channel = sections[0]!.section;
    if (rails.kind !== 'mirrored' || channel.kind !== 'channel') throw new Error('the van has mirrored channels');
    const stations = rails.stations.map(({ x }) => x);
    const unfolded = channel.depth + 2 * channel.flange;
    const along = width! / (Math.max(...stations) - Math.min(...stations));
    expect(Number(ratio)).toBeCloseTo(height! / unfolded / along, 0);
  });

  it('are picked in the panel and on the rails, and stay the same line', () => {
    const { store } = openBench(parts, van);
    fireEvent.click(screen.getByRole('button', { name: /^C/ }));
    expect(store.getState().selected).toBe('tail');
    fireEvent.click(tray().getAllByText('A·B')[0] as HTMLElement);
    expect(store.getState().selected).toBe('stretch');
    expect(screen.getAllByRole('button', { name: /^A·B/ })[0]?.getAttribute('aria-pressed')).toBe('true');
  });

  it('are on both rails alike where the rails are', () => {
    openBench(parts, van);
    const all = titles();
    expect(all).toHaveLength(8);
    expect(all.slice(0, 4)).toEqual(all.slice(4));
  });

  it('lean over the web by its depth where the cut is at 45°', () => {
    openBench(parts, { ...van, plan: { ...van.plan, splices: [] } });
    const square = lengthsOf(titles().find((title) => title.startsWith('A')) ?? '');
    expect(square).toHaveLength(3);
    expect(new Set(square).size).toBe(1);
    const [top, , bottom] = lengthsOf(titles().find((title) => title.startsWith('C')) ?? '');
    const depth = section('rail').depth / inches(1);
    expect((top ?? NaN) - (bottom ?? NaN)).toBeCloseTo(depth, 1);
  });

  it('go with the cut', () => {
    openBench(parts, cutAt(inches(1.5)));
    expect(lengthsOf(titles()[0] ?? '')[0]).toBeCloseTo(56, 6);
  });

  it('have the blade on the side of the steel that goes: none on a cut that only parts, behind the tail', () => {
    openBench(parts, van);
    const lines = [...document.querySelectorAll('svg[role="img"] g.cursor-pointer')];
    const hatched = (line: Element | undefined) => line?.querySelector('[fill="url(#hatch-cut)"]')?.getAttribute('d');
    const [parted, tail] = [lines[0], lines[3]];
    expect(hatched(parted)).toBeUndefined();
    // Out from the line at its foot, and back up beside it: to the right is to the rear.
    expect(hatched(tail)).toMatch(/h7V/);
  });
});

describe('what is said besides', () => {
  it('a plan that cuts nothing has nothing to mark, wherever it is looked at', () => {
    openBench(parts, untouched);
    expect(screen.getAllByText('Nothing to mark yet: the plan cuts nothing.')).toHaveLength(2);
  });

  it('at the frame neither, and no caution for it', () => {
    openBench(parts, untouched, {}, 'hand');
    expect(screen.getByText('Nothing to mark yet: the plan cuts nothing.')).toBeTruthy();
    expect(screen.queryByText('Before the saw')).toBeNull();
  });

  it('a change that is not saved is not on the sheet, and that is said', () => {
    const { store } = openBench(parts, van);
    expect(screen.queryByText(/The last change is not saved yet/)).toBeNull();
    act(() => store.setState({ saveState: 'saving' }));
    expect(screen.getByText(/The last change is not saved yet/)).toBeTruthy();
    act(() => store.setState({ saveState: 'saved' }));
    expect(screen.queryByText(/The last change is not saved yet/)).toBeNull();
  });

  it('at the frame each line is a card with the letter and the figure, after the cautions', () => {
    openBench(parts, van, {}, 'hand');
    const card = screen.getAllByText('A·B')[0]?.closest('li') as HTMLElement;
    expect(card.textContent).toContain('54');
    const before = screen.getByText('Before the saw').compareDocumentPosition(card);
    expect(before & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    expect(screen.getByText(/Not an approval\./)).toBeTruthy();
  });

  it('all of them are in a table that slides over the tray', () => {
    openBench(parts, van, { drawer: 'sheet' });
    const table = within(screen.getByRole('region', { name: 'Drawer' })).getAllByRole('table')[0] as HTMLElement;
    expect(within(table).getAllByRole('row').length).toBeGreaterThan(2);
    expect(table.textContent).toContain('54');
  });
});

import { evaluatePlan, inches, type Job, type SeatMount } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { benchOf } from '../../../test/bench.ts';
import { demoJob } from '../../../test/demo.ts';
import { fireEvent, render, screen } from '../../../test/page.ts';
import { picture } from '../../../test/picture.ts';
import { MatchTray } from './match-tray.tsx';

const { job: van } = demoJob('parcel-van');
const { job: sprayer } = demoJob('orchard-sprayer');

/** The tray's picture of a job, with the gaps of its mounts that are drawn, and what was asked. */
function tray(job: Job) {
  const bench = benchOf(job);
  const props = picture(bench);
  const { container } = render(<MatchTray {...props} />);
  const columns = [...container.querySelectorAll('rect')].map((rect) => {
    const [y, height] = ['y', 'height'].map((name) => Number(rect.getAttribute(name))) as [number, number];
    return { name: rect.previousElementSibling?.textContent ?? '', y, height, fill: rect.getAttribute('fill') };
  });
  return { container, columns, bench, mounts: bench.result.seats[0]?.mounts ?? [] };
}
/** The job with its body so much higher, mm. */
function lifted(job: Job, mm: number): Job {
  const [seat] = evaluatePlan(job).seats;
  if (!seat) throw new Error('no body');
  const { x, z, rake } = seat.pose;
  return { ...job, plan: { ...job.plan, seats: [{ body: seat.body.id, x, z: z + mm, rake }] } };
}
const nameOf = ({ mount, side }: SeatMount) => `${mount.name}, ${side}: `;
const columnOf = ({ columns }: ReturnType<typeof tray>, mount: SeatMount) =>
  columns.find(({ name }) => name.startsWith(nameOf(mount)));

describe('the columns of the mounts', () => {
  it.each([
    ['the flagship', van],
    ['the sprayer', sprayer],
  ])('are as high as the gaps, all to one scale: %s', (_, job) => {
    const drawn = tray(lifted(job, inches(1)));
    const gaps = drawn.mounts.filter(({ up }) => up !== null && Math.abs(up) > 10);
    expect(gaps.length).toBeGreaterThan(3);
    const scales = gaps.map((mount) => (columnOf(drawn, mount)?.height ?? NaN) / Math.abs(mount.up ?? NaN));
    for (const scale of scales) expect(scale).toBeCloseTo(scales[0] ?? NaN, 6);
  });

  it('grow with the body that is lifted, the scale staying as it is for a little', () => {
    const [low, high] = [tray(lifted(van, inches(1))), tray(lifted(van, inches(1) + 3))];
    const [mount] = low.mounts;
    const [before, after] = [low, high].map((drawn) => columnOf(drawn, mount!)?.height ?? NaN) as [number, number];
    expect(before / (mount!.up ?? NaN)).toBeCloseTo((after - before) / 3, 6);
  });

  it('stand on the line of the top of the rail, or hang under it in what is cut away', () => {
    const drawn = tray(lifted(van, -inches(2)));
    const line = Number(
      drawn.container
        .querySelector('svg > path')
        ?.getAttribute('d')
        ?.match(/^M0 ([\d.]+)H/)?.[1],
    );
    for (const mount of drawn.mounts) {
      const column = columnOf(drawn, mount);
      if (mount.up === null || Math.abs(mount.up) < 1 || !column) continue;
      expect(mount.up > 0 ? column.y + column.height : column.y).toBeCloseTo(line, 6);
      if (mount.up < 0) expect(column.fill).toBe('url(#hatch-cut)');
    }
    expect(drawn.mounts.some(({ up }) => (up ?? 0) < -1)).toBe(true);
  });

  it('say their words in sight, also where they stand at an edge; what lies beyond is not drawn', () => {
    const pushed = (mm: number): Job => {
      const [seat] = evaluatePlan(van).seats;
      const { x, z, rake } = seat!.pose;
      return { ...van, plan: { ...van.plan, seats: [{ body: seat!.body.id, x: x + mm, z, rake }] } };
    };
    const names = ({ container }: ReturnType<typeof tray>) =>
      [...container.querySelectorAll<SVGGElement>('g.cursor-pointer')].map((pair) => ({
        column: Number(/translate\((-?[\d.]+)/.exec(pair.getAttribute('transform') ?? '')?.[1]),
        words: [...pair.querySelectorAll('text')].map((text) => Number(text.getAttribute('x') ?? 0)),
      }));
    const drawn = [0, 500, 900, 1300, 5000].map((mm) => names(tray(pushed(mm))));
    expect(drawn[0]!.length).toBe(5);
    for (const { column, words } of drawn.flat())
      for (const aside of words) {
        expect(column + aside).toBeGreaterThanOrEqual(54);
        expect(column + aside).toBeLessThanOrEqual(900 - 54);
      }
    expect(drawn[4]!.length).toBeLessThan(5);
    expect(drawn.flat().some(({ words }) => words.some((aside) => aside !== 0))).toBe(true);
  });

  it('are pressed to look at the mount on the frame', () => {
    const { container, bench, mounts } = tray(van);
    const first = mounts.toSorted((a, b) => a.at.x - b.at.x)[0]!;
    fireEvent.click(container.querySelector('g.cursor-pointer')!);
    expect(bench.onLook).toHaveBeenCalledWith(expect.closeTo(first.at.x, 6));
    expect(bench.onSelect).toHaveBeenCalledWith(expect.stringMatching(/./));
  });
});

it('without mounts, or without a body, it says what is wanting', () => {
  const bare = { ...van, bodies: van.bodies.map((body) => ({ ...body, mounts: [] })) };
  tray({ ...bare, plan: { ...bare.plan, mountings: [] } });
  expect(screen.getByText(/stand here as columns once they are measured/)).toBeTruthy();
  tray({ ...van, bodies: [], plan: { ...van.plan, seats: [], mountings: [] } });
  expect(screen.getByText('No body is measured yet.')).toBeTruthy();
});

import { evaluatePlan, inches, type Job } from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../../test/demo.ts';
import { openBench } from '../../../test/open-bench.tsx';
import { fireEvent, screen, within } from '../../../test/page.ts';
import { undo } from '../../client/job-store.ts';
import { BODY_LISTS, bodyStops, oneMoreOf } from './body-stops.ts';
import { parts } from './parts.tsx';

const { job: van } = demoJob('parcel-van');
const [carrier] = van.bodies;
const type = (name: string | RegExp, text: string) => {
  const box = screen.getByRole<HTMLInputElement>('textbox', { name });
  fireEvent.change(box, { target: { value: text } });
  fireEvent.blur(box);
};
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const pasted = (name: string | RegExp, text: string) =>
  fireEvent.paste(screen.getByRole('textbox', { name }), { clipboardData: { getData: () => text } });

describe('a floor that is not level across', () => {
  it('is typed point by point, comes down on the rail there, and is level again without points', () => {
    const { now, store } = openBench(parts, van, { drawer: 'boxes' });
    press('Add a point across');
    expect(now().bodies[0]!.across).toEqual([{ out: 0, z: 0 }]);
    press('Add a point across');
    type('From the middle, outward, row 2', '15');
    type('Over the middle, under it below 0, row 2', '-2 1/2');
    expect(now().bodies[0]!.across).toEqual([
      { out: 0, z: 0 },
      { out: expect.closeTo(inches(15), 6) as number, z: expect.closeTo(inches(-2.5), 6) as number },
    ]);
    const across = within(screen.getByRole('region', { name: 'Floor across' }));
    fireEvent.click(across.getByRole('button', { name: 'Remove row 2' }));
    fireEvent.click(across.getByRole('button', { name: 'Remove row 1' }));
    expect(now().bodies[0]).not.toHaveProperty('across');
    undo(store);
    expect(now().bodies[0]!.across).toHaveLength(1);
  });

  it('both sides are alike: what lies on the other side is refused at its cell, why stands there, and nothing changed', () => {
    const { now } = openBench(
      parts,
      { ...van, bodies: [{ ...carrier!, across: [{ out: 100, z: 0 }] }] },
      {
        drawer: 'boxes',
      },
    );
    type('From the middle, outward, row 1', '-2');
    expect(screen.getByText(/Both sides are alike: measure outward/)).toBeTruthy();
    expect(now().bodies[0]!.across).toEqual([{ out: 100, z: 0 }]);
  });
});

describe('an opening that is no circle', () => {
  it('its edge is pasted from a spreadsheet, and the room round the tire is measured to it', () => {
    const { now } = openBench(parts, van, { drawer: 'openings' });
    const [opening] = carrier!.openings;
    const room = (job: Job) => evaluatePlan(job).seats[0]!.openings[0]!.room;
    const before = room(van)!;
    fireEvent.click(screen.getByText(`${opening!.name}, edge by points: 0`));
    const add = screen.getAllByRole('button', { name: 'Add a point' })[0]!;
    fireEvent.click(add);
    const [x, z] = [opening!.x / 25.4, (opening!.z ?? 0) / 25.4];
    const row = (dx: number, dz: number) => `${(x + dx).toFixed(3)}\t${(z + dz).toFixed(3)}`;
    pasted('From the tape, row 1', [row(-24, 0), row(-24, 24), row(24, 24), row(24, 0)].join('\n'));
    expect(now().bodies[0]!.openings[0]!.outline).toHaveLength(4);
    expect(room(now())!.ride).not.toBeCloseTo(before.ride, 2);
    expect(screen.getByText(`${opening!.name}, edge by points: 4`)).toBeTruthy();
  });
});

describe('what a body is walked along', () => {
  it.each(BODY_LISTS.map(([list]) => list))('%s: from the front, each figure put where it is shown', (list) => {
    const stops = bodyStops(carrier!, list);
    expect(stops.length).toBe(carrier![list].length);
    expect(stops.map(({ x }) => x)).toEqual(stops.map(({ x }) => x).toSorted((a, b) => a - b));
    for (const [index, stop] of stops.entries()) {
      expect(stop.without()[list]).toHaveLength(stops.length - 1);
      for (const [at, figure] of stop.figures.entries()) {
        const after = bodyStops(figure.put(1234.5), list).find(({ id }) => id === stop.id)!;
        expect(after.figures[at]!.mm).toBe(1234.5);
        expect(after.figures.filter((_, other) => other !== at).map(({ mm }) => mm)).toEqual(
          stop.figures.filter((_, other) => other !== at).map(({ mm }) => mm),
        );
      }
      const { doc, id } = oneMoreOf(carrier!, list, index);
      expect(doc[list].map((one) => one.id)).toEqual([...carrier![list].map((one) => one.id), id]);
    }
  });
});

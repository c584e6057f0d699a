import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseJobFile } from '../job/index.ts';
import { evaluateShoring } from '../plan/index.ts';
import type { SheetItem } from './sheet-drawing.ts';
import { standDrawing, standNumbers } from './stand-drawing.ts';

const WIDTH = 180;
const { job: van } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const stepOf = (job: typeof van) => evaluateShoring(job).steps[0]!;
const texts = (items: readonly SheetItem[]) => items.flatMap((item) => (item.kind === 'text' ? [item] : []));
const paths = (items: readonly SheetItem[], ink: string) =>
  items.flatMap((item) => (item.kind === 'path' && item.ink === ink ? [item.points] : []));

describe('the frame on its stands, as a sheet draws it', () => {
  const step = stepOf(van);
  const { items, height } = standDrawing(step, van, WIDTH);

  it('has a post for each station, from the floor to the steel, under the number of its rows', () => {
    const numbers = standNumbers(step.whole.stands);
    const posts = paths(items, 'thing');
    expect(posts).toHaveLength(numbers.size);
    for (const { shore, at } of step.whole.stands) {
      const others = step.whole.stands.filter((each) => each.at.x < at.x - 1);
      expect(numbers.get(shore.id)).toBe(new Set(others.map((each) => each.shore.id)).size + 1);
    }
    const shown = texts(items).map(({ tag }) => tag);
    for (const number of numbers.values()) expect(shown).toContain(String(number));
    // As far apart on paper as on the floor.
    const xs = [...new Set(step.whole.stands.map(({ at }) => at.x))].sort((a, b) => a - b);
    const on = posts.map(([foot]) => foot![0]).sort((a, b) => a - b);
    const share = (on[1]! - on[0]!) / (xs[1]! - xs[0]!);
    on.forEach((x, index) => expect(x - on[0]!).toBeCloseTo(share * (xs[index]! - xs[0]!), 3));
  });

  it('names its cuts, stays on the paper, and puts no label over another', () => {
    const shown = texts(items);
    for (const { name } of step.cuts) expect(shown.map(({ tag }) => tag)).toContain(name);
    for (const points of items.flatMap((item) => (item.kind === 'path' ? [item.points] : [])))
      for (const [x, y] of points) {
        expect(x).toBeGreaterThan(-0.01);
        expect(x).toBeLessThan(WIDTH + 0.01);
        expect(y).toBeGreaterThan(0);
        expect(y).toBeLessThan(height);
      }
    shown.forEach((a, index) => {
      for (const b of shown.slice(index + 1))
        if (a.at[1] === b.at[1]) expect(Math.abs(a.at[0] - b.at[0])).toBeGreaterThan(2);
    });
  });

  it('is drawn also where nobody has said how high the frame stands, and where nothing holds it', () => {
    const unknown = { ...van, plan: { ...van.plan, shoring: { ...van.plan.shoring, level: null } } };
    const bare = { ...van, plan: { ...van.plan, shoring: { ...van.plan.shoring, shores: [] } } };
    for (const job of [unknown, bare]) {
      const drawing = standDrawing(stepOf(job), job, WIDTH);
      expect(JSON.stringify(drawing)).not.toMatch(/null,null|NaN/);
      expect(drawing.height).toBeGreaterThan(20);
    }
    expect(standDrawing(stepOf(bare), bare, WIDTH).says).not.toContain('numbered');
  });
});

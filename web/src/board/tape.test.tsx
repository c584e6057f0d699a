import fc from 'fast-check';
import {
  emptyPlan,
  evaluatePlan,
  formatLength,
  inches,
  type PlanResult,
  shiftOperation,
  withOperation,
} from '@splay/core';
import { describe, expect, it } from 'vitest';
import { demoJob } from '../../test/demo.ts';
import { render } from '../../test/page.ts';
import { TapeStrip } from './tape.tsx';
import { multiples, outermost, tickStep } from './ticks.ts';
import { fitView, reachOf, toPx } from './view.ts';

const { job } = demoJob('parcel-van');
const stretch = job.plan.operations.find(({ kind }) => kind === 'lengthen')!;
/** The flagship with its stretch moved by mm. */
const moved = (mm: number) => evaluatePlan({ ...job, plan: withOperation(job.plan, shiftOperation(stretch, mm)) });
const donor = evaluatePlan({ ...job, plan: emptyPlan('') });
const built = moved(0);
const datum = built.datum.donor;
const view = fitView(1200, reachOf(built));
const step = tickStep(view.scale, job.display);

const Strip = ({ of, alone = false }: { readonly of: PlanResult; readonly alone?: boolean }) => (
  <svg>
    <TapeStrip tape={of.tape} view={view} format={job.display} zero={of.datum} y={100} alone={alone} />
  </svg>
);
const strip = (of: PlanResult, alone = false) => render(<Strip of={of} alone={alone} />).container;
/** Where marks of an edge stand, px, left to right: those that hang from the upper line, or stand on the lower. */
const marksOf = (container: HTMLElement, edge: 'donor' | 'built') =>
  [...container.querySelectorAll(edge === 'donor' ? 'g.text-pencil path' : 'g.text-graphite path')]
    .flatMap((path) => [...(path.getAttribute('d') ?? '').matchAll(/M(-?[\d.]+) /g)].map(([, x]) => Number(x)))
    .sort((a, b) => a - b);

describe('the two-sided tape', () => {
  it('reads the donor along its upper edge: every mark of it where its steel went, none where steel is added', () => {
    const drawn = marksOf(strip(built), 'donor');
    const wanted = built.tape.spans
      .flatMap(({ donorFrom, donorTo, builtFrom }) =>
        donorFrom === null || donorTo === null
          ? []
          : multiples(donorFrom - datum, donorTo - datum, step.minor).map((at) =>
              toPx(view, at + datum + builtFrom - donorFrom),
            ),
      )
      .sort((a, b) => a - b);
    expect(drawn).toHaveLength(wanted.length);
    drawn.forEach((x, index) => expect(x).toBeCloseTo(wanted[index] ?? NaN, 1));
    const added = built.tape.spans.find(({ kind }) => kind === 'new')!;
    const inside = (x: number) => x > toPx(view, added.builtFrom) + 0.5 && x < toPx(view, added.builtTo) - 0.5;
    expect(drawn.filter(inside)).toEqual([]);
    expect(marksOf(strip(built), 'built').some(inside)).toBe(true);
  });

  it('is the same wherever the cut lies between two marks', () => {
    // The stretch is 56 in from the datum hole, on a mark: a little behind it, and nearly at the next.
    const [one, other] = [inches(0.4), inches(0.9)].map((mm) => marksOf(strip(moved(mm)), 'donor'));
    expect(step.minor).toBeGreaterThan(inches(0.9));
    expect(one).toEqual(other);
    expect(marksOf(strip(moved(step.minor + inches(0.4))), 'donor')).not.toEqual(one);
  });

  it('reads 0 at the datum hole on both edges, where the cut is ahead of it too', () => {
    for (const by of [0, datum - 600 - (stretch as { at: { x: number } }).at.x]) {
      const of = moved(by);
      if (by !== 0) expect(of.datum.built - of.datum.donor).toBeGreaterThan(300);
      const container = strip(of);
      const zeros = ['g.text-pencil text', 'g.text-graphite text'].map((edge) =>
        [...container.querySelectorAll(edge)].find(({ textContent }) => textContent === '0'),
      );
      for (const zero of zeros) expect(Number(zero!.getAttribute('x'))).toBeCloseTo(toPx(view, of.datum.built), 1);
    }
  });

  it('says how much steel is added, and how much is in the fold where it is taken out', () => {
    const { textContent } = strip(built);
    expect(textContent).toContain('+14 3⁄4');
    const [fold, ...others] = built.tape.folds;
    expect(others).toEqual([]);
    const { sign, whole, fraction } = formatLength(fold!.donorFrom - fold!.donorTo, job.display);
    expect(sign).toBe('−');
    expect(textContent).toContain(`${sign}${whole} ${fraction.replace('/', '⁄')}`.trim());
  });

  it('has one edge where the donor stands alone, marked from end to end', () => {
    const container = strip(donor, true);
    expect(marksOf(container, 'donor')).toEqual([]);
    expect(container.textContent).toContain('DONOR');
    expect(container.textContent).not.toContain('BUILT');
    const drawn = marksOf(container, 'built');
    const ends = donor.tape.spans.flatMap(({ builtFrom, builtTo }) => [builtFrom, builtTo]);
    expect(drawn).toHaveLength(multiples(Math.min(...ends) - datum, Math.max(...ends) - datum, step.minor).length);
  });
});

describe('marks of a stretch', () => {
  const mm = fc.double({ min: -8000, max: 8000, noNaN: true });
  const steps = fc.constantFrom(inches(1 / 16), inches(1), inches(12), 10, 500);

  it('begin and end with the outermost, each inside, the next ones out of it', () => {
    fc.assert(
      fc.property(mm, fc.double({ min: 0, max: 3000, noNaN: true }), steps, (from, long, by) => {
        const to = from + long;
        const [first, last] = outermost(from, to, by);
        const all = multiples(from, to, by);
        expect(last >= first).toBe(all.length > 0);
        if (all.length > 0) {
          expect(all[0]).toBeCloseTo(first, 6);
          expect(all.at(-1)).toBeCloseTo(last, 6);
        }
        for (const at of all) expect(Math.abs(at / by - Math.round(at / by))).toBeLessThan(1e-6);
        expect(first - by).toBeLessThan(from);
        expect(last + by).toBeGreaterThan(to);
      }),
    );
  });

  it('are the same for the stretch from its first mark to its last', () => {
    fc.assert(
      fc.property(mm, fc.double({ min: 0, max: 3000, noNaN: true }), steps, (from, long, by) => {
        const [first, last] = outermost(from, from + long, by);
        expect(multiples(first, last, by)).toHaveLength(multiples(from, from + long, by).length);
      }),
    );
  });
});

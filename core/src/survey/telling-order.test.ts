import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { parseJobFile, planOf } from '../job/index.ts';
import { adjustNetwork } from './network.ts';
import { readingOrder } from './frame-survey.ts';
import type { Observation, Points } from './observation.ts';
import { tellingOrder } from './telling-order.ts';

const { job } = parseJobFile(readFileSync(new URL('../../../demo/parcel-van.json', import.meta.url), 'utf8'));
const { controls } = planOf(job);
const tape = (from: string, to: string): Observation => ({
  id: `${from}${to}`,
  kind: 'tape',
  from,
  to,
  value: 0,
  sigma: 0.5,
});
const height = (at: string): Observation => ({ id: at, kind: 'height', at, value: 0, sigma: 0.5 });

/** A rectangle: two pairs. */
const four: Points = {
  a: { x: 0, y: -400, z: 0 },
  b: { x: 0, y: 400, z: 0 },
  c: { x: 3000, y: -400, z: 0 },
  d: { x: 3000, y: 400, z: 0 },
};
const sides = [tape('a', 'b'), tape('c', 'd'), tape('a', 'c'), tape('b', 'd')];
const heights = ['a', 'b', 'c', 'd'].map(height);

describe('readings in the order in which they tell most', () => {
  it('holds a rectangle by four sides, a diagonal and four heights', () => {
    // Eight coordinates in plan less three of the whole: five tapes.
    const one = [...sides, tape('a', 'd'), ...heights];
    expect(tellingOrder(four, one)).toMatchObject({ holds: 9 });
    expect(tellingOrder(four, [...sides, ...heights]).holds).toBeNull();
    expect(tellingOrder(four, one.slice(1)).holds).toBeNull();
    expect(tellingOrder(four, [...one, tape('b', 'c')]).holds).toBe(9);
  });

  it('knows which readings nothing checks', () => {
    const one = [...sides, tape('a', 'd'), ...heights];
    expect(new Set(tellingOrder(four, one).unchecked)).toEqual(new Set(one.map(({ id }) => id)));
    // The sixth tape checks all, the long ones by a fourth each, the widths by (800 / 3105)² of that: next to nothing.
    const { unchecked } = tellingOrder(four, [...one, tape('b', 'c')]);
    expect(new Set(unchecked)).toEqual(new Set(['ab', 'cd', 'a', 'b', 'c', 'd']));
  });

  it('takes a reading that adds nothing last', () => {
    const twice = { ...tape('a', 'b'), id: 'again' };
    const { ids } = tellingOrder(four, [tape('a', 'b'), twice, ...sides.slice(1), tape('a', 'd'), ...heights]);
    expect(['ab', 'again']).toContain(ids.at(-1));
  });

  it('says so of a frame the adjustment itself holds with the same readings, and with one less does not', () => {
    const { order, holds } = readingOrder(controls, 'before-cut', job.rules);
    expect(order).toHaveLength(controls.length);
    const { nominal, observations } = networkOf(order);
    expect('ways' in adjustNetwork(nominal, observations.slice(0, holds!), observations)).toBe(false);
    expect('ways' in adjustNetwork(nominal, observations.slice(0, holds! - 1), observations)).toBe(true);
  });

  it('holds in fewer readings than the order of the list does', () => {
    const { holds } = readingOrder(controls, 'before-cut', job.rules);
    const { nominal, observations } = networkOf(controls);
    expect('ways' in adjustNetwork(nominal, observations.slice(0, holds!), observations)).toBe(true);
  });
});

/** The donor's network with every measurement read as it should be. */
function networkOf(list: typeof controls) {
  const endsOf = ({ measurement }: (typeof controls)[number]) =>
    measurement.kind === 'height' ? [measurement.at] : [measurement.from, measurement.to];
  const nominal: Points = Object.fromEntries(
    list.flatMap((control) =>
      endsOf(control).map(({ point, side }, at) => [`${point}/${side}`, control.ends.donor[at]!]),
    ),
  );
  const observations = list.map((control): Observation => {
    const [from = '', to = ''] = endsOf(control).map(({ point, side }) => `${point}/${side}`);
    const { id, kind } = control.measurement;
    const value = control.before!;
    if (kind === 'height') return { id, kind, at: from, value, sigma: 1 };
    return { id, kind: kind === 'rise' ? 'rise' : 'tape', from, to, value, sigma: 1 };
  });
  return { nominal, observations };
}

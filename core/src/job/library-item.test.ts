import { describe, expect, it } from 'vitest';
import { tour, van } from '../../test/joints.ts';
import { checkJob, itemOf, parseItem, withCopiedBody, writeItem } from './index.ts';

const [body] = van.bodies;
let count = 0;
const newId = (prefix: string) => `${prefix}-new-${(count += 1)}`;

describe('an item of the library', () => {
  it('a donor and a body go out and come in the same, with the job that they are from', () => {
    for (const item of [itemOf(van), itemOf(van, body)]) {
      const back = parseItem(writeItem(item));
      expect(back).toEqual(item);
      expect(back.from).toBe(van.name);
    }
  });

  it.each([
    ['no JSON', 'not json', /not JSON/],
    ['a job file', JSON.stringify({ format: 'splay-job', version: 7 }), /format is not/],
    [
      'another kind',
      JSON.stringify({ format: 'splay-item', version: 7, kind: 'wheel', item: {} }),
      /a donor or a body/,
    ],
    [
      'a newer one',
      JSON.stringify({ format: 'splay-item', version: 99, kind: 'body', item: {} }),
      /Update the program/,
    ],
    [
      'half a body',
      JSON.stringify({ format: 'splay-item', version: 7, kind: 'body', item: { name: 'x' } }),
      /item\.openings/,
    ],
    [
      'a body that cannot be',
      JSON.stringify({ ...itemOf(van, body), item: { ...body, masses: [{ ...body!.masses[0], mass: 0 }] } }),
      /item\.masses\[0\]\.mass.*above 0/,
    ],
    [
      'a donor that cannot be',
      JSON.stringify({ ...itemOf(van), item: { ...van.donor, rails: { kind: 'mirrored', stations: [] } } }),
      /two stations at least/,
    ],
  ])('%s is refused, with what to do or where', (_, text, message) => {
    expect(() => parseItem(text)).toThrow(message);
  });

  it('a body is copied into a job with ids of its own, and says what it was copied from; twice is two', () => {
    const once = withCopiedBody(tour, body!, 'Parcel van', newId);
    const twice = withCopiedBody(once.job, body!, 'Parcel van', newId);
    expect(() => checkJob(twice.job)).not.toThrow();
    const copy = twice.job.bodies.find(({ id }) => id === once.id)!;
    expect(copy).toMatchObject({ name: body!.name, copiedFrom: 'Parcel van' });
    expect(copy.mounts.map(({ x, y, z }) => [x, y, z])).toEqual(body!.mounts.map(({ x, y, z }) => [x, y, z]));
    expect(twice.job.bodies).toHaveLength(tour.bodies.length + 2);
  });
});

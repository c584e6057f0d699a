import { describe, expect, it } from 'vitest';
import { render } from '../../test/page.ts';
import { alike, memoized } from './memoized.ts';

describe('what is alike', () => {
  const place = { id: 'hole', at: [1, { x: 0.1 + 0.2, z: null }] };

  it('is the same but for what rounding leaves', () => {
    expect(alike(place, { id: 'hole', at: [1, { x: 0.3, z: null }] })).toBe(true);
    expect(alike(Number.NaN, Number.NaN)).toBe(true);
  });

  it.each([
    ['a figure', { ...place, at: [1, { x: 0.301, z: null }] }],
    ['a name', { ...place, id: 'other' }],
    ['one more', { ...place, at: [...place.at, 2] }],
    ['one less', { id: 'hole' }],
    ['another key', { id: 'hole', on: place.at }],
    ['nothing', { ...place, at: null }],
    ['a list for an object', { ...place, at: { 0: 1, 1: place.at[1] } }],
    ['no figure', { ...place, at: [1, { x: Number.NaN, z: null }] }],
  ])('is not with %s', (_, other) => {
    expect(alike(place, other)).toBe(false);
    expect(alike(other, place)).toBe(false);
  });

  it('takes functions and what is no plain data for what they are', () => {
    const pick = () => 1;
    expect(alike({ pick }, { pick })).toBe(true);
    expect(alike({ pick }, { pick: () => 1 })).toBe(false);
    expect(alike(new Map([[1, 2]]), new Map([[1, 2]]))).toBe(false);
    expect(alike(new Set([1]), {})).toBe(false);
  });
});

it('a part of the screen is drawn again only when what it shows has changed', () => {
  let drawn = 0;
  const Mark = memoized(function Mark({ at }: { readonly at: { readonly x: number } }) {
    drawn += 1;
    return <p>{at.x.toFixed(1)}</p>;
  });
  const { rerender, container } = render(<Mark at={{ x: 0.3 }} />);
  rerender(<Mark at={{ x: 0.1 + 0.2 }} />);
  expect(drawn).toBe(1);
  rerender(<Mark at={{ x: 0.4 }} />);
  expect(drawn).toBe(2);
  expect(container.textContent).toBe('0.4');
});

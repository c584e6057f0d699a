import { describe, expect, it } from 'vitest';
import { withRoom } from './marks-layer.tsx';

const tag = (key: string, letters: string, x: number) => ({ key, letters, x });

describe('tags over the lines to cut', () => {
  it('hang in one row where they have room', () => {
    const rows = withRoom([tag('b', 'B', 300), tag('a', 'A', 100)]);
    expect([...rows]).toEqual([
      ['a', 0],
      ['b', 0],
    ]);
  });

  it('hang below each other where two cuts are close together', () => {
    const rows = withRoom([tag('a', 'A', 100), tag('b', 'B', 108), tag('c', 'C', 112)]);
    expect(rows.get('a')).toBe(0);
    expect(rows.get('b')).toBe(1);
    expect(rows.get('c')).toBe(2);
  });

  it('are drawn once where the lines of one cut are close together', () => {
    const rows = withRoom([tag('front', 'C', 100), tag('rear', 'C', 106), tag('far', 'C', 200)]);
    expect([...rows.keys()]).toEqual(['front', 'far']);
  });
});

import { describe, expect, it } from 'vitest';
import { featureAt } from '../../test/frames.ts';
import { asUsual, factsOf, FEATURE_KINDS, USUAL_FIGURES, withFigures } from './index.ts';

describe('what is usual for a kind of feature', () => {
  const pasted = { ...featureAt('link', 1200), kind: 'link-bracket', usual: USUAL_FIGURES } as const;

  it('is what nobody has measured: a link bracket is no bare hole', () => {
    const link = asUsual(pasted);
    expect(link).toMatchObject({ attachment: 'bolts', movable: 're-drill', x: 1200 });
    expect(Math.min(link.ahead, link.behind, link.mass, link.diameter)).toBeGreaterThan(0);
    expect(link.usual).toEqual(USUAL_FIGURES);
  });

  it('leaves what was measured, and forgets that a figure was assumed once it is typed', () => {
    const measured = withFigures(asUsual(pasted), { ahead: 33, mass: 9 });
    expect(measured.usual).toEqual(['behind', 'diameter', 'attachment', 'movable']);
    expect(asUsual({ ...measured, kind: 'coil-seat' })).toMatchObject({ ahead: 33, mass: 9, attachment: 'weld' });
    const all = withFigures(measured, { behind: 1, diameter: 2, attachment: 'weld', movable: 'no' });
    expect('usual' in all).toBe(false);
    expect(asUsual(all)).toEqual(all);
  });

  it.each(FEATURE_KINDS)('a %s can be fastened and moved as it says', (kind) => {
    const { usual, bracket } = factsOf(kind);
    // A mark in the steel weighs nothing and goes nowhere; a bracket weighs something and has a reach.
    expect([usual.mass > 0, usual.reach > 0 || !bracket]).toEqual([bracket, true]);
    if (!bracket) expect(usual.movable).toBe('no');
    if (usual.attachment === 'bolts') expect(usual.hole).toBeGreaterThan(0);
  });
});

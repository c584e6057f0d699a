import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import type { Brace, Member } from '../../frame/index.ts';
import { evaluateProps } from '../index.ts';

/** A solid-looking tube: 80 × 60 × 4, kg for each mm. */
const AREA = 80 * 60 - 72 * 52;
const PER_MM = AREA * 7.85e-6;
const RAIL = (150 * 60 - 140 * 50) * 7.85e-6;
const sections = [
  ...plainFrame().sections,
  { id: 'leg', section: { kind: 'tube', depth: 80, width: 60, thickness: 4, inner: 4 } as const },
];
const tube = (id: string, from: number, to: number, outward = 300): Member => ({
  id,
  name: id,
  copies: 'pair',
  section: 'leg',
  path: [
    { x: from, outward, z: 200 },
    { x: to, outward, z: 200 },
  ],
  front: { on: 'free', fixing: 'welded' },
  rear: { on: 'free', fixing: 'welded' },
});
const cut: Bare = { kind: 'lengthen', at: donor(2000), length: 300 };
const loose = (frame: Parameters<typeof plainFrame>[0], operation: Bare = cut) =>
  evaluateProps(inputOf(plainFrame({ sections, ...frame }), operation)).steps[0]!.loose;

describe('a member across a cut', () => {
  it('bears on each side with the part of it that is there', () => {
    // 500 … 4500: 1500 of each tube ahead of the cut at 2000, 2500 behind it. Its middle is at 2500, behind the cut.
    const [front, rear] = loose({ members: [tube('upper', 500, 4500)] });
    expect(front!.mass).toBeNear(2 * RAIL * 2000 + 2 * PER_MM * 1500, 1e-6);
    expect(rear!.mass).toBeNear(2 * RAIL * 4000 + 2 * PER_MM * 2500, 1e-6);
    // It balances where its own part does.
    const steel = 2 * RAIL * 2000;
    expect(front!.centre.x).toBeNear((steel * 1000 + 2 * PER_MM * 1500 * 1250) / front!.mass, 1e-6);
  });

  it('on the diagonal is parted where its line runs through the cut', () => {
    const brace: Brace = {
      id: 'b',
      name: 'b',
      from: { rail: 'left', x: 1700, down: 0 },
      to: { rail: 'right', x: 2900, down: 0 },
      section: 'leg',
      fixing: 'bolted',
      removable: true,
    };
    const [front, rear] = loose({ braces: [brace] });
    const long = Math.hypot(1200, 860);
    expect(front!.mass).toBeNear(2 * RAIL * 2000 + PER_MM * long * 0.25, 1e-6);
    expect(rear!.mass).toBeNear(2 * RAIL * 4000 + PER_MM * long * 0.75, 1e-6);
  });

  it('all parts together weigh what the frame does, wherever it is cut', () => {
    for (const at of [700, 1999.999, 2000, 3333, 4499, 5000]) {
      const parts = loose({ members: [tube('upper', 500, 4500)] }, { kind: 'lengthen', at: donor(at), length: 300 });
      const whole = 2 * RAIL * 6000 + 2 * PER_MM * 4000;
      expect(parts.reduce((sum, { mass }) => sum + mass, 0)).toBeNear(whole, 1e-6);
    }
  });
});

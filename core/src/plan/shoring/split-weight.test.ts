import { describe, expect, it } from 'vitest';
import { type Bare, donor, inputOf, plainFrame } from '../../../test/frames.ts';
import type { Brace, Member } from '../../frame/index.ts';
import { evaluateShoring } from '../index.ts';

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
  evaluateShoring(inputOf(plainFrame({ sections, ...frame }), operation)).steps[0]!.loose;

describe('a member across a cut', () => {
  it('bears on each side with the part of it that is there', () => {
    // 500 … 4500: 1500 of each tube ahead of the cut at 2000, 2500 behind it. Its middle is at 2500, behind the cut.
    const [front, rear] = loose({ members: [tube('upper', 500, 4500)] });
    expect(front!.mass).toBeNear(2 * RAIL * 2000 + 2 * PER_MM * 1500, 1e-6);
    expect(rear!.mass).toBeNear(2 * RAIL * 4000 + 2 * PER_MM * 2500, 1e-6);
    // It balances where its own part does.
    const steel = 2 * RAIL * 2000;
    expect(front!.center.x).toBeNear((steel * 1000 + 2 * PER_MM * 1500 * 1250) / front!.mass, 1e-6);
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

describe('steel that the plan adds before a cut', () => {
  const open = plainFrame({
    sections: [{ id: 'rail', section: { kind: 'channel', depth: 150, flange: 60, thickness: 5 } }],
  });
  const box: Bare = { kind: 'box', from: donor(2500), to: donor(4500), plate: 4, taper: 0 };
  const notch: Bare = {
    kind: 'notch',
    at: donor(5000),
    width: 400,
    depth: 60,
    from: 'below',
    form: 'arch',
    plate: 0,
  };
  const before = (...operations: readonly Bare[]) => evaluateShoring(inputOf(open, ...operations)).steps[0]!;

  it('bears on its part: boxing plates add to it, a notch takes away', () => {
    const rear = (...operations: readonly Bare[]) => before(...operations).loose[1]!;
    const bare = rear(cut);
    expect(rear(box, cut).mass - bare.mass).toBeNear(2 * 2000 * 150 * 4 * 7.85e-6, 1e-9);
    expect(rear(notch, cut).mass).toBeLessThan(bare.mass - 0.5);
    // Not before its turn.
    expect(rear(cut, box).mass).toBeNear(bare.mass, 1e-9);
    expect(before(box, cut).loose[0]!.mass).toBeNear(before(cut).loose[0]!.mass, 1e-9);
  });

  it('makes the rail as stiff there as it is with its plate', () => {
    const { stretches } = before(box, cut).cuts[0]!.beam;
    const at = (x: number) => stretches.find(({ from, to }) => from <= x && to > x)!.stiffness;
    // Both rails: a plate 4 × 150 on each adds t·h³/12.
    expect(at(3000) - at(1000)).toBeNear((2 * 210_000 * 4 * 150 ** 3) / 12, 1);
    expect(at(5000)).toBeNear(at(1000), 1e-6);
    const notched = before(notch, cut).cuts[0]!.beam.stretches;
    expect(Math.min(...notched.map(({ stiffness }) => stiffness))).toBeLessThan(0.5 * at(1000));
  });
});

import { bentStrip, type Bracket, type Contact } from '../../mounting/index.ts';
import type { Rulebook } from '../../rules/index.ts';
import { box } from '../flat-part.ts';
import type { DrawnPoint } from '../outline.ts';
import { bendLines, bendOf, holeAt, type Made, reachAt, RIGHT_ANGLE } from './flat-bracket.ts';
import type { MountingOutcome } from './mounting-outcome.ts';

/** Fillets where an arm or angle lies on the web, mm: those that its strength is calculated with. */
const weldOn = ({ height, top, foot }: Contact, along: number, closed: boolean): number =>
  2 * height + (top ? along : 0) + (foot && closed ? along : 0);

/** How far an arm runs on beyond its mount, in its own width. */
const BEYOND = 0.5;

/**
 * An arm laid flat: a side, the top, the other side; the end at the rail follows its web.
 *
 * @param bracket The arm.
 * @param outcome How its mount is made.
 * @param rules The shop's rulebook.
 * @param show A length as the shop reads it.
 */
export function armFlat(
  bracket: Extract<Bracket, { form: 'arm' }>,
  { edge, seat, reach, contact }: MountingOutcome,
  rules: Rulebook,
  show: (mm: number) => string,
): readonly Made[] {
  const { make, thickness: t, along, deep, tip, radius, fixing } = bracket;
  const beyond = BEYOND * along;
  const weldLength = fixing.by === 'weld' ? weldOn(contact, along, make !== 'folded') : 0;
  const foot = fixing.by === 'bolts' ? [footPlate(bracket, fixing)] : [];
  const [front, rear] = [reachAt(edge(), -along / 2), reachAt(edge(), along / 2)];
  const length = Math.max(front, rear) + beyond;
  if (make === 'tube') {
    return [
      {
        name: 'arm of tube',
        stock: `rectangular tube, ${show(deep)} × ${show(along)}`,
        thickness: t,
        flat: {
          // Seen from above: its end follows the web.
          outline: [
            [-along / 2, length - beyond - front],
            [along / 2, length - beyond - rear],
            [along / 2, length],
            [-along / 2, length],
          ],
          holes: holeAt([0, length - beyond], seat.mount.hole),
          lines: [],
        },
        weldLength,
        note: 'seen from above; the end that follows the web goes to the rail',
      },
      ...foot,
    ];
  }
  // Across the flat: side, bend, top, bend, side. Along it: outward from the rail.
  const bend = bendOf(t, radius, rules);
  const strip = bentStrip([deep, along, deep], [RIGHT_ANGLE, RIGHT_ANGLE], bend);
  const middle = strip.length / 2;
  const topHalf = middle - (strip.zones[0]?.[1] ?? 0);
  const sideEnd = (high: number) => bentStrip([high, along, high], [RIGHT_ANGLE, RIGHT_ANGLE], bend).length / 2;
  const at = (share: number) => length - beyond - (front + (rear - front) * share);
  const outline: readonly DrawnPoint[] = [
    [at(0), -sideEnd(deep)],
    [length, -sideEnd(tip)],
    [length, sideEnd(tip)],
    [at(1), sideEnd(deep)],
    [at(1), topHalf],
    [at(0), -topHalf],
  ];
  const zones = strip.zones.map(([a, b]) => [a - middle, b - middle] as const);
  const folded: Made = {
    name: 'arm, flat',
    stock: 'plate',
    thickness: t,
    flat: {
      outline,
      holes: holeAt([length - beyond, 0], seat.mount.hole),
      lines: bendLines(zones, Math.min(at(0), at(1)), length),
    },
    weldLength,
    note: 'two bends of 90° down; its deep end goes to the rail',
  };
  if (make === 'folded') return [folded, ...foot];
  const under = Math.hypot(reach + beyond, deep - tip);
  return [
    folded,
    {
      name: 'underside of the arm',
      stock: 'plate',
      thickness: t,
      flat: { outline: box(under, along - 2 * t, 0), holes: [], lines: [] },
      weldLength: 2 * under,
      note: 'closes it from below',
    },
    ...foot,
  ];
}

/** How far a foot plate stands out beside an arm, times the bolts' diameter on each side. */
const FOOT_BESIDE = 3;

/** The plate that a bolted arm is welded to: an upper and a lower row of bolts, half of them on each side. */
function footPlate(
  { along, deep, thickness }: Extract<Bracket, { form: 'arm' }>,
  { diameter, count }: { readonly diameter: number; readonly count: number },
): Made {
  const beside = FOOT_BESIDE * diameter;
  const wide = along + 2 * beside;
  const row = count / 2;
  const xs = Array.from({ length: row }, (_, at) =>
    row === 1 ? wide / 2 : beside / 2 + ((wide - beside) * at) / (row - 1),
  );
  return {
    name: 'foot plate',
    stock: 'plate',
    thickness,
    flat: {
      outline: box(wide, deep, 0),
      holes: [0.25, 0.75].flatMap((share) =>
        xs.map((x) => ({ at: [x, share * deep] as DrawnPoint, diameter, what: 'bolt' as const })),
      ),
      lines: [],
    },
    weldLength: 2 * (along + deep),
    note: 'the arm is welded to it; drill through its holes into the web',
  };
}

/**
 * An L laid flat: the leg on the web, the bend, the leg under the body.
 *
 * @param bracket The angle.
 * @param outcome How its mount is made.
 * @param rules The shop's rulebook.
 */
export function angleFlat(
  { thickness, along, upright, radius, fixing }: Extract<Bracket, { form: 'angle' }>,
  { seat, reach, contact }: MountingOutcome,
  rules: Rulebook,
): readonly Made[] {
  const shelf = reach + BEYOND * along;
  const strip = bentStrip([upright, shelf], [RIGHT_ANGLE], bendOf(thickness, radius, rules));
  const bolts =
    fixing.by === 'bolts'
      ? [0.25, 0.75].flatMap((share) =>
          Array.from({ length: fixing.count / 2 }, (_, at) => ({
            at: [((at + 0.5) * along) / (fixing.count / 2) - along / 2, share * upright] as DrawnPoint,
            diameter: fixing.diameter,
            what: 'bolt' as const,
          })),
        )
      : [];
  return [
    {
      name: 'angle, flat',
      stock: 'plate',
      thickness,
      flat: {
        outline: box(along, strip.length, -along / 2),
        holes: [...holeAt([0, strip.length - BEYOND * along], seat.mount.hole), ...bolts],
        lines: bendLines(strip.zones, -along / 2, along / 2),
      },
      weldLength: fixing.by === 'weld' ? weldOn({ ...contact, top: false }, along, true) : 0,
      note: 'one bend of 90°; its first leg goes on the web',
    },
  ];
}

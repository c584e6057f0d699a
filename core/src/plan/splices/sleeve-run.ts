import type { Side, Station } from '../../frame/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { insideOf, cornerRadiusOf, type RailSplice, type SpliceSleeve } from '../../splice/index.ts';
import { exceeds } from '../../units/index.ts';
import { advise, type Finding, type WayOut } from '../conflict.ts';
import type { Context } from '../context.ts';
import type { Finder, Findings } from '../findings.ts';
import { type Piece, place, stationsOf } from '../piece.ts';
import { splicePlanWith } from './plan-with.ts';
import type { RailSpliceOutcome, SpliceOutcome } from './splice-outcome.ts';

/** A point of a rail's outside top edge beside a joint: along the frame from it, sideways and in height, mm. */
interface EdgePoint {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly section: string;
}

/** The top edge of one rail of a piece, front to rear, from a joint. */
const edgeOf = (piece: Piece, side: Side, joint: number): readonly EdgePoint[] =>
  stationsOf(piece, side).map(({ x, halfWidth, top, section }: Station): EdgePoint => {
    const at = place(piece, side, x, halfWidth, top);
    return { x: at.x - joint, y: at.y, z: at.z, section };
  });

/** How far a rail turns from its line at the joint over the reach of a sleeve, and where that begins, mm. */
interface Departure {
  readonly by: number;
  readonly at: number;
}

/**
 * How far the rail departs from the straight line of the piece that the sleeve is begun in, over the sleeve's reach on the other side
 * of the joint: the sleeve is straight, so that it must have so much room.
 */
function departureOf(own: readonly EdgePoint[], reach: number): Departure {
  const [first, second] = own;
  if (!first || !second) return { by: 0, at: 0 };
  const sign = Math.sign(second.x - first.x) || 1;
  const slope = (of: 'y' | 'z') => (second[of] - first[of]) / (second.x - first.x || sign);
  let [by, at] = [0, reach];
  for (const [index, point] of own.entries()) {
    const before = own[index - 1];
    if (!before) continue;
    // The last stretch counts as far as the sleeve reaches.
    const share = Math.abs(point.x) > reach ? (sign * reach - before.x) / (point.x - before.x) : 1;
    const mix = (of: 'x' | 'y' | 'z') => before[of] + share * (point[of] - before[of]);
    const end = { x: mix('x'), y: mix('y'), z: mix('z') };
    const off = Math.hypot(
      end.y - (first.y + slope('y') * (end.x - first.x)),
      end.z - (first.z + slope('z') * (end.x - first.x)),
    );
    if (exceeds(off, by)) {
      if (!exceeds(by, 0)) at = Math.abs(before.x);
      by = off;
    }
    if (Math.abs(point.x) >= reach) break;
  }
  return { by, at };
}

/** The room beside a sleeve in a rail, or beside the rail in a sleeve, mm: the least of height and width. */
function roomBeside({ kind, height, width, wall }: SpliceSleeve, section: Section): number {
  if (kind === 'outer')
    return Math.max(0, Math.min(height - 2 * wall - section.depth, width - 2 * wall - widthOf(section)));
  const inside = insideOf(section, cornerRadiusOf(section));
  if (!inside) return 0;
  const high = kind === 'wedge' ? 0 : inside.height - height;
  return Math.max(0, inside.closed ? Math.min(high, inside.width - width) : high);
}

/** A splice whose sleeve reaches less to one side, its plugs as many as they were. */
const shorter = (splice: RailSplice, side: 'ahead' | 'behind', reach: number): RailSplice => ({
  ...splice,
  sleeve: splice.sleeve && { ...splice.sleeve, [side]: reach },
});

/** Sleeves that cannot lie where they are meant to: they are straight, and the rail is not. */
function bent(
  outcome: SpliceOutcome,
  one: RailSpliceOutcome,
  { state, joints }: Findings,
  { show, rules }: Context,
): Finding[] {
  const { sleeve } = one.splice;
  const joint = joints.find(({ id }) => id === outcome.joint.id);
  if (!sleeve || !joint || (one.rail !== 'left' && one.rail !== 'right')) return [];
  const side = one.rail;
  const [ahead, behind] = [state.pieces[joint.piece], state.pieces[joint.piece + 1]];
  const here = joint.sides[side];
  if (!ahead || !behind || !here) return [];
  const room = roomBeside(sleeve, one.steel.section);
  const kink = Math.hypot(Math.tan(here.yaw), Math.tan(here.pitch));
  const atKink = kink * Math.min(sleeve.ahead, sleeve.behind);
  const place = {
    operation: joint.operation,
    donorX: joint.donorX,
    builtX: joint.builtX,
    about: joint.id,
  };
  if (exceeds(atKink, room))
    return [
      {
        ...place,
        code: `sleeve-kink-${side}`,
        severity: 'stop',
        message: `The sleeve of joint ${joint.letter} is straight and the rail kinks there: over its reach it comes ${show(atKink)} out of line, and has ${show(room)} of room.`,
        waysOut: advise('Take plates cut to the kink, or a folded channel welded up on both sides of it.'),
      },
    ];
  const least = ruleValue(rules, 'splice/plug-spacing') * sleeve.plugs.diameter;
  const sides = [
    { reach: sleeve.ahead, which: 'ahead' as const, edge: edgeOf(ahead, side, joint.builtX).toReversed() },
    ...(sleeve.through
      ? []
      : [{ reach: sleeve.behind, which: 'behind' as const, edge: edgeOf(behind, side, joint.builtX) }]),
  ];
  return sides.flatMap(({ reach, which, edge }): Finding[] => {
    const { by, at } = departureOf(edge, reach);
    if (!exceeds(by, room)) return [];
    const short = Math.floor(at);
    const fix: WayOut[] =
      short >= least
        ? [
            {
              say: `End the sleeve ${show(short)} ${which} of the joint, at the bend`,
              edit: { do: 'splice', splices: [splicePlanWith(outcome, side, shorter(one.splice, which, short))] },
            },
          ]
        : [];
    return [
      {
        ...place,
        code: `sleeve-bend-${side}-${which}`,
        severity: 'stop',
        message: `The sleeve of joint ${joint.letter} runs ${show(reach)} ${which}, past a bend of the rail ${show(at)} from the joint: it is straight and would stand ${show(by)} out of line there.`,
        waysOut: [...fix, ...advise('Move the joint farther from the bend, or take plates.')],
      },
    ];
  });
}

/** Sleeves that reach past the next joint without running through it. */
function pastNext(outcome: SpliceOutcome, one: RailSpliceOutcome, { joints }: Findings, { show }: Context): Finding[] {
  const { sleeve } = one.splice;
  const at = joints.findIndex(({ id }) => id === outcome.joint.id);
  if (!sleeve || at < 0 || (one.rail !== 'left' && one.rail !== 'right')) return [];
  const rail = one.rail;
  return (['ahead', 'behind'] as const).flatMap((which): Finding[] => {
    const next = joints[at + (which === 'ahead' ? -1 : 1)];
    const isShared = which === 'ahead' ? outcome.sleeveFrom !== null : sleeve.through;
    if (!next || isShared) return [];
    const apart = Math.abs(next.builtX - outcome.joint.builtX);
    if (!exceeds(sleeve[which], apart)) return [];
    const through: WayOut[] =
      which === 'behind' && outcome.next
        ? [
            {
              say: `Let the sleeve of ${outcome.joint.letter} run through to ${next.letter}`,
              edit: {
                do: 'splice',
                splices: [splicePlanWith(outcome, rail, { ...one.splice, sleeve: { ...sleeve, through: true } })],
              },
            },
          ]
        : [];
    return [
      {
        operation: outcome.joint.operation,
        donorX: outcome.joint.donorX,
        builtX: outcome.joint.builtX,
        about: outcome.joint.id,
        code: `sleeve-past-joint-${rail}-${which}`,
        severity: 'stop',
        message: `The sleeve of joint ${outcome.joint.letter} reaches ${show(sleeve[which])} ${which}, past joint ${next.letter}, which is ${show(apart)} away.`,
        waysOut: [...through, ...advise(`Let it end short of joint ${next.letter}.`)],
      },
    ];
  });
}

/**
 * Sleeves that cannot go where the plan puts them: in a rail that kinks or bends within their reach, or past the next joint.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const sleeveRuns: Finder = (findings, context) =>
  findings.splices.flatMap((outcome): Finding[] => {
    if (!outcome.decided || outcome.joint.of === 'member') return [];
    const alike = outcome.rails.every(({ splice }) => splice === outcome.rails[0]?.splice);
    return (alike ? outcome.rails.slice(0, 1) : outcome.rails).flatMap((one) => [
      ...bent(outcome, one, findings, context),
      ...pastNext(outcome, one, findings, context),
    ]);
  });

import type { Side } from '../../frame/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import { insideOf, cornerRadiusOf, type RailSplice, type SpliceSleeve } from '../../splice/index.ts';
import { exceeds, nudgeOf, type Span } from '../../units/index.ts';
import { advise, type Finding, type SuggestedFix } from '../conflict.ts';
import type { Context } from '../context.ts';
import type { Finder, Findings } from '../findings.ts';
import { type Piece, place, stationsOf } from '../piece.ts';
import { splicePlanWith } from './plan-with.ts';
import type { RailSpliceOutcome, SpliceOutcome } from './splice-outcome.ts';

/** A point of a rail’s outside top edge: along the frame from a joint, sideways and in height, mm. */
type EdgePoint = Readonly<Record<'x' | 'y' | 'z', number>>;

/** The top edge of one rail between two built stations, front to rear, from the station `origin`. */
function edgeBetween(pieces: readonly Piece[], side: Side, { from, to }: Span, origin: number): readonly EdgePoint[] {
  return pieces.flatMap((piece) => {
    const points = stationsOf(piece, side).map(({ x, halfWidth, top }) => place(piece, side, x, halfWidth, top));
    return points.slice(1).flatMap((b, index): EdgePoint[] => {
      const a = points[index] as EdgePoint;
      if (b.x <= from || a.x >= to || b.x <= a.x) return [];
      const at = (x: number): EdgePoint => {
        const share = (x - a.x) / (b.x - a.x);
        return { x: x - origin, y: a.y + share * (b.y - a.y), z: a.z + share * (b.z - a.z) };
      };
      return [at(Math.max(a.x, from)), at(Math.min(b.x, to))];
    });
  });
}

/** The narrowest straight strip that some points lie in, across, mm: what a rail bends out of line. */
function stripOf(points: readonly EdgePoint[], across: 'y' | 'z'): number {
  let narrowest = Infinity;
  points.forEach((a, index) => {
    for (const b of points.slice(index + 1)) {
      if (b.x - a.x < 1) continue;
      const slope = (b[across] - a[across]) / (b.x - a.x);
      const off = points.map((point) => point[across] - slope * point.x);
      narrowest = Math.min(narrowest, Math.max(...off) - Math.min(...off));
    }
  });
  return Number.isFinite(narrowest) ? narrowest : 0;
}

/** The room beside a sleeve in a rail, or beside the rail in a sleeve, mm. */
function roomBeside(
  { kind, height, width, wall }: SpliceSleeve,
  section: Section,
): Readonly<Record<'y' | 'z', number>> {
  if (kind === 'outer')
    return {
      y: Math.max(0, width - 2 * wall - widthOf(section)),
      z: Math.max(0, height - 2 * wall - section.depth),
    };
  const inside = insideOf(section, cornerRadiusOf(section));
  return {
    y: Math.max(0, (inside?.width ?? 0) - width),
    // Halves of a wedge are slid until they fill the height.
    z: kind === 'wedge' ? 0 : Math.max(0, (inside?.height ?? 0) - height),
  };
}

/** A splice whose sleeve reaches no farther than so much to each side. */
const shorter = (splice: RailSplice, reach: number): RailSplice => ({
  ...splice,
  sleeve: splice.sleeve && {
    ...splice.sleeve,
    ahead: Math.min(splice.sleeve.ahead, reach),
    behind: Math.min(splice.sleeve.behind, reach),
  },
});

/** Sleeves that cannot lie where they are meant to: they are straight, and the rail is not. */
function bent(outcome: SpliceOutcome, one: RailSpliceOutcome, { state }: Findings, context: Context): Finding[] {
  const { sleeve } = one.splice;
  const { joint } = outcome;
  if (!sleeve || outcome.sleeveFrom !== null || (one.rail !== 'left' && one.rail !== 'right')) return [];
  const side = one.rail;
  const { show, display } = context;
  const room = roomBeside(sleeve, one.steel.section);
  const through = sleeve.through ? (outcome.next?.distance ?? 0) : 0;
  const over = (ahead: number, behind: number) => {
    const edge = edgeBetween(
      state.pieces,
      side,
      { from: joint.builtX - ahead, to: joint.builtX + through + behind },
      joint.builtX,
    );
    return { y: stripOf(edge, 'y'), z: stripOf(edge, 'z') };
  };
  const fits = (ahead: number, behind: number): boolean => {
    const strip = over(ahead, behind);
    return !exceeds(strip.y, room.y) && !exceeds(strip.z, room.z);
  };
  if (fits(sleeve.ahead, sleeve.behind)) return [];
  const strip = over(sleeve.ahead, sleeve.behind);
  const way = exceeds(strip.y, room.y) ? 'y' : 'z';
  const step = nudgeOf(display);
  const least = 2 * sleeve.plugs.diameter;
  const longest = Math.max(sleeve.ahead, sleeve.behind);
  const reaches = Array.from({ length: Math.floor((longest - least) / step) + 1 }, (_, at) => longest - at * step);
  const reach = reaches.find((each) => fits(Math.min(each, sleeve.ahead), Math.min(each, sleeve.behind)));
  return [
    {
      operation: joint.operation,
      donorX: joint.donorX,
      builtX: joint.builtX,
      about: joint.id,
      code: `sleeve-bent-${side}`,
      severity: 'stop',
      message: `The sleeve of joint ${joint.letter} is straight: over its reach the rail bends ${show(strip[way])} out of line ${way === 'y' ? 'sideways' : 'in height'}, and the sleeve has ${show(room[way])} of room.`,
      fixes: [
        ...(reach === undefined
          ? []
          : [
              {
                say: `Let it reach ${show(reach)} to each side`,
                edit: {
                  do: 'splice' as const,
                  splices: [splicePlanWith(outcome, side, shorter(one.splice, reach))],
                },
              },
            ]),
        ...advise('Move the joint farther from the bend, or take plates that follow it.'),
      ],
    },
  ];
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
    const through: SuggestedFix[] =
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
        fixes: [...through, ...advise(`Let it end short of joint ${next.letter}.`)],
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

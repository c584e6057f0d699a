import type { Frame, RailId } from '../../frame/index.ts';
import type { Rulebook } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  type EndFit,
  ENDS_MEET,
  type MadeSplice,
  jointFormOf,
  type RailSplice,
  type RailSteel,
  type SplicePlan,
  spliceOf,
  type SpliceSleeve,
  type SpliceStrength,
  spliceStrength,
  weldReach,
} from '../../splice/index.ts';
import type { Context } from '../context.ts';
import type { Joint } from '../joint.ts';
import type { MemberOutcome } from '../members/index.ts';
import type { Piece } from '../piece.ts';
import { type FatigueDetail, fatigueDetails } from './fatigue.ts';
import { type SpliceLimit, spliceLimits } from './limits.ts';
import { jointsToMake, type PivotOf, type SpliceJoint } from './joints-to-make.ts';
import { PLAIN_BOLTED, PLAIN_BUTT } from './usual.ts';
import { type WeldWork, weldWork } from './weld-work.ts';

/** How one rail, or one copy of a member, is made at a joint, and what it is worth. */
export interface RailSpliceOutcome {
  readonly rail: RailId;
  readonly splice: RailSplice;
  /** Why it is made otherwise than the others; null where it is made like them. */
  readonly otherwise: string | null;
  /** How much the rail turns up behind the joint, radians: plates over it turn with it. */
  readonly turn: number;
  readonly steel: RailSteel;
  readonly made: MadeSplice;
  /** Null where what is wrong with it keeps it from calculated. */
  readonly strength: SpliceStrength | null;
  /** Along the rail from the middle of the joint, mm: where its weld is, and all that is laid over it. */
  readonly reach: { readonly weld: readonly [number, number]; readonly all: readonly [number, number] };
  readonly weld: WeldWork;
  /** The worst first. */
  readonly details: readonly FatigueDetail[];
  readonly limits: readonly SpliceLimit[];
}

/** How a joint is made on every rail and member that runs through it. */
export interface SpliceOutcome {
  readonly joint: SpliceJoint;
  /** What the plan says of it; null where nobody has decided. */
  readonly decided: SplicePlan | null;
  /** The other joint of the new rail behind this one, and how far off it is, mm: a sleeve can run on to it. */
  readonly next: { readonly letter: string; readonly distance: number } | null;
  /** Letter of the joint ahead whose sleeve runs through to this one. */
  readonly sleeveFrom: string | null;
  readonly rails: readonly RailSpliceOutcome[];
  /** The rail or member that carries least; one that cannot be calculated before all others. */
  readonly worst: RailSpliceOutcome;
}

/**
 * A ratio to the bare rail as it is said: cut off after two digits, so that what falls short is never said to reach.
 *
 * @param ratio 0 or more.
 */
export const ratioText = (ratio: number): string => (Math.floor(ratio * 100 + 1e-6) / 100).toFixed(2);

/** What one rail's splice is worth, whatever joint it is at. */
type Calculated = Omit<RailSpliceOutcome, 'rail' | 'otherwise' | 'turn'>;

interface Known {
  readonly section: Section;
  readonly material: RailSteel['material'];
  readonly rules: Rulebook;
  readonly display: Context['display'];
  readonly span: readonly [from: number, to: number];
  readonly fit: EndFit;
  readonly calculated: Calculated;
}

const FIT_KEYS = ['sideways', 'height', 'opening', 'uncut'] as const satisfies readonly (keyof EndFit)[];

/** What was calculated last of each splice: a dragged cut changes none of it. */
const known = new WeakMap<RailSplice, Known[]>();
/** The plain splice is made at every joint that nobody has decided, on both rails, each with its own fit. */
const KEPT = 64;

/**
 * What one rail's splice is worth; remembered as long as splice, section, material and rules are the same objects.
 *
 * @param splice How it is made.
 * @param section The rail's section.
 * @param material The donor's material.
 * @param context Rules, and how lengths are written.
 * @param span The stretch between two joints that its sleeve runs through, from the joint, mm.
 * @param fit How the ends come to the joint.
 */
export function calculateSplice(
  splice: RailSplice,
  section: Section,
  material: RailSteel['material'],
  { rules, display, show }: Pick<Context, 'rules' | 'display' | 'show'>,
  span: readonly [from: number, to: number] = [0, 0],
  fit: EndFit = ENDS_MEET,
): Calculated {
  const kept = known.get(splice) ?? [];
  const same = kept.find(
    (one) =>
      one.section === section &&
      one.material === material &&
      one.rules === rules &&
      one.display === display &&
      one.span[0] === span[0] &&
      one.span[1] === span[1] &&
      FIT_KEYS.every((key) => one.fit[key] === fit[key]),
  );
  if (same) return same.calculated;
  const steel: RailSteel = { section, material };
  const made = spliceOf(splice, steel, rules, span, fit);
  const weld = weldReach(jointFormOf(splice.form, rules));
  const laid = [
    ...splice.plates,
    ...(splice.sleeve ? [{ ahead: splice.sleeve.ahead - span[0], behind: splice.sleeve.behind + span[1] }] : []),
  ];
  const calculated: Calculated = {
    splice,
    steel,
    made,
    strength: made.splice ? spliceStrength(made.splice) : null,
    reach: {
      weld,
      all: [
        Math.min(weld[0], ...laid.map(({ ahead }) => -ahead)),
        Math.max(weld[1], ...laid.map(({ behind }) => behind)),
      ],
    },
    weld: weldWork(splice, made, section, rules, { span, uncut: fit.uncut }),
    details: fatigueDetails(splice, made.plates, steel, rules),
    limits: spliceLimits(splice, made.plates, { steel, rules, show }),
  };
  known.set(splice, [{ section, material, rules, display, span, fit, calculated }, ...kept].slice(0, KEPT));
  return calculated;
}

/** Splices with the sleeve of the joint ahead: the same object for the same two, so that it is calculated once. */
const sleeved = new WeakMap<RailSplice, { readonly sleeve: SpliceSleeve; readonly splice: RailSplice }>();

function withSleeve(splice: RailSplice, sleeve: SpliceSleeve): RailSplice {
  const known = sleeved.get(splice);
  if (known?.sleeve === sleeve) return known.splice;
  const made = { ...splice, sleeve };
  sleeved.set(splice, { sleeve, splice: made });
  return made;
}

/**
 * How every joint of the frame is made, those of the rails first, front to rear.
 *
 * @param joints The joints of the rails.
 * @param pieces The pieces of the frame.
 * @param members What became of each member.
 * @param splices What the plan says of them.
 * @param material The donor's material.
 * @param pivotOf The flange that an operation folds about.
 * @param context Sections, rules and how lengths are written.
 */
export function spliceOutcomes(
  joints: readonly Joint[],
  pieces: readonly Piece[],
  members: readonly MemberOutcome[],
  splices: readonly SplicePlan[],
  material: Frame['material'],
  pivotOf: PivotOf,
  context: Context,
): readonly SpliceOutcome[] {
  const weldable = material.weldable && !material.heatTreated;
  const usual = weldable ? PLAIN_BUTT : PLAIN_BOLTED;
  const decidedOf = (id: string) => splices.find((splice) => splice.joint === id) ?? null;
  const madeOn = (decided: SplicePlan | null, rail: RailId, of: SpliceJoint['of']): RailSplice => {
    const other = decided?.others.find((one) => one.rail === rail);
    // A member that is cut with the rails is another tube: what is laid over the rails does not go over it.
    const own = of === 'member' || rail === 'left' || rail === 'right' ? decided?.rails : undefined;
    return other?.splice ?? own ?? usual;
  };
  return jointsToMake(joints, pieces, members, pivotOf, context).flatMap(({ joint, through }): SpliceOutcome[] => {
    const decided = decidedOf(joint.id);
    const [ahead, behind] = [-1, 1].map((step) => {
      const at = joints.findIndex(({ id }) => id === joint.id);
      const other = at < 0 ? undefined : joints[at + step];
      return other?.operation === joint.operation ? other : undefined;
    });
    const planAhead = ahead ? decidedOf(ahead.id) : null;
    const rails = through.flatMap(({ rail, section, turn, fit }): RailSpliceOutcome[] => {
      if (!section) return [];
      const other = decided?.others.find((one) => one.rail === rail);
      const made = madeOn(decided, rail, joint.of);
      const sleeveAhead = ahead ? madeOn(planAhead, rail, joint.of).sleeve : null;
      const shared = sleeveAhead?.through ? sleeveAhead : null;
      const span: readonly [number, number] =
        shared && ahead
          ? [ahead.builtX - joint.builtX, 0]
          : made.sleeve?.through && behind
            ? [0, behind.builtX - joint.builtX]
            : [0, 0];
      const calculated = calculateSplice(
        shared ? withSleeve(made, shared) : made,
        section,
        material,
        context,
        span,
        fit,
      );
      return [{ ...calculated, rail, turn, otherwise: other ? other.reason : null }];
    });
    const runsOn = rails.some(({ splice }) => splice.sleeve?.through === true);
    const worst = rails.reduce<RailSpliceOutcome | null>(
      (least, one) => (!least || (one.strength?.ratio ?? -1) < (least.strength?.ratio ?? -1) ? one : least),
      null,
    );
    if (!worst) return [];
    return [
      {
        joint,
        decided,
        next: behind ? { letter: behind.letter, distance: behind.builtX - joint.builtX } : null,
        sleeveFrom: ahead && runsOn && planAhead ? ahead.letter : null,
        rails,
        worst,
      },
    ];
  });
}

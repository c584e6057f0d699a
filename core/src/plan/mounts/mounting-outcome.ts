import { GRAVITY } from '../../units/index.ts';
import type { Body } from '../../body/index.ts';
import type { Frame, Side } from '../../frame/index.ts';
import {
  type BoltSize,
  boltFor,
  type Bracket,
  bracketChecks,
  type BracketCheck,
  type Contact,
  heightOf,
  type LoadedLayer,
  loadedLayers,
  type Mounting,
  mountingProblems,
} from '../../mounting/index.ts';
import { ruleValue } from '../../rules/index.ts';
import type { Context } from '../context.ts';
import type { SeatMount, SeatOutcome } from '../match/seat-outcome.ts';
import { type RailSteel, type RailUnder, railUnder } from '../match/rail-under.ts';
import { makingOrder, type MakingTurn } from './order.ts';
import { contactOf, edgeOf, type EdgePoint, misfits, NO_CONTACT, reachOf, wedgeOf } from './bracket-fit.ts';
import { strongerBrackets } from './stronger.ts';
import { mountTags } from './tags.ts';
import { bushingOf, onBlock, usualMounting } from './usual.ts';

/** How one mount is made, layer by layer, and what its bracket is worth. mm, N. */
export interface MountingOutcome {
  readonly body: Body;
  readonly seat: SeatMount;
  /** What it is marked with: `M3L`. */
  readonly tag: string;
  readonly side: Side;
  /** Whether the plan says how it is made; else it is as usual for the way it becomes. */
  readonly decided: boolean;
  readonly mounting: Mounting;
  /** What the bracket is called: `outrigger`, `perch`. */
  readonly name: string;
  readonly rail: RailUnder | null;
  /** What presses on it at rest; null where that is not known, and nothing is squeezed. */
  readonly share: number | null;
  readonly under: readonly LoadedLayer[];
  readonly over: readonly LoadedLayer[];
  readonly hung: readonly LoadedLayer[];
  /**
   * From the top of the rail to the body, less all layers: what a bracket on it must be, over all; of one beside the rail how
   * high its top lies over that of the rail, below 0 under it. Null without a rail.
   */
  readonly height: number | null;
  /** Height in the frame of the bracket’s upper side; without a bracket of where it would be. */
  readonly top: number;
  /** What is made to stand between the rail and the layers under the body: the bracket, or plates and blocks. */
  readonly made: number | null;
  /** Under plates, a block or an old bracket: how much the rail rises over its width, and what lies on it is cut to. */
  readonly wedge: number | null;
  /** Of an old bracket: what must go under it. */
  readonly block: number | null;
  /** From the face that an arm is fixed to, or from the middle of the rail's top outward, to the mount. */
  readonly reach: number;
  /** How an arm or angle lies against the web. */
  readonly contact: Contact;
  /** The edge of the bracket that lies on the rail, along its width: only looked at when it is asked for. */
  readonly edge: () => readonly EdgePoint[];
  /** What the bolt goes through: layers, top plate, the body's own bracket. Null where one of them is not known. */
  readonly grip: number | null;
  readonly bolt: BoltSize | null;
  /** The worst first; none where the load is not known or the bracket cannot be made. */
  readonly checks: readonly BracketCheck[];
  /** Why it cannot be made so, as sentences. */
  readonly problems: readonly string[];
  readonly turn: MakingTurn;
  /** How far its top stands over a straightedge from the first bracket to the last on its side; null between fewer than three. */
  readonly offLine: number | null;
}

const FORM_NAMES: Readonly<Record<Bracket['form'], string>> = {
  none: 'no bracket',
  perch: 'perch',
  arm: 'arm',
  angle: 'angle',
  old: 'its old bracket',
};

function nameOf({ bracket, under }: Mounting, { way, sideways }: SeatMount): string {
  if (bracket.form === 'none' && under.length > 0) return [...new Set(under.map(({ kind }) => kind))].join(' and ');
  if (bracket.form !== 'arm') return FORM_NAMES[bracket.form];
  if (way === 'drop') return 'drop bracket';
  return sideways < 0 ? 'inboard bracket' : 'outrigger';
}

/** What the bolt of a mount goes through, mm; null where one of it is not known. */
function gripOf(
  { bracket }: Mounting,
  { mount }: SeatMount,
  rail: RailUnder | null,
  { under, over, hung }: Pick<MountingOutcome, 'under' | 'over' | 'hung'>,
): number | null {
  if (mount.thickness === undefined || bracket.form === 'old' || !rail) return null;
  // Without a bracket it goes through the whole stack and the wall of the rail.
  const through = bracket.form === 'none' ? heightOf(under) + rail.section.thickness : bracket.thickness;
  return mount.thickness + heightOf(over) + through + heightOf(hung);
}

/** How far each mount's bracket top stands over a straightedge from the first to the last on its side. */
function overLine(of: readonly MountingOutcome[]): readonly MountingOutcome[] {
  return of.map((one) => {
    const side = of
      .filter((other) => other.side === one.side && other.body.id === one.body.id && other.rail)
      .toSorted((a, b) => a.seat.at.x - b.seat.at.x);
    const [first, last] = [side[0], side.at(-1)];
    if (!first || !last || side.length < 3 || !one.rail || last.seat.at.x <= first.seat.at.x) return one;
    const share = (one.seat.at.x - first.seat.at.x) / (last.seat.at.x - first.seat.at.x);
    return { ...one, offLine: one.top - (first.top + share * (last.top - first.top)) };
  });
}

/** Whether a mount made so stands and holds, as far as its load is known. */
const serves = ({ problems, checks }: Calculated, most: number): boolean =>
  problems.length === 0 && checks.every(({ ratio }) => ratio <= most);

/** What is proposed: as is usual, else the first of it made stronger that serves, else a block in place of a perch. */
function proposed(
  asked: Mounting,
  calculate: (mounting: Mounting) => Calculated,
  { rules, display }: Context,
): Calculated {
  const most = ruleValue(rules, 'mount/ratio');
  const first = calculate(asked);
  if (serves(first, most)) return first;
  for (const [, bracket] of strongerBrackets(asked.bracket, display)) {
    const stronger = calculate({ ...asked, bracket });
    if (serves(stronger, most)) return stronger;
  }
  if (asked.bracket.form !== 'perch' || first.height === null || first.height <= 0) return first;
  const block = calculate(onBlock(asked, first.height));
  return serves(block, most) ? block : first;
}

/** What of an outcome follows from how the mount is made. */
type Calculated = Pick<
  MountingOutcome,
  | 'mounting'
  | 'name'
  | 'under'
  | 'over'
  | 'hung'
  | 'height'
  | 'top'
  | 'made'
  | 'wedge'
  | 'block'
  | 'reach'
  | 'contact'
  | 'edge'
  | 'grip'
  | 'checks'
  | 'problems'
>;

/** Where a mount is made: over what rail, under what load. */
interface Made {
  readonly seat: SeatMount;
  readonly rake: number;
  readonly rail: RailUnder | null;
  readonly share: number | null;
  readonly railAt: (x: number) => RailUnder | null;
}

/** One mount made one way. */
function calculateMounting(
  mounting: Mounting,
  { seat, rake, rail, share, railAt }: Made,
  context: Context,
): Calculated {
  const { bracket } = mounting;
  const layersOf = (layers: Mounting['under']) => loadedLayers(layers, share ?? 0);
  const [under, over, hung] = [layersOf(mounting.under), layersOf(mounting.over), layersOf(mounting.hung)];
  const top = seat.at.z - heightOf(over);
  const height = rail ? top - rail.top - heightOf(under) : null;
  const reach = rail ? reachOf(bracket, seat, rail) : 0;
  const contact = rail && height !== null ? contactOf(bracket, height, rail) : NO_CONTACT;
  const block = bracket.form === 'old' && height !== null ? height - bracket.height : null;
  const flat = [...under, ...over].find(({ loaded }) => loaded <= 0);
  const problems = [
    ...(flat ? [`Its ${flat.kind} is squeezed to nothing by what it carries: take a stiffer one.`] : []),
    ...mountingProblems(mounting, '').map(({ message }) => message),
    ...misfits(bracket, seat, rail, { height, reach, contact, block }, context),
  ];
  const checks =
    share === null || problems.length > 0
      ? []
      : bracketChecks(bracket, { share, reach, contact, hole: seat.mount.hole ?? 0 }, context.rules);
  return {
    mounting,
    name: nameOf(mounting, seat),
    under,
    over,
    hung,
    height,
    top,
    wedge: rail ? wedgeOf(rail, bracket, seat, rake, context) : null,
    made: height === null || bracket.form !== 'none' ? height : height + heightOf(under),
    block,
    reach,
    contact,
    edge: () => (rail && height !== null ? edgeOf(bracket, seat, rake, height, reach, rail, railAt) : []),
    grip: gripOf(mounting, seat, rail, { under, over, hung }),
    checks: checks.toSorted((one, other) => other.ratio - one.ratio),
    problems,
  };
}

/**
 * How every mount of every body is made, front to rear by body.
 *
 * @param seats Where the bodies sit.
 * @param mountings What the plan says of their mounts.
 * @param steel The pieces of the built frame, and the notches in them.
 * @param material The rails' material: what must not be welded is bolted.
 * @param context Sections, rules and how lengths are written.
 */
export function mountingOutcomes(
  seats: readonly SeatOutcome[],
  mountings: readonly Mounting[],
  steel: RailSteel,
  material: Frame['material'],
  context: Context,
): readonly MountingOutcome[] {
  const { rules, display, section } = context;
  const tags = mountTags(seats.flatMap(({ mounts }) => mounts));
  const weldable = material.weldable && !material.heatTreated;
  return seats.flatMap(({ body, pose, mounts }) => {
    const turns = makingOrder(mounts);
    const made = mounts.map((seat): MountingOutcome => {
      const { mount, side, at, load } = seat;
      const railAt = (x: number) => railUnder(steel, side, x, section);
      const rail = railAt(at.x);
      const share = load === null ? null : load * GRAVITY;
      const decided = mountings.find((one) => one.body === body.id && one.mount === mount.id);
      const calculate = (mounting: Mounting) =>
        calculateMounting(mounting, { seat, rake: pose.rake, rail, share, railAt }, context);
      const usual = (): Mounting =>
        usualMounting({ body: body.id, mount }, seat.way, {
          rail,
          top: (seat.up ?? 0) - heightOf(loadedLayers(bushingOf(mount), share ?? 0)),
          rules,
          display,
          weldable,
        });
      return {
        ...(decided ? calculate(decided) : proposed(usual(), calculate, context)),
        body,
        seat,
        tag: tags.get(mount.id) ?? '',
        side,
        decided: decided !== undefined,
        rail,
        share,
        bolt: mount.hole === undefined ? null : boltFor(mount.hole, display.unit),
        turn: turns.get(mount.id) ?? { turn: 0, why: '' },
        offLine: null,
      };
    });
    return overLine(made);
  });
}

/** The worst of what a bracket comes to, of what is allowed; null where it is not calculated. */
export const worstRatio = ({ checks }: MountingOutcome): number | null => checks[0]?.ratio ?? null;

/**
 * Whether a bracket is stressed no more than the rulebook lets it; null where it is not calculated.
 *
 * @param outcome How the mount is made.
 */
export const holds = (outcome: MountingOutcome, { rules }: Pick<Context, 'rules'>): boolean | null => {
  const ratio = worstRatio(outcome);
  return ratio === null ? null : ratio <= ruleValue(rules, 'mount/ratio') + 1e-9;
};

/** Width of a bracket along the rail, mm; 0 without one. */
export const bracketAlong = ({ mounting: { bracket } }: MountingOutcome): number =>
  'along' in bracket ? bracket.along : 0;

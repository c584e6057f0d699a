import type { RailId } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import { passesFor } from '../../weld/index.ts';
import type { PlanResult } from '../plan-result.ts';
import type { SpliceJoint } from '../splices/joints-to-make.ts';
import type { JointPull } from './pulls.ts';
import { type Seam, WELD_LAYERS, type WeldLayer } from './seam.ts';
import { orderedStitches, type Stitch } from './stitches.ts';
import { type Tack, tacksOf } from './tacks.ts';

/** What is done at a joint in one go: tack it, measure it, or weld one layer of it. */
type WeldWhat = 'tack' | 'measure-tacked' | WeldLayer | 'measure-welded';

/** A step of the welding of a frame. */
export interface WeldStep {
  readonly id: string;
  readonly what: WeldWhat;
  /** Null for a measurement of the whole frame. */
  readonly joint: SpliceJoint | null;
  readonly stitches: readonly Stitch[];
  /** Why it has its place. */
  readonly reason: string;
}

/** The reason for each kind of step to have its place. */
const REASONS: Readonly<Record<WeldWhat, string>> = {
  tack: 'Both ends first, then halves, left and right in turn: the gap cannot close on one side.',
  'measure-tacked': 'Tacks can still be cut: nothing is welded until the readings are right.',
  sleeve: 'Before the weld over it: plugs and ends of a sleeve are out of reach afterward.',
  butt: 'Root before fill, and in the order that pulls the frame least on the way.',
  inside: 'Inside before outside: what is closed off later is welded and looked at first.',
  outside: 'Last, over a butt weld that was looked at and ground where the plate lies.',
  'measure-welded': 'What the welds have pulled: the shop’s own factor comes from this.',
};

/** The steps in the order that is proposed: every joint tacked and measured before one is welded. */
function proposed(
  layers: readonly { readonly joint: SpliceJoint; readonly of: readonly WeldLayer[] }[],
): readonly Place[] {
  const tacked = layers.filter(({ of }) => of.includes('butt'));
  return [
    ...tacked.map(({ joint }): Place => ({ what: 'tack', joint })),
    { what: 'measure-tacked', joint: null },
    ...layers.flatMap(({ joint, of }) => of.map((what): Place => ({ what, joint }))),
    { what: 'measure-welded', joint: null },
  ];
}

type Place = Pick<WeldStep, 'what' | 'joint'>;

const idOf = ({ what, joint }: Place): string => (joint ? `${joint.id}:${what}` : what);

/** The proposed steps as the shop has moved them: those it names in its order, each after it what followed it before. */
function moved(steps: readonly Place[], order: readonly string[]): readonly Place[] {
  const named = order.flatMap((id) => steps.find((step) => idOf(step) === id) ?? []);
  if (named.length === 0) return steps;
  const rest = steps.filter((step) => !named.includes(step));
  const result = [...named];
  for (const step of rest) {
    // After the nearest step before it that has its place already.
    const before = steps
      .slice(0, steps.indexOf(step))
      .toReversed()
      .find((other) => result.includes(other));
    result.splice(before ? result.indexOf(before) + 1 : 0, 0, step);
  }
  return result;
}

/** The stitches of a joint's tacks: short ones, each a root. */
function tackStitches(tacks: readonly Tack[], length: number, rules: Rulebook): readonly Stitch[] {
  return tacks.map(({ rail, seam, at, middle }, index): Stitch => {
    const [run] = seam.stretches;
    const begin = run ? Math.max(0, Math.min(seam.length - length, at.s - run.from.s - length / 2)) : 0;
    const area = Math.min(seam.area, ruleValue(rules, 'weld/one-pass'));
    return {
      id: `${seam.joint.id}:${rail}:tack#${index + 1}`,
      seam,
      pass: 0,
      begin,
      end: begin + length,
      from: at,
      to: at,
      middle,
      area: area / passesFor(area, ruleValue(rules, 'weld/one-pass')),
    };
  });
}

/**
 * The steps of the welding of a frame with their stitches, as the shop has ordered them.
 *
 * @param result What the plan gives.
 * @param seams All seams.
 * @param pulls How each joint pulls: its middle balances the stitches.
 * @param order Ids of steps in the order that the shop wants.
 * @param rules The shop's rulebook.
 */
export function weldSteps(
  result: PlanResult,
  seams: readonly Seam[],
  pulls: readonly JointPull[],
  order: readonly string[],
  rules: Rulebook,
): readonly WeldStep[] {
  const joints = result.splices.map(({ joint, rails }) => {
    const own = seams.filter((seam) => seam.joint.id === joint.id);
    const of = WELD_LAYERS.filter((layer) => own.some((seam) => seam.layer === layer));
    const sectionOf = (rail: RailId): Section =>
      (rails.find((one) => one.rail === rail) ?? (rails[0] as (typeof rails)[number])).steel.section;
    return { joint, own, of, sectionOf };
  });
  const welded = joints.filter(({ of }) => of.length > 0);
  if (welded.length === 0) return [];
  const stitchesFor = ({ what, joint }: Place): readonly Stitch[] => {
    const here = joint && welded.find((one) => one.joint.id === joint.id);
    if (!here) return [];
    const center = pulls.find((pull) => pull.joint.id === here.joint.id)?.pull.center ?? { y: 0, z: 0 };
    if (what === 'tack') {
      const butts = here.own.filter(({ layer }) => layer === 'butt');
      const tacks = tacksOf(butts, here.sectionOf, ruleValue(rules, 'weld/tacks-apart'));
      return tackStitches(tacks, ruleValue(rules, 'weld/tack'), rules);
    }
    return orderedStitches(
      here.own.filter(({ layer }) => layer === what),
      center,
      rules,
    );
  };
  return moved(proposed(welded), order).map((place) => ({
    ...place,
    id: idOf(place),
    stitches: stitchesFor(place),
    reason: REASONS[place.what],
  }));
}

/** What must be done before what at the same joint: by what is reached first. */
const BEFORE: readonly WeldWhat[] = ['tack', ...WELD_LAYERS];

/** A step that comes too early, and the one that should come before it. */
export interface EarlyStep {
  readonly step: WeldStep;
  readonly needs: WeldStep;
  readonly message: string;
}

const WHAT_WORDS: Readonly<Record<WeldWhat, string>> = {
  tack: 'tacks',
  'measure-tacked': 'readings after tacking',
  sleeve: 'plugs of the sleeve',
  butt: 'butt weld',
  inside: 'inside plate',
  outside: 'outside plates',
  'measure-welded': 'readings after the final weld',
};

/**
 * What a step is called: “A: butt weld”.
 *
 * @param step The step.
 */
export const stepName = ({ joint, what }: Pick<WeldStep, 'joint' | 'what'>): string =>
  joint
    ? `${joint.letter}: ${WHAT_WORDS[what]}`
    : `${WHAT_WORDS[what].charAt(0).toUpperCase()}${WHAT_WORDS[what].slice(1)}`;

/**
 * Steps that come before what they rest on, or before what they would close off.
 *
 * @param steps The steps in their order.
 */
export function earlySteps(steps: readonly WeldStep[]): readonly EarlyStep[] {
  return steps.flatMap((step, at): EarlyStep[] => {
    const later = steps.slice(at + 1);
    const early = (needs: WeldStep | undefined, why: string): EarlyStep[] =>
      needs ? [{ step, needs, message: `${stepName(step)} comes before ${stepName(needs)}: ${why}` }] : [];
    if (step.what === 'measure-tacked')
      return early(
        later.find(({ what }) => what === 'tack'),
        'it is measured when every joint is tacked.',
      );
    if (step.what === 'measure-welded')
      return early(
        later.find(({ stitches }) => stitches.length > 0),
        'it is measured when nothing is left to weld.',
      );
    const rank = BEFORE.indexOf(step.what);
    const sooner = later.find(
      ({ what, joint }) => joint?.id === step.joint?.id && BEFORE.indexOf(what) < rank && joint,
    );
    if (sooner) return early(sooner, REASONS[sooner.what]);
    return step.what === 'tack'
      ? []
      : early(
          later.find(({ what }) => what === 'measure-tacked'),
          'what is only tacked can still be moved.',
        );
  });
}

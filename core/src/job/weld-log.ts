import type { PlanResult, Seam, Stitch, WeldingResult, WeldStep } from '../plan/index.ts';
import { type Coupon, couponsOf } from './coupons.ts';
import { inOrderOfTime, type ShopRecord, standing } from '../records/index.ts';

/**
 * The stitches that were welded, by their ids, in the order they were: what was taken back is none of them.
 *
 * @param records Records of the job, in any order.
 */
export function laidStitches(records: readonly ShopRecord[]): ReadonlyMap<string, ShopRecord<'stitch-welded'>> {
  const laid = new Map<string, ShopRecord<'stitch-welded'>>();
  for (const record of inOrderOfTime(standing(records, 'stitch-welded'))) {
    laid.delete(record.body.stitch);
    if (record.body.laid) laid.set(record.body.stitch, record);
  }
  return laid;
}

/** A step as it stands: how many of its stitches are laid. */
interface StepNow {
  readonly step: WeldStep;
  readonly laid: number;
}

/** The welding as it stands. */
export interface WeldNow {
  readonly steps: readonly StepNow[];
  /** Steps that can be welded at now, one for a joint at most; none while the frame has to be measured first. */
  readonly open: readonly WeldStep[];
  /** The measurement that comes before anything else is welded; null where none does. */
  readonly measure: WeldStep | null;
  /** Everything is welded. */
  readonly done: boolean;
}

/** A stitch of a step that is not laid yet. */
const isLeft = (laid: ReadonlyMap<string, unknown>) => (stitch: Stitch) => !laid.has(stitch.id);

/**
 * How the welding stands, and what can be welded now: tacks one joint after the other, then, once the readings after tacking
 * are let pass, each joint's next step, several joints in turn where the shop works so.
 *
 * @param welding What is welded.
 * @param laid The stitches that were welded.
 * @param isPassed Whether the hold point after tacking is passed or signed.
 * @param inTurn Whether several joints are welded in turn.
 */
export function stepsNow(
  { steps }: Pick<WeldingResult, 'steps'>,
  laid: ReadonlyMap<string, unknown>,
  isPassed: boolean,
  inTurn: boolean,
): WeldNow {
  const now = steps.map((step) => ({
    step,
    laid: step.stitches.filter(({ id }) => laid.has(id)).length,
  }));
  const isUndone = ({ stitches, what }: WeldStep): boolean =>
    stitches.some(isLeft(laid)) || (what === 'measure-tacked' && !isPassed);
  const first = steps.find(isUndone);
  const done = steps.length > 0 && !steps.some(({ stitches }) => stitches.some(isLeft(laid)));
  if (!first || done) return { steps: now, open: [], measure: null, done };
  if (first.what === 'measure-tacked') return { steps: now, open: [], measure: first, done };
  if (first.what === 'tack' || !inTurn) return { steps: now, open: [first], measure: null, done };
  const open: WeldStep[] = [];
  for (const step of steps.slice(steps.indexOf(first))) {
    if (step.joint === null) break;
    const here = open.some(({ joint }) => joint?.id === step.joint?.id);
    if (isUndone(step) && !here) open.push(step);
  }
  return { steps: now, open, measure: null, done };
}

/** What a seam's coupon has to be of: the kind of weld, the wall, and the hardest position that it is laid in. */
const couponOf = ({ weld, position, joint }: Seam, coupons: readonly Coupon[]): Coupon | null => {
  const kind = weld.kind === 'groove' ? 'butt' : weld.kind;
  const hard = position === 'horizontal' ? 'vertical' : position;
  const alike = coupons.filter((coupon) => coupon.joint === kind && coupon.letters.includes(joint.letter));
  const wall = weld.kind === 'groove' ? weld.wall : null;
  const ofWall = alike.filter((coupon) => wall === null || Math.abs(coupon.wall - wall) < SAME_WALL);
  // What holds overhead holds lying flat.
  return ofWall.find((coupon) => coupon.position === hard) ?? ofWall.at(-1) ?? null;
};

/** Walls that differ by less are welded alike, mm. */
const SAME_WALL = 0.05;

/** A seam as it stands: how much of it is laid, its coupon, and how it was looked at last. */
export interface SeamState {
  readonly seam: Seam;
  readonly laid: number;
  readonly of: number;
  readonly checked: ShopRecord<'seam-checked'> | null;
  /** The practice coupon that it needs; null where none is asked for. */
  readonly coupon: Coupon | null;
}

/**
 * Every seam as it stands.
 *
 * @param welding What is welded.
 * @param plan What the plan gives.
 * @param records Records of the job, in any order.
 */
export function seamStates(
  { seams, steps }: Pick<WeldingResult, 'seams' | 'steps'>,
  plan: PlanResult,
  records: readonly ShopRecord[],
): readonly SeamState[] {
  const laid = laidStitches(records);
  const coupons = couponsOf(plan, records);
  const checks = inOrderOfTime(standing(records, 'seam-checked'));
  const stitches = steps.flatMap((step) => step.stitches).filter(({ pass }) => pass > 0);
  return seams.map((seam) => {
    const own = stitches.filter((stitch) => stitch.seam.id === seam.id);
    return {
      seam,
      laid: own.filter(({ id }) => laid.has(id)).length,
      of: own.length,
      coupon: couponOf(seam, coupons),
      checked: checks.findLast(({ body }) => body.seam === seam.id) ?? null,
    };
  });
}

import type { RailId, Side } from '../../frame/index.ts';
import type { InputProblem } from '../../input-error.ts';
import { ruleValue } from '../../rules/index.ts';
import {
  cornerRadiusOf,
  insideOf,
  type RailSplice,
  type SleeveFit,
  sleeveFit,
  type SpliceSleeve,
  STOCK_TUBES,
  type StockTube,
} from '../../splice/index.ts';
import type { LengthFormat } from '../../units/index.ts';
import type { PlanResult } from '../plan-result.ts';
import { calculateSplice } from './splice-outcome.ts';
import { sleeveRulesOf } from './sleeve-rules.ts';
import { type Proposing, usualSleeve } from './usual.ts';

/** A tube on the shop's own rack, or an offcut. mm. */
export interface RackTube extends StockTube {
  readonly id: string;
  readonly length: number;
}

/**
 * What is wrong with the tubes of a rack, each problem with its path; empty where they can be looked through.
 *
 * @param rack The tubes.
 * @param path Where that is in the document: problems are named from there.
 */
export const rackProblems = (rack: readonly RackTube[], path: string): InputProblem[] =>
  rack.flatMap(({ height, width, wall, inner, cornerRadius, length }, index) => {
    const wrong = (field: keyof RackTube, message: string): InputProblem[] => [
      { code: `rack/${field}`, path: `${path}[${index}].${field}`, message },
    ];
    return [
      ...(height > 0 ? [] : wrong('height', 'The height must be more than 0.')),
      ...(width > 0 ? [] : wrong('width', 'The width must be more than 0.')),
      ...(wall > 0 && wall < Math.min(height, width) / 2
        ? []
        : wrong('wall', 'The wall must be more than 0, and less than half of the height and the width.')),
      ...(inner === undefined || (inner > 0 && wall + inner < width)
        ? []
        : wrong('inner', 'The inner wall must be more than 0, and both walls together less than the width.')),
      ...(cornerRadius >= 0 ? [] : wrong('cornerRadius', 'The corner radius must be 0 or more.')),
      ...(length > 0 ? [] : wrong('length', 'The length must be more than 0.')),
    ];
  });

/** A tube that can serve as a sleeve, how, and the sleeve that it makes. */
export interface FoundSleeve {
  readonly tube: StockTube;
  readonly from: 'rack' | 'frame' | 'yard';
  readonly fit: Exclude<SleeveFit, { fit: 'none' }>;
  /** The joint with it in; its `sleeve` is this tube as it goes in. */
  readonly splice: RailSplice & { readonly sleeve: SpliceSleeve };
  /** What it then carries of the bare rail; null where that cannot be calculated. */
  readonly ratio: number | null;
  /** Why it does not serve yet: too short, its wall too thin. Empty where nothing speaks against it. */
  readonly against: readonly string[];
}

/** Fits in the order a shop prefers them. */
const ORDER: readonly SleeveFit['fit'][] = ['slides-in', 'slides-in-ground', 'wedge', 'slides-over'];
const FROM: readonly FoundSleeve['from'][] = ['rack', 'frame', 'yard'];

/** Tube of the frame's own that comes out under the plan and could go into what stays. */
function offcutsOf(
  { removed }: PlanResult,
  sectionOf: (id: string) => { readonly kind: string },
): readonly (StockTube & { length: number })[] {
  return removed.flatMap((piece) => {
    if (piece.source !== 'donor') return [];
    const rail = piece.rails.left;
    const section = sectionOf(rail[0]?.section ?? '') as {
      kind: string;
      depth: number;
      width: number;
      thickness: number;
      inner: number;
    };
    const [first, last] = [rail[0], rail.at(-1)];
    if (section.kind !== 'tube' || !first || !last) return [];
    return [
      {
        name: 'rail that comes out of this frame',
        height: section.depth,
        width: section.width,
        wall: section.thickness,
        inner: section.inner,
        cornerRadius: 2 * section.thickness,
        length: last.x - first.x,
      },
    ];
  });
}

/** What finding looks at. */
export interface FindingSleeve extends Proposing {
  readonly display: LengthFormat;
  readonly splice: RailSplice;
  readonly rack: readonly RackTube[];
  readonly result: PlanResult;
  readonly sectionOf: (id: string) => { readonly kind: string };
  readonly show: (mm: number) => string;
}

/** The sleeve that a tube makes in this rail: as long as the rulebook begins with, as many plugs. */
function sleeveFrom(tube: StockTube, fit: SleeveFit, finding: FindingSleeve): SpliceSleeve | null {
  const { steel, splice } = finding;
  const usual = usualSleeve(fit.fit === 'slides-over' ? 'outer' : 'inner', splice.form, finding);
  const room = insideOf(steel.section, cornerRadiusOf(steel.section));
  if (!usual) return null;
  const ground = fit.fit === 'slides-in-ground' ? fit.grind : { height: 0, width: 0 };
  return {
    ...usual,
    kind: fit.fit === 'slides-over' ? 'outer' : fit.fit === 'wedge' ? 'wedge' : 'inner',
    stock: tube.name,
    height: tube.height - ground.height,
    width: Math.min(tube.width - ground.width, fit.fit === 'wedge' && room ? room.width : Infinity),
    wall: tube.wall,
    inner: tube.inner,
    cornerRadius: tube.cornerRadius,
    wedgeLength: fit.fit === 'wedge' ? usual.ahead + usual.behind + tube.height : 0,
    yieldStress: steel.material.yieldStress,
  };
}

/**
 * The tubes that can serve as a sleeve at a joint: those on the rack first, then what comes out of the frame, then the
 * yard's; of each, what slides in as it is before what has to be ground or cut.
 *
 * @param finding The joint's rail, the shop's rack, and the rulebook.
 */
export function findSleeves(finding: FindingSleeve): readonly FoundSleeve[] {
  const { steel, rules, display, rack, result, sectionOf, show } = finding;
  const room = insideOf(steel.section, cornerRadiusOf(steel.section));
  const wanted = sleeveRulesOf(rules);
  const thin = ruleValue(rules, 'splice/thin-wall');
  const stock: readonly { readonly tube: StockTube; readonly from: FoundSleeve['from']; readonly length: number }[] = [
    ...rack.map((tube) => ({ tube, from: 'rack' as const, length: tube.length })),
    ...offcutsOf(result, sectionOf).map((tube) => ({ tube, from: 'frame' as const, length: tube.length })),
    ...STOCK_TUBES.map((tube) => ({ tube, from: 'yard' as const, length: Infinity })),
  ];
  return stock
    .flatMap(({ tube, from, length }): FoundSleeve[] => {
      const fit = sleeveFit(tube, steel.section, room, wanted);
      if (fit.fit === 'none') return [];
      const sleeve = sleeveFrom(tube, fit, finding);
      if (!sleeve) return [];
      const splice = { ...finding.splice, sleeve };
      const { strength } = calculateSplice(splice, steel.section, steel.material, { rules, display, show });
      const needs = fit.fit === 'wedge' ? sleeve.wedgeLength : sleeve.ahead + sleeve.behind;
      const against = [
        ...(length < needs ? [`${show(needs - length)} too short`] : []),
        ...(tube.wall < thin - 0.05 ? [`its wall of ${show(tube.wall)} burns through`] : []),
        ...(tube.wall < 0.75 * steel.section.thickness ? ['its wall is much thinner than the rail’s'] : []),
      ];
      return [{ tube, from, fit, splice, ratio: strength?.ratio ?? null, against }];
    })
    .sort(
      (a, b) =>
        a.against.length - b.against.length ||
        FROM.indexOf(a.from) - FROM.indexOf(b.from) ||
        ORDER.indexOf(a.fit.fit) - ORDER.indexOf(b.fit.fit) ||
        b.tube.wall - a.tube.wall,
    );
}

/**
 * What stands in the way of a sleeve inside a rail: fastened through its web or flanges where the sleeve would lie.
 *
 * @param result What the plan gives.
 * @param joint The joint.
 * @param rail The rail or member.
 * @param reach Where the sleeve would lie, from the joint, mm.
 */
export function inTheWay(
  result: PlanResult,
  joint: { readonly builtX: number; readonly of: 'rails' | 'member' },
  rail: RailId,
  reach: readonly [number, number],
): readonly string[] {
  if (joint.of === 'member') return [];
  const side: Side = rail === 'right' ? 'right' : 'left';
  const features = result.features.flatMap(({ feature, places }) => {
    const built = places[side]?.built;
    if (!built || feature.attachment === 'weld' || feature.attachment === 'hole') return [];
    const x = built.x - joint.builtX;
    return x > reach[0] && x < reach[1] ? [feature.name] : [];
  });
  const crossmembers = result.crossmembers.flatMap(({ crossmember, built }) => {
    if (!built || crossmember.fixing === 'welded') return [];
    const x = built.x - joint.builtX;
    return x > reach[0] - crossmember.length / 2 && x < reach[1] + crossmember.length / 2 ? [crossmember.name] : [];
  });
  return [...features, ...crossmembers];
}

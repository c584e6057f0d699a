import { ruleValue } from '../../rules/index.ts';
import {
  type Fastening,
  type RailSplice,
  roomFor,
  cornerRadiusOf,
  spliceOf,
  type SplicePlate,
  type SpliceSleeve,
  type SpliceStrength,
  spliceStrength,
  plateName,
} from '../../splice/index.ts';
import { inches, lengthText } from '../../units/index.ts';
import { additions, type Change, type Improving, weldChanges } from './changes.ts';

/** A change of how a rail is made at a joint, and what it then carries of the bare rail. */
export interface Improvement extends Change {
  readonly ratio: number;
  /** At the weld itself; may be above 1. */
  readonly atWeld: number;
}

/** Ratios nearer to each other than this are no better. */
const BETTER = 1e-4;
/** Steps that a plate is lengthened by, or plugs that are added, at most. */
const MOST_STEPS = 24;

const strengthOf = (splice: RailSplice, { steel, rules }: Improving): SpliceStrength | null => {
  const { splice: made } = spliceOf(splice, steel, rules);
  return made ? spliceStrength(made) : null;
};

const withPlate = (splice: RailSplice, plate: SplicePlate): RailSplice => ({
  ...splice,
  plates: splice.plates.map((other) => (other.id === plate.id ? plate : other)),
});

/** The first of a row of ever larger changes after which another does not help; null where none helps. */
function smallest(steps: number, make: (step: number) => Change | null, improving: Improving, from: number) {
  let best: Improvement | null = null;
  for (let step = 1; step <= steps; step += 1) {
    const candidate = make(step);
    const strength = candidate && strengthOf(candidate.splice, improving);
    if (!candidate || !strength) break;
    if (strength.ratio <= (best?.ratio ?? from) + BETTER) {
      // Up to a plate's first weld that feeds it nothing is gained.
      if (best) break;
      continue;
    }
    best = { ...candidate, ratio: strength.ratio, atWeld: strength.ratioAtWeld };
    if (strength.ratio >= 1) break;
  }
  return best;
}

const morePlugs = (fastening: Fastening, step: number, diameter: number): Fastening | null => {
  if (fastening.by === 'bolts')
    return { ...fastening, bolts: { ...fastening.bolts, along: fastening.bolts.along + step } };
  return {
    ...fastening,
    plugs: fastening.plugs
      ? { ...fastening.plugs, along: fastening.plugs.along + step }
      : { diameter, along: step, rows: 2 },
  };
};

function plateChanges(
  splice: RailSplice,
  plate: SplicePlate,
  improving: Improving,
  from: number,
): (Improvement | null)[] {
  const { steel, rules, display } = improving;
  const name = plateName(plate, splice.plates, steel.section);
  const show = (mm: number) => lengthText(mm, display, true);
  const step = display.unit === 'in' ? inches(1 / 2) : 10;
  const room = roomFor(plate.face, steel.section, cornerRadiusOf(steel.section));
  const thickest = ruleValue(rules, 'splice/plate-thick') * steel.section.thickness;
  const { fastening } = plate;
  const count = (steps: number) =>
    (fastening.by === 'bolts' ? fastening.bolts.rows : (fastening.plugs?.rows ?? 2)) * 2 * steps;
  return [
    smallest(
      MOST_STEPS,
      (steps) => ({
        say: `Lengthen the ${name} by ${show(steps * step)} each way`,
        splice: withPlate(splice, {
          ...plate,
          ahead: plate.ahead + steps * step,
          behind: plate.behind + steps * step,
        }),
      }),
      improving,
      from,
    ),
    smallest(
      6,
      (steps) => {
        const more = morePlugs(fastening, steps, 16);
        return (
          more && {
            say: `${count(steps)} more ${fastening.by === 'bolts' ? 'bolts' : 'plugs'} in the ${name}`,
            splice: withPlate(splice, { ...plate, fastening: more }),
          }
        );
      },
      improving,
      from,
    ),
    smallest(
      1,
      () =>
        plate.depth < room - 1
          ? {
              say: `Make the ${name} ${show(room)} deep, over all of the flat`,
              splice: withPlate(splice, { ...plate, depth: room, off: 0 }),
            }
          : null,
      improving,
      from,
    ),
    smallest(
      1,
      () =>
        plate.thickness < thickest - 0.1
          ? {
              say: `Take the ${name} ${show(thickest)} thick`,
              splice: withPlate(splice, { ...plate, thickness: thickest }),
            }
          : null,
      improving,
      from,
    ),
  ];
}

function sleeveChanges(splice: RailSplice, sleeve: SpliceSleeve, improving: Improving, from: number) {
  const { display } = improving;
  const step = display.unit === 'in' ? inches(1) : 25;
  const put = (say: string, changes: Partial<SpliceSleeve>): Change => ({
    say,
    splice: { ...splice, sleeve: { ...sleeve, ...changes } },
  });
  const { plugs } = sleeve;
  return [
    smallest(
      8,
      (steps) =>
        put(`${4 * steps} more plugs in top and bottom of the sleeve`, {
          plugs: { ...plugs, flanges: plugs.flanges + steps },
        }),
      improving,
      from,
    ),
    smallest(
      8,
      (steps) =>
        put(`${4 * steps} more plugs in the sides of the sleeve`, { plugs: { ...plugs, sides: plugs.sides + steps } }),
      improving,
      from,
    ),
    smallest(
      6,
      (steps) =>
        put(`${8 * steps} more plugs all round the sleeve`, {
          plugs: { ...plugs, flanges: plugs.flanges + steps, sides: plugs.sides + steps },
        }),
      improving,
      from,
    ),
    smallest(
      MOST_STEPS,
      (steps) =>
        put(`Lengthen the sleeve by ${lengthText(steps * step, display, true)} each way`, {
          ahead: sleeve.ahead + steps * step,
          behind: sleeve.behind + steps * step,
        }),
      improving,
      from,
    ),
  ];
}

/**
 * The smallest changes that lift what a joint carries, each by itself: those that bring it to what the rulebook asks
 * first, of these the lightest; then the others by what they bring.
 *
 * @param splice How the rail is made there now.
 * @param improving Rail, rules, and how lengths are written.
 */
export function improvements(splice: RailSplice, improving: Improving): readonly Improvement[] {
  const from = strengthOf(splice, improving)?.ratio ?? 0;
  if (from >= 1) return [];
  const found = [
    ...splice.plates.flatMap((plate) => plateChanges(splice, plate, improving, from)),
    ...(splice.sleeve ? sleeveChanges(splice, splice.sleeve, improving, from) : []),
    ...[...weldChanges(splice), ...additions(splice, improving)].map((candidate): Improvement | null => {
      const strength = strengthOf(candidate.splice, improving);
      return strength && strength.ratio > from + BETTER
        ? { ...candidate, ratio: strength.ratio, atWeld: strength.ratioAtWeld }
        : null;
    }),
  ].filter((one) => one !== null);
  const wanted = ruleValue(improving.rules, 'splice/ratio');
  const enough = ({ ratio }: Improvement) => ratio >= wanted - 1e-9;
  // Those that are enough stay in their order: changes of what is there come before more steel.
  return [...found.filter(enough), ...found.filter((one) => !enough(one)).sort((a, b) => b.ratio - a.ratio)];
}

/** Changes that are put on each other at most. */
const MOST_CHANGES = 8;

/**
 * The splice changed until it carries what the rulebook asks: each time by the first change that is enough, or by the one
 * that lifts it most; null where no change of this kind of joint gets there.
 *
 * @param splice How the rail is made there now.
 * @param improving Rail, rules, and how lengths are written.
 */
export function asStrongAsAsked(splice: RailSplice, improving: Improving): RailSplice | null {
  const wanted = ruleValue(improving.rules, 'splice/ratio');
  let now = splice;
  for (let change = 0; change < MOST_CHANGES; change += 1) {
    if ((strengthOf(now, improving)?.ratio ?? 0) >= wanted - 1e-9) return now;
    const [best] = improvements(now, improving);
    if (!best) return null;
    now = best.splice;
  }
  return (strengthOf(now, improving)?.ratio ?? 0) >= wanted - 1e-9 ? now : null;
}

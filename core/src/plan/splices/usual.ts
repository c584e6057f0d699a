import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  cornerRadiusOf,
  insideOf,
  isClosed,
  jointFormOf,
  type Pattern,
  type PlateFace,
  type PlateShape,
  type RailSplice,
  type RailSteel,
  roomFor,
  type SpliceForm,
  type SplicePlate,
  sleeveFit,
  type SpliceSleeve,
  STOCK_TUBES,
  type StockTube,
  weldReach,
} from '../../splice/index.ts';
import { inches, type LengthFormat, TOLERANCE } from '../../units/index.ts';
import { sleeveRulesOf } from './sleeve-rules.ts';

/** A joint that nothing is decided of: square, welded from one side, looked at, nothing over it. */
export const PLAIN_BUTT: RailSplice = {
  form: { form: 'butt' },
  weld: { way: 'one-side', test: 'visual', flush: false },
  plates: [],
  sleeve: null,
};

/** The same on a rail that must not be welded. */
export const PLAIN_BOLTED: RailSplice = { ...PLAIN_BUTT, form: { form: 'bolted' } };

/** To what lengths are rounded that the program proposes, mm: what a tape shows at a glance. */
const stepOf = ({ unit }: Pick<LengthFormat, 'unit'>): number => (unit === 'in' ? inches(1 / 4) : 5);
const down = (mm: number, step: number): number => Math.floor(mm / step + 1e-9) * step;
const up = (mm: number, step: number): number => Math.ceil(mm / step - 1e-9) * step;

/** What a proposal goes by. */
export interface Proposing {
  readonly steel: RailSteel;
  readonly rules: Rulebook;
  readonly display: Pick<LengthFormat, 'unit'>;
}

/** How far a plate or sleeve begins to reach from the middle of a joint, mm: beyond the weld by so many depths. */
function reachOf(form: SpliceForm, times: number, { steel, rules, display }: Proposing): number {
  const [from, to] = weldReach(jointFormOf(form, rules));
  return up(Math.max(-from, to) + times * steel.section.depth, stepOf(display));
}

/** The bolts that a plate of a bolted joint begins with. */
const FIRST_BOLTS: Pattern = { diameter: 16, along: 3, rows: 2 };

/**
 * A plate to begin with on a face: tapered, as thick as the rail's wall, reaching as far as the rulebook says; null where
 * nothing can be laid there.
 *
 * @param id What it is called.
 * @param face The face.
 * @param form The form of the joint that it goes over.
 * @param proposing Rail, rules and unit.
 */
export function usualPlate(id: string, face: PlateFace, form: SpliceForm, proposing: Proposing): SplicePlate | null {
  const { steel, rules, display } = proposing;
  const { section, material } = steel;
  const step = stepOf(display);
  const room = roomFor(face, section, cornerRadiusOf(section));
  const boxing = face === 'inner-side' && section.kind === 'channel';
  const depth = boxing ? room : down(room * 0.84, step);
  if (depth <= 0) return null;
  const reach = reachOf(form, ruleValue(rules, 'splice/reach'), proposing);
  const outline: PlateShape = boxing
    ? { shape: 'taper', over: down(reach / 2, step), end: down(depth / 3, step) }
    : { shape: 'hexagon', point: Math.min(down(depth / 2, step), down(reach / 2, step)) };
  const bolted = form.form === 'bolted';
  return {
    id,
    face,
    outline: bolted ? { shape: 'rectangle' } : outline,
    ahead: reach,
    behind: reach,
    depth,
    off: 0,
    thickness: section.thickness,
    yieldStress: material.yieldStress,
    fastening: bolted
      ? { by: 'bolts', grade: '10.9', bolts: FIRST_BOLTS }
      : { by: 'weld', leg: section.thickness, ends: true, plugs: null },
  };
}

/** Room that a sleeve keeps beside it where nobody has chosen a tube yet, in all, mm. */
const CLEAR = 1.6;

/** To what the size of a tube is rounded that is made for a rail, mm. */
const FINE = inches(1 / 16);

/**
 * The stock tube that serves best as a sleeve: one that slides in or over as it is before one that is ground, then the thickest wall
 * that is no thicker than the rail's, then the largest; null where no yard's does.
 */
function stockSleeve(
  kind: 'inner' | 'outer',
  section: Section,
  rules: Rulebook,
): (Omit<StockTube, 'name'> & { readonly stock: string }) | null {
  const room = insideOf(section, cornerRadiusOf(section));
  const fits = STOCK_TUBES.flatMap((tube) => {
    const fit = sleeveFit(tube, section, room, sleeveRulesOf(rules));
    if (kind === 'outer') return fit.fit === 'slides-over' ? [{ tube, ground: { height: 0, width: 0 }, order: 0 }] : [];
    if (fit.fit === 'slides-in') return [{ tube, ground: { height: 0, width: 0 }, order: 0 }];
    return fit.fit === 'slides-in-ground' ? [{ tube, ground: fit.grind, order: 1 }] : [];
  });
  const thick = ({ wall }: StockTube) => (wall <= section.thickness + TOLERANCE ? wall : -wall);
  const [best] = fits.toSorted(
    (a, b) =>
      a.order - b.order ||
      thick(b.tube) - thick(a.tube) ||
      b.tube.height - a.tube.height ||
      b.tube.width - a.tube.width,
  );
  if (!best) return null;
  const { tube, ground } = best;
  const off = [ground.height, ground.width].some((mm) => mm > 0);
  return {
    stock: off ? `${tube.name}, ground` : tube.name,
    height: tube.height - ground.height,
    width: tube.width - ground.width,
    wall: tube.wall,
    cornerRadius: tube.cornerRadius,
  };
}

/**
 * A sleeve to begin with: as large as fits, as thick as the rail's wall, with as many plugs as go in at the rulebook's
 * spacing; null where none goes.
 *
 * @param kind Inside, outside, or folded from sheet.
 * @param form The form of the joint that it goes in.
 * @param proposing Rail, rules and unit.
 */
export function usualSleeve(
  kind: 'inner' | 'outer' | 'folded',
  form: SpliceForm,
  proposing: Proposing,
): SpliceSleeve | null {
  const { steel, rules } = proposing;
  const { section, material } = steel;
  if (section.kind === 'hat' || section.kind === 'round') return null;
  if (kind === 'folded' && section.kind !== 'channel') return null;
  const wall = section.thickness;
  const reach = reachOf(form, ruleValue(rules, 'sleeve/reach'), proposing);
  const diameter = 16;
  const count = Math.max(1, Math.floor(reach / (ruleValue(rules, 'splice/plug-spacing') * diameter)));
  const across = 'width' in section ? section.width : section.flange;
  const far = 'inner' in section ? section.inner : 0;
  const outer = kind === 'outer';
  const tube = kind === 'folded' ? null : stockSleeve(kind, section, rules);
  return {
    kind,
    ...(tube ?? {
      stock: kind === 'folded' ? 'folded from sheet' : 'tube made to size',
      // What no yard sells is at least of whole steps: up over a rail, down in it.
      height: outer ? up(section.depth + 2 * wall + CLEAR, FINE) : down(section.depth - 2 * wall - CLEAR, FINE),
      width: outer ? up(across + 2 * wall + CLEAR, FINE) : down(across - wall - far - CLEAR, FINE),
      wall,
      cornerRadius: 1.5 * wall,
    }),
    ahead: reach,
    behind: reach,
    plugs: { diameter, flanges: count, sides: count },
    // Deep inside a closed rail nobody can weld its ends.
    endLeg: outer || !isClosed(section) ? wall : 0,
    through: false,
    caps: false,
    wedgeLength: 0,
    yieldStress: material.yieldStress,
  };
}

/** A step to begin with: as long as the rail is deep, at half depth, its corners as round as a step drill leaves them. */
export function usualStep({ depth }: Section, { unit }: Pick<LengthFormat, 'unit'>): SpliceForm {
  const step = stepOf({ unit });
  return {
    form: 'step',
    length: up(depth, step),
    height: depth / 2,
    radius: unit === 'in' ? inches(1 / 4) : 6,
    upper: 'ahead',
  };
}

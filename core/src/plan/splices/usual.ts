import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import {
  cornerRadiusOf,
  jointFormOf,
  type Pattern,
  type PlateFace,
  type PlateShape,
  type RailSplice,
  type RailSteel,
  roomFor,
  type SpliceForm,
  type SplicePlate,
  type SpliceSleeve,
  weldReach,
} from '../../splice/index.ts';
import { inches, type LengthFormat } from '../../units/index.ts';

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
  return {
    kind,
    stock: kind === 'folded' ? 'folded from sheet' : 'tube to be found',
    height: outer ? section.depth + 2 * wall + CLEAR : section.depth - 2 * wall - CLEAR,
    width: outer ? across + 2 * wall + CLEAR : across - wall - far - CLEAR,
    wall,
    cornerRadius: 1.5 * wall,
    ahead: reach,
    behind: reach,
    plugs: { diameter, flanges: count, sides: count },
    endLeg: wall,
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

import type { InputProblem } from '../input-error.ts';
import type { Material } from '../materials/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import type { Section } from '../sections/index.ts';
import type { JointForm } from './joint-form.ts';
import { weldReach } from './joint-form.ts';
import type { Bolt, Plug, SplicePart, WeldMetal } from './part.ts';
import { type Corner, edgesOf, isOnWeb, type Plate, plateOn, plateProblems } from './plate.ts';
import type { BoltGrade, Pattern, RailSplice, SpliceForm, SplicePlate } from './rail-splice.ts';
import { contactOf, type EndFit, ENDS_MEET } from './end-fit.ts';
import { isClosed } from './section-walls.ts';
import { efficiencyByWall, efficiencyOf, wallProblems } from './wall-welds.ts';
import { sleeveParts, sleeveProblems } from './sleeve-parts.ts';
import type { Splice, SpliceHole } from './strength.ts';

/** The rail that a splice is made in. */
export interface RailSteel {
  readonly section: Section;
  readonly material: Pick<Material, 'yieldStress' | 'tensile' | 'heatAffected' | 'density'>;
}

/** What a bolt of each grade is as strong as, MPa, and by what standard. */
export const BOLT_TENSILE: Readonly<Record<BoltGrade, { readonly tensile: number; readonly source: string }>> = {
  '8.8': { tensile: 800, source: 'ISO 898-1' },
  '10.9': { tensile: 1040, source: 'ISO 898-1' },
  'grade 5': { tensile: 827, source: 'SAE J429' },
  'grade 8': { tensile: 1034, source: 'SAE J429' },
};

/** Radius of a rail's corners inside, mm: as its wall is thick, since nobody has measured it. */
export const cornerRadiusOf = ({ kind, thickness }: Section): number => (kind === 'round' ? 0 : thickness);

/**
 * What weld metal may carry, by the rulebook.
 *
 * @param rules The shop's rulebook.
 */
export const weldMetalOf = (rules: Rulebook): WeldMetal => ({
  electrode: ruleValue(rules, 'weld/electrode'),
  allowed: ruleValue(rules, 'weld/allowed'),
});

/**
 * Where a form cuts a rail, the middle of the joint at station 0, mm.
 *
 * @param form The form.
 * @param rules The shop's rulebook.
 */
export function jointFormOf(form: SpliceForm, rules: Rulebook): JointForm {
  switch (form.form) {
    case 'butt':
    case 'bolted':
      return { form: 'butt', x: 0 };
    case 'angled':
      return { form: 'angled', undersideX: -form.run / 2, topX: form.run / 2, band: ruleValue(rules, 'weld/band') };
    case 'step': {
      const half = (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
      return { form: 'step', upperX: half, lowerX: -half, z: form.height };
    }
  }
}

const FACE_NAMES: Readonly<Record<SplicePlate['face'], string>> = {
  'web-inside': 'plate inside the web',
  'web-outside': 'plate outside the web',
  'inner-side': 'plate on the inner wall',
  'top-flange': 'plate on the top flange',
  'bottom-flange': 'plate on the bottom flange',
};

/**
 * What a plate is called among those of its joint.
 *
 * @param plate The plate.
 * @param plates All plates of that rail at the joint.
 * @param section The rail’s section: an open one is boxed.
 */
export function plateName(
  { id, face }: SplicePlate,
  plates: readonly SplicePlate[],
  { kind }: Pick<Section, 'kind'>,
): string {
  const alike = plates.filter((other) => other.face === face);
  const at = alike.findIndex((other) => other.id === id);
  const name = face === 'inner-side' && kind === 'channel' ? 'boxing plate' : FACE_NAMES[face];
  return alike.length > 1 ? `${name} ${at + 1}` : name;
}

/**
 * The edges of a plate at a station between its ends, straight between its corners.
 *
 * @param edges Its corners, front to rear.
 * @param x The station, from its front end to its rear end, mm.
 */
export function edgesAt(edges: readonly Corner[], x: number): Corner {
  const next = Math.max(
    1,
    edges.findIndex((corner) => corner.x >= x),
  );
  const [a, b] = [edges[next - 1] as Corner, edges[next] as Corner];
  const share = b.x === a.x ? 0 : (x - a.x) / (b.x - a.x);
  return { x, low: a.low + (b.low - a.low) * share, high: a.high + (b.high - a.high) * share };
}

/** The points of a pattern: evenly on each side between the weld and the end, in even rows over the plate's depth there. */
function pointsOf(pattern: Pattern, plate: SplicePlate, edges: readonly Corner[], weld: readonly [number, number]) {
  return [-1, 1].flatMap((side) => {
    const [from, to] = side < 0 ? [weld[0], -plate.ahead] : [weld[1], plate.behind];
    return Array.from({ length: pattern.along }, (_, at) => from + ((to - from) * (at + 0.5)) / pattern.along).flatMap(
      (x) => {
        const { low, high } = edgesAt(edges, x);
        return Array.from({ length: pattern.rows }, (_, row) => ({
          x,
          across: low + ((high - low) * (row + 0.5)) / pattern.rows,
          diameter: pattern.diameter,
        }));
      },
    );
  });
}

/** What one bolt through a plate and the rail may carry, N: in shear, or in bearing on the weaker of the two. */
function boltCarries(plate: SplicePlate, diameter: number, grade: BoltGrade, rail: RailSteel, rules: Rulebook): number {
  const shear = ruleValue(rules, 'bolt/shear') * BOLT_TENSILE[grade].tensile * (Math.PI / 4) * diameter ** 2;
  const bearing = (strength: number, thickness: number) =>
    ruleValue(rules, 'bolt/bearing') * strength * diameter * thickness;
  // Nobody has said how strong the plate is beyond its yield: that is what it counts with.
  return Math.min(
    shear,
    bearing(rail.material.tensile, rail.section.thickness),
    bearing(plate.yieldStress, plate.thickness),
  );
}

/**
 * A plate of a splice as it is laid on, its plugs and bolts where they are.
 *
 * @param plate The plate.
 * @param splice The splice that it belongs to.
 * @param rail The rail.
 * @param rules The shop's rulebook.
 */
function laidPlate(plate: SplicePlate, splice: RailSplice, rail: RailSteel, rules: Rulebook): Plate {
  const { id: _, fastening, ...rest } = plate;
  const name = plateName(plate, splice.plates, rail.section);
  const edges = edgesOf({ ...rest, leg: 0, endsWelded: false, plugs: [], bolts: [] }, rail.section);
  const weld = weldReach(jointFormOf(splice.form, rules));
  if (fastening.by === 'weld') {
    const plugs: readonly Plug[] = fastening.plugs ? pointsOf(fastening.plugs, plate, edges, weld) : [];
    return { ...rest, name, leg: fastening.leg, endsWelded: fastening.ends, plugs, bolts: [] };
  }
  const carries = boltCarries(plate, fastening.bolts.diameter, fastening.grade, rail, rules);
  const bolts = pointsOf(fastening.bolts, plate, edges, weld).map((point): Bolt => ({ ...point, carries }));
  return { ...rest, name, leg: 0, endsWelded: false, plugs: [], bolts };
}

/** The holes that bolts of plates need in the rail; the same hole of two plates once. */
function holesFor(plates: readonly Plate[], rules: Rulebook): readonly SpliceHole[] {
  const larger = ruleValue(rules, 'bolt/hole');
  const holes = new Map<string, SpliceHole>();
  for (const { face, bolts } of plates)
    for (const { x, across, diameter } of face === 'inner-side' ? [] : bolts) {
      const wall = isOnWeb(face) ? 'web' : (face as 'top-flange' | 'bottom-flange');
      holes.set(`${wall} ${x.toFixed(3)} ${across.toFixed(3)}`, {
        x,
        in: wall,
        z: wall === 'web' ? across : 0,
        diameter: diameter + larger,
      });
    }
  return [...holes.values()];
}

/** What is wrong with the form of a joint, each problem with its field. */
function formProblems(form: SpliceForm, { section }: RailSteel): InputProblem[] {
  const problem = (field: string, message: string): InputProblem[] => [
    { code: `splice/${field}`, path: `form.${field}`, message },
  ];
  const { depth, thickness } = section;
  if (form.form === 'angled')
    return Math.abs(form.run) <= 3 * depth
      ? []
      : problem(
          'run',
          'An angled cut longer than three times the depth of the rail cannot be marked or held: take less.',
        );
  if (form.form !== 'step') return [];
  const { length, height, radius } = form;
  return [
    ...(length > 0 ? [] : problem('length', 'The two verticals of a step must lie apart: give it a length.')),
    ...(height > thickness && height < depth - thickness
      ? []
      : problem('height', 'The horizontal of a step must run in the web, between the flanges.')),
    ...(radius >= 0 && radius <= Math.min(length / 2, height, depth - height)
      ? []
      : problem('radius', 'The corners of a step are rounder than there is room for.')),
    ...(section.kind === 'round'
      ? problem('form', 'A step is not cut in a round tube: take a butt with a sleeve.')
      : []),
  ];
}

/** A splice as its strength is calculated, with what is wrong with it; null where that keeps it from calculated. */
export interface MadeSplice {
  readonly splice: Splice | null;
  readonly problems: readonly InputProblem[];
  /** Its plates as they are laid on. */
  readonly plates: readonly Plate[];
}

/**
 * One rail's splice as its strength is calculated, the middle of the joint at station 0.
 *
 * @param made How it is made.
 * @param rail The rail's section and material.
 * @param rules The shop's rulebook.
 * @param span The stretch between two joints that its sleeve runs through, from the joint, mm.
 * @param fit How the ends come to the joint; they meet where not said.
 */
export function spliceOf(
  made: RailSplice,
  rail: RailSteel,
  rules: Rulebook,
  span: readonly [from: number, to: number] = [0, 0],
  fit: EndFit = ENDS_MEET,
): MadeSplice {
  const { section, material } = rail;
  const plates = made.plates.map((plate) => laidPlate(plate, made, rail, rules));
  const radius = cornerRadiusOf(section);
  const problems = [
    ...formProblems(made.form, rail),
    ...plates.flatMap((plate, at) =>
      plateProblems(plate, section, radius).map((each) => ({ ...each, path: `plates[${at}].${each.path}` })),
    ),
    ...(made.sleeve
      ? sleeveProblems(made.sleeve, section, radius, {
          loose: ruleValue(rules, 'sleeve/loose'),
          kerf: ruleValue(rules, 'cut/kerf'),
          through: span[1] - span[0],
        })
      : []),
    ...(made.form.form === 'bolted' ? [] : wallProblems(made.weld, section)),
    ...(made.form.form !== 'bolted' && made.weld.way === 'both-sides' && isClosed(section)
      ? [
          {
            code: 'splice/weld-way',
            path: 'weld.way',
            message:
              'The inside of a closed rail cannot be reached: it is welded from one side, or on a backing or a sleeve.',
          },
        ]
      : []),
    ...(made.form.form === 'bolted' && !made.plates.some(({ fastening }) => fastening.by === 'bolts')
      ? [
          {
            code: 'splice/bolted',
            path: 'plates',
            message: 'Nothing is bolted over the joint yet: add plates with bolts.',
          },
        ]
      : []),
  ];
  if (problems.length > 0) return { splice: null, problems, plates };
  const open = made.sleeve?.caps === true && span[1] > span[0];
  const parts: readonly SplicePart[] = [
    ...plates.map((plate) => plateOn(plate, section)),
    ...(made.sleeve ? sleeveParts(made.sleeve, section, radius, span) : []),
  ];
  const splice: Splice = {
    section,
    yieldStress: material.yieldStress,
    joint: open ? { form: 'gap', from: span[0], to: span[1] } : jointFormOf(made.form, rules),
    efficiency: open || made.form.form === 'bolted' ? 0 : efficiencyOf(made.weld, rules),
    byWall: open || made.form.form === 'bolted' ? {} : efficiencyByWall(made.weld, rules),
    heatAffected: material.heatAffected,
    metal: weldMetalOf(rules),
    parts,
    holes: holesFor(plates, rules),
    edge: ruleValue(rules, 'splice/fed-edge') === 1 ? 'fed-parts' : 'rail',
    contact: contactOf(fit, section),
    uncut: fit.uncut,
  };
  return { splice, problems, plates };
}

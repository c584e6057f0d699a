import type { Side } from '../frame/index.ts';
import { emptyPlan, evaluatePlan, type PlanInput, type PlanResult } from '../plan/index.ts';
import { inWorkshop, type Kernel, type Manifold, type Triple, type Workshop } from './kernel.ts';
import { type FrameSolid, frameSolids, type SolidKind } from './things.ts';

/** Less than this is a touch, mm: two things that overlap by no more are where they should be. */
export const TOUCH = 0.2;

/** Something that a check in 3D found. */
export interface SolidFinding {
  readonly code: 'overlap' | 'plate-off-steel' | 'sleeve-blocked' | 'unsupported';
  /** Names it within its plan. */
  readonly key: string;
  /** Ids of what it is about, the first one picked. */
  readonly about: readonly string[];
  readonly message: string;
  /** Built station of its middle, mm. */
  readonly builtX: number;
  /** How much, mm; for a plate off the steel the share of it that lies on the rail. */
  readonly amount: number;
}

/** Kinds that may not stand in each other. */
const APART: readonly (readonly [SolidKind, SolidKind])[] = [
  ['box', 'rail'],
  ['box', 'crossmember'],
  ['box', 'member'],
  ['box', 'plate'],
  ['box', 'sleeve'],
  ['box', 'box'],
  ['crossmember', 'crossmember'],
  ['crossmember', 'member'],
  ['sleeve', 'rail'],
  ['plate', 'plate'],
];

const mayMeet = (a: FrameSolid, b: FrameSolid): boolean => {
  if (a.id !== null && a.id === b.id) return true;
  // A plate and a sleeve of one side have nothing to do with the other rail.
  if (a.side && b.side && a.side !== b.side) return true;
  return !APART.some(([p, q]) => (a.kind === p && b.kind === q) || (a.kind === q && b.kind === p));
};

/** How far two solids stand in each other, mm, and where; null where they do not. */
function overlapOf(
  workshop: Workshop,
  a: Manifold,
  b: Manifold,
): { readonly deep: number; readonly at: Triple } | null {
  const [p, q] = [a.boundingBox(), b.boundingBox()];
  const axes = [0, 1, 2] as const;
  if (axes.some((axis) => p.max[axis] - q.min[axis] <= TOUCH || q.max[axis] - p.min[axis] <= TOUCH)) return null;
  const shared = workshop.own(a.intersect(b));
  if (shared.isEmpty()) return null;
  const { min, max } = shared.boundingBox();
  const size = axes.map((axis) => max[axis] - min[axis]);
  // A thin skin along a slanting face is large in every direction: it is as thick as it has volume for its surface.
  const thick = (2 * shared.volume()) / Math.max(1e-9, shared.surfaceArea());
  const deep = Math.min(...size, 2 * thick);
  return deep > TOUCH ? { deep, at: axes.map((axis) => (min[axis] + max[axis]) / 2) as unknown as Triple } : null;
}

const keyOf = (code: SolidFinding['code'], a: FrameSolid, b?: FrameSolid): string =>
  [code, ...[a, ...(b ? [b] : [])].map(({ kind, id, side }) => [kind, id ?? side ?? ''].join(':')).sort()].join('/');

/** Things that stand in each other. */
function overlapsOf(workshop: Workshop, all: readonly FrameSolid[], show: (mm: number) => string): SolidFinding[] {
  const found = new Map<string, SolidFinding>();
  all.forEach((a, index) => {
    for (const b of all.slice(index + 1)) {
      if (mayMeet(a, b)) continue;
      const here = overlapOf(workshop, a.solid, b.solid);
      if (!here) continue;
      const blocked = a.kind === 'sleeve' || b.kind === 'sleeve';
      const code = blocked && (a.kind === 'rail' || b.kind === 'rail') ? 'sleeve-blocked' : 'overlap';
      const key = keyOf(code, a, b);
      if ((found.get(key)?.amount ?? 0) >= here.deep) continue;
      const [first, second] = a.kind === 'rail' ? [b, a] : [a, b];
      found.set(key, {
        code,
        key,
        about: [first.id, second.id].filter((id) => id !== null),
        message:
          code === 'sleeve-blocked'
            ? `The ${first.name} does not go in: it stands ${show(here.deep)} in the steel of the ${second.name}.`
            : `${first.name} and ${second.kind === 'rail' ? `the ${second.name}` : second.name} stand ${show(here.deep)} in each other.`,
        builtX: here.at[0],
        amount: here.deep,
      });
    }
  });
  return [...found.values()];
}

/** Which way a plate is pushed onto the steel that it lies on, by its name's face: across, and up. */
const ONTO: readonly (readonly [name: RegExp, outward: number, up: number])[] = [
  [/inside the web/, 1, 0],
  [/outside the web/, -1, 0],
  [/top flange/, 0, -1],
  [/bottom flange/, 0, 1],
];

/** A plate lies on the steel over at least so much of its face. */
const LEAST_CONTACT = 0.9;
/** How far a plate is pushed to see what it touches, mm. */
const PUSH = 0.5;

/** The share of a plate's face that lies on steel. */
export function contactShare(workshop: Workshop, plate: FrameSolid, rails: readonly FrameSolid[]): number | null {
  const way = ONTO.find(([name]) => name.test(plate.name));
  if (!way || !plate.side) return null;
  const sign = plate.side === 'left' ? -1 : 1;
  const pushed = workshop.own(plate.solid.translate([0, sign * way[1] * PUSH, way[2] * PUSH]));
  const touched = rails
    .filter(({ side }) => side === plate.side)
    .reduce((sum, { solid }) => sum + workshop.own(pushed.intersect(solid)).volume(), 0);
  const { min, max } = plate.solid.boundingBox();
  const thick = way[1] === 0 ? max[2] - min[2] : max[1] - min[1];
  const face = plate.solid.volume() / thick;
  return touched / PUSH / face;
}

function platesOff(workshop: Workshop, all: readonly FrameSolid[]): SolidFinding[] {
  const rails = all.filter(({ kind }) => kind === 'rail');
  return all
    .filter(({ kind }) => kind === 'plate')
    .flatMap((plate): SolidFinding[] => {
      const share = contactShare(workshop, plate, rails);
      if (share === null || share >= LEAST_CONTACT) return [];
      const { min, max } = plate.solid.boundingBox();
      return [
        {
          code: 'plate-off-steel',
          key: `${keyOf('plate-off-steel', plate)}/${plate.name}/${plate.side}`,
          about: plate.id === null ? [] : [plate.id],
          message: `The ${plate.name}, ${plate.side}, lies on steel over ${Math.floor(100 * share)} % of its face only.`,
          builtX: (min[0] + max[0]) / 2,
          amount: share,
        },
      ];
    });
}

/** How far beyond its ends a crossmember is looked for the rails that hold it, mm. */
const NEAR = 2;

/** Crossmembers that no rail is beside at one of their ends. */
function unsupported(workshop: Workshop, all: readonly FrameSolid[]): SolidFinding[] {
  const rails = all.filter(({ kind }) => kind === 'rail');
  const held = (solid: Manifold, side: Side): boolean =>
    rails.some((rail) => rail.side === side && !workshop.own(rail.solid.intersect(solid)).isEmpty());
  return all
    .filter(({ kind }) => kind === 'crossmember')
    .flatMap((one): SolidFinding[] => {
      const { min, max } = one.solid.boundingBox();
      const wide = max[1] - min[1];
      const grown = workshop.own(
        workshop
          .own(
            workshop.own(one.solid.translate([0, -(min[1] + max[1]) / 2, 0])).scale([1, (wide + 2 * NEAR) / wide, 1]),
          )
          .translate([0, (min[1] + max[1]) / 2, 0]),
      );
      const missing = (['left', 'right'] as const).filter((side) => !held(grown, side));
      return missing.length === 0
        ? []
        : [
            {
              code: 'unsupported',
              key: keyOf('unsupported', one),
              about: one.id === null ? [] : [one.id],
              message: `${one.name} has no rail beside it on the ${missing.join(' and the ')} at its height.`,
              builtX: (min[0] + max[0]) / 2,
              amount: missing.length,
            },
          ];
    });
}

const allFindings = (
  workshop: Workshop,
  input: PlanInput,
  result: PlanResult,
  show: (mm: number) => string,
): SolidFinding[] => {
  const all = frameSolids(workshop, input, result);
  return [...overlapsOf(workshop, all, show), ...platesOff(workshop, all), ...unsupported(workshop, all)];
};

/** What stood in each other on the donor already, by key: it is as it was measured. */
const onDonor = new WeakMap<PlanInput['donor'], ReadonlyMap<string, number>>();

/**
 * What is wrong with the frame in space: what overlaps, what is not supported, and what cannot be put in. What is no worse than on the
 * donor as it was measured is left out.
 *
 * @param kernel The kernel.
 * @param input Donor, bodies, plan and rules; validated.
 * @param show Writes a length as the job displays it.
 * @param result What the plan gives; evaluated where not given.
 */
export function checkSolids(
  kernel: Kernel,
  input: PlanInput,
  show: (mm: number) => string,
  result: PlanResult = evaluatePlan(input),
): readonly SolidFinding[] {
  let before = onDonor.get(input.donor);
  if (!before) {
    const bare = { ...input, bodies: [], plan: emptyPlan('donor') };
    const found = inWorkshop(kernel, (workshop) => allFindings(workshop, bare, evaluatePlan(bare), show));
    before = new Map(found.map(({ key, amount }) => [key, amount]));
    onDonor.set(input.donor, before);
  }
  const known = before;
  return inWorkshop(kernel, (workshop) => allFindings(workshop, input, result, show)).filter(
    ({ key, amount }) => amount > (known.get(key) ?? 0) + TOUCH || !known.has(key),
  );
}

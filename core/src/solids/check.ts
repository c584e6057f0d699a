import type { Side } from '../frame/index.ts';
import {
  type Acceptance,
  advise,
  type Conflict,
  conflictOf,
  emptyPlan,
  evaluatePlan,
  type PlanInput,
  type PlanResult,
} from '../plan/index.ts';
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
  /** Its middle in frame coordinates, mm; x is its built station. */
  readonly at: Triple;
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

const middleOf = (solid: Manifold): Triple => {
  const { min, max } = solid.boundingBox();
  return [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
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
  return deep > TOUCH ? { deep, at: middleOf(shared) } : null;
}

/** What has an id comes first: an acceptance is kept as long as that is there. */
const keyOf = (code: SolidFinding['code'], ...about: readonly FrameSolid[]): string => {
  const named = about.flatMap(({ id }) => id ?? []).sort();
  const unnamed = about
    .flatMap(({ id, kind, side }) => (id === null || kind === 'rail' ? [`${kind} ${side}`] : []))
    .sort();
  return [`solid-${code}`, ...named, ...unnamed].join('/');
};

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
        at: here.at,
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

/**
 * The share of a plate's face that lies on steel; null for a plate on no face of a rail.
 *
 * @param workshop Holds what is made.
 * @param plate The plate.
 * @param rails All rails of the frame.
 */
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
      return [
        {
          code: 'plate-off-steel',
          key: `${keyOf('plate-off-steel', plate)}/${plate.name} ${plate.side}`,
          about: plate.id === null ? [] : [plate.id],
          message: `The ${plate.name}, ${plate.side}, lies on steel over ${Math.floor(100 * share)} % of its face only.`,
          at: middleOf(plate.solid),
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
              at: middleOf(one.solid),
              amount: missing.length,
            },
          ];
    });
}

/** Ways that a sleeve is turned, degrees, and shifted, mm, to find whether it goes in with the play that it has. */
const TURNS = [0.5, -0.5, 1, -1, 1.5, -1.5, 2.5, -2.5];
const SHIFTS = [0, 1, -1, 2, -2, 4, -4];

/** How deep a sleeve stands in the rails of its side, mm. */
const blockedBy = (workshop: Workshop, sleeve: Manifold, rails: readonly FrameSolid[]): number =>
  Math.max(0, ...rails.map(({ solid }) => overlapOf(workshop, sleeve, solid)?.deep ?? 0));

/** A sleeve as it lies in its rail: straight where it fits so, else turned and shifted until it fits best. */
function eased(workshop: Workshop, sleeve: FrameSolid, all: readonly FrameSolid[]): FrameSolid {
  const rails = all.filter(({ kind, side }) => kind === 'rail' && side === sleeve.side);
  let best = { solid: sleeve.solid, deep: blockedBy(workshop, sleeve.solid, rails) };
  const [x, y, z] = middleOf(sleeve.solid);
  const centred = workshop.own(sleeve.solid.translate([-x, -y, -z]));
  for (const across of [true, false])
    for (const turn of TURNS)
      for (const shift of SHIFTS) {
        if (best.deep === 0) return { ...sleeve, solid: best.solid };
        const turned = workshop.own(centred.rotate(across ? [0, 0, turn] : [0, turn, 0]));
        const solid = workshop.own(turned.translate(across ? [x, y + shift, z] : [x, y, z + shift]));
        const deep = blockedBy(workshop, solid, rails);
        if (deep < best.deep) best = { solid, deep };
      }
  return { ...sleeve, solid: best.solid };
}

const allFindings = (
  workshop: Workshop,
  input: PlanInput,
  result: PlanResult,
  show: (mm: number) => string,
): SolidFinding[] => {
  const made = frameSolids(workshop, input, result);
  const all = made.map((one) => (one.kind === 'sleeve' ? eased(workshop, one, made) : one));
  return [...overlapsOf(workshop, all, show), ...platesOff(workshop, all), ...unsupported(workshop, all)];
};

/** What crossed on the donor still crosses when one of the two is turned a little: so much deeper is no news, as a share. */
const CROSSING = 0.25;

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
    ({ key, amount }) => !known.has(key) || amount > (1 + CROSSING) * (known.get(key) ?? 0) + TOUCH,
  );
}

/** What to do about each kind of finding. */
const ADVICE: Readonly<Record<SolidFinding['code'], readonly string[]>> = {
  overlap: ['Move one of them, or change the plan so that they part.', 'Measure both again where they are assumed.'],
  'plate-off-steel': ['Move or shorten the plate until it lies on the rail, or take another kind.'],
  'sleeve-blocked': ['Take a smaller tube or a shorter reach, or splice with plates.'],
  unsupported: ['Move it to where both rails are, or make its ends longer.'],
};

/**
 * A finding as a conflict of the plan. It warns: what stands in each other may be a measurement that was not taken.
 *
 * @param finding What was found.
 * @param acceptances What somebody has decided to live with.
 */
export const solidConflict = (
  { code, key, about, message, at }: SolidFinding,
  acceptances: readonly Acceptance[],
): Conflict =>
  conflictOf(
    {
      code: `solid-${code}`,
      severity: 'warn',
      operation: null,
      donorX: null,
      builtX: at[0],
      about: about[0] ?? null,
      message,
      waysOut: advise(...ADVICE[code]),
    },
    acceptances,
    key,
  );

import { type Body, newBody } from '../src/body/index.ts';
import type { Bracket, ContourPoint, Mounting } from '../src/mounting/index.ts';
import { evaluatePlan, type PlanInput } from '../src/plan/index.ts';
import { inputOf, plainFrame } from './frames.ts';

/** A straight channel at height 0: outside faces at 430, 150 deep. */
export const rail = { kind: 'channel', depth: 150, flange: 60, thickness: 5 } as const;
export const frame = plainFrame({ sections: [{ id: 'rail', section: rail }] });

const mount = (id: string, x: number, y: number, z: number) => ({
  id,
  name: `Mount ${id}`,
  x,
  y,
  z,
  hole: 14,
  thickness: 4,
});
const middle = 430 - rail.flange / 2;
export const body: Body = {
  ...newBody('body', 'Bed'),
  mounts: [
    mount('a', 200, -middle, 60),
    mount('b', 200, middle, 60),
    mount('c', 1500, -490, 20),
    mount('d', 1500, 490, 20),
    mount('e', 3000, -middle, 60),
    mount('f', 3000, middle, 60),
  ],
  masses: [{ id: 'w', name: 'Bed', mass: 600, x: 1566.6666666666667, y: 0, z: 300 }],
};
export const input = (mountings: readonly Mounting[] = [], z = 0, on = body): PlanInput => {
  const made = inputOf(frame);
  return { ...made, bodies: [on], plan: { ...made.plan, seats: [{ body: 'body', x: 700, z, rake: 0 }], mountings } };
};
export const outcome = (of: PlanInput, id: string) =>
  evaluatePlan(of).mountings.find(({ seat }) => seat.mount.id === id)!;
export const perch = {
  form: 'perch' as const,
  thickness: 5,
  along: 80,
  across: rail.flange,
  radius: 7.5,
  boxed: false,
  leg: 5,
  contour: [] as readonly ContourPoint[],
} satisfies Bracket;
export const made = (id: string, bracket: Bracket, changes: Partial<Mounting> = {}): Mounting => ({
  body: 'body',
  mount: id,
  under: [],
  bracket,
  over: [],
  hung: [],
  ...changes,
});

/** A folded arm, 100 deep at the rail. */
export const arm = (changes: Partial<Extract<Bracket, { form: 'arm' }>> = {}): Bracket => ({
  form: 'arm',
  make: 'folded',
  thickness: 6,
  along: 90,
  deep: 100,
  tip: 60,
  radius: 9,
  contour: [],
  fixing: { by: 'weld', leg: 6 },
  ...changes,
});

import type { Vec3 } from '../frame/index.ts';
import type { InputProblem } from '../input-error.ts';

/** A place where the body wants to sit. */
export interface BodyMount extends Vec3 {
  readonly id: string;
  readonly name: string;
}

/** Something that the body brings: its own weight, a tank, the payload. Where it balances, and kg. */
export interface BodyMass extends Vec3 {
  readonly id: string;
  readonly name: string;
  readonly mass: number;
}

/** The body that goes on, in coordinates of its own: mm, x from its front wheel opening. */
export interface Body {
  readonly name: string;
  /** Distance between the centres of its wheel openings; 0 while it has not been measured. */
  readonly wheelbase: number;
  /** Outline of its side, from front to rear, z over the datum plane. */
  readonly outline: readonly { readonly x: number; readonly z: number }[];
  readonly mounts: readonly BodyMount[];
  readonly masses: readonly BodyMass[];
}

/** A body of which nothing is known yet. */
export const newBody: Body = { name: 'Body', wheelbase: 0, outline: [], mounts: [], masses: [] };

/**
 * A place on the body in frame coordinates: its front wheel opening stands on the front axle at `frontX`.
 *
 * @param at A point in the body’s own coordinates, mm.
 * @param frontX Station of the front axle, mm.
 */
export const seated = (at: Vec3, frontX: number): Vec3 => ({ x: at.x + frontX, y: at.y, z: at.z });

/**
 * What no schema says about a body: a mass that is none.
 *
 * @param body The body.
 * @param path Where that is in the document: problems are named from there.
 */
export function bodyProblems(body: Body, path: string): InputProblem[] {
  return body.masses.flatMap(({ name, mass }, index): InputProblem[] =>
    mass > 0
      ? []
      : [
          {
            code: 'body/mass',
            path: `${path}.masses[${index}].mass`,
            message: `${name} needs a mass above 0 kg, or take it off the list.`,
          },
        ],
  );
}

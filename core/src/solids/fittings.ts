import { SIDES, sideSign, type Vec3 } from '../frame/index.ts';
import { heightOf } from '../mounting/index.ts';
import type { MountingOutcome, PlanInput, PlanResult } from '../plan/index.ts';
import { ruleValue } from '../rules/index.ts';
import type { FrameSolid } from './frame-solid.ts';
import { hull, type Workshop } from './kernel.ts';

type Span = readonly [from: number, to: number];

/** A box between two stations whose faces may differ at each: across and up, mm. */
interface End {
  readonly x: number;
  readonly y: Span;
  readonly z: Span;
}

const boxBetween = (workshop: Workshop, ...ends: readonly End[]) =>
  hull(
    workshop,
    ends.flatMap(({ x, y, z }) => y.flatMap((across): Vec3[] => z.map((up) => ({ x, y: across, z: up })))),
  );

/** Where a bracket meets the rail at a station along its width: its own edge, and how high its top is there, mm. */
interface Along {
  readonly x: number;
  readonly reach: number;
}

/** Stations along a bracket's edge, in the frame. */
const edgePoints = ({ edge, seat }: MountingOutcome): readonly Along[] =>
  edge().map(({ at, reach }) => ({ x: seat.at.x + at, reach }));

/** A part of a bracket, and the face of it that must touch the rail. */
type Fitting = Required<Pick<FrameSolid, 'solid' | 'toward' | 'foot'>>;

/**
 * A bracket between its edge on the rail and its mount: the legs of a perch, an old bracket on its block, an arm or angle from the web.
 * Null for mounts without a bracket, without a rail, and for those that cannot be made.
 */
function bracketParts(workshop: Workshop, outcome: MountingOutcome, rake: number): readonly Fitting[] {
  const { mounting, rail, height, top, seat, problems, under } = outcome;
  const { bracket } = mounting;
  const points = edgePoints(outcome);
  if (!rail || height === null || problems.length > 0 || points.length < 2) return [];
  const sign = sideSign(outcome.side);
  const middle = (rail.outer + rail.inner) / 2;
  const raised = heightOf(under);
  /** One piece along all of the edge, in stretches between its points. */
  const along = (end: (point: Along) => Omit<End, 'x'>) =>
    workshop.own(
      workshop.kernel.Manifold.union(
        points.slice(1).map((to, at) => {
          const from = points[at] as Along;
          return boxBetween(workshop, { x: from.x, ...end(from) }, { x: to.x, ...end(to) });
        }),
      ),
    );
  /** Across the frame between two distances from the center line. */
  const across = (a: number, b: number): Span => {
    const [p, q] = [sign * a, sign * b];
    return p < q ? [p, q] : [q, p];
  };
  const topAt = (x: number) => top + Math.tan(rake) * (x - seat.at.x);
  switch (bracket.form) {
    case 'none':
      return [];
    case 'perch': {
      const legs = [-1, 1].map((way) => {
        const out = middle + (way * bracket.across) / 2;
        return along(({ x, reach }) => ({
          y: across(out, out - way * bracket.thickness),
          z: [topAt(x) - reach - raised, topAt(x)],
        }));
      });
      return legs.map((solid) => ({ solid, toward: [0, -1], foot: bracket.along * bracket.thickness }));
    }
    case 'old': {
      const solid = along(({ x, reach }) => ({
        y: across(rail.outer, rail.inner),
        z: [topAt(x) - reach - raised, topAt(x)],
      }));
      return [{ solid, toward: [0, -1], foot: bracket.along * Math.abs(rail.outer - rail.inner) }];
    }
    case 'arm':
    case 'angle': {
      const inboard = seat.sideways < 0;
      const deep = bracket.form === 'arm' ? bracket.deep : bracket.upright;
      const out = Math.abs(seat.at.y);
      const tip = bracket.form === 'arm' ? bracket.tip : bracket.thickness;
      // An angle stands off the web by its thickness only; an arm tapers toward its mount.
      const solid =
        bracket.form === 'angle'
          ? along(({ reach }) => {
              const face = inboard ? out + reach : out - reach;
              const way = inboard ? -1 : 1;
              return { y: across(face, face + way * bracket.thickness), z: [top - deep, top] };
            })
          : workshop.own(
              workshop.kernel.Manifold.union(
                points.slice(1).map((to, at) =>
                  hull(
                    workshop,
                    [points[at] as Along, to].flatMap(({ x, reach }): Vec3[] => {
                      const face = inboard ? out + reach : out - reach;
                      const end = inboard ? out - bracket.along / 2 : out + bracket.along / 2;
                      return [
                        { x, y: sign * face, z: top },
                        { x, y: sign * face, z: top - deep },
                        { x, y: sign * end, z: top },
                        { x, y: sign * end, z: top - tip },
                      ];
                    }),
                  ),
                ),
              ),
            );
      return [
        {
          solid,
          toward: [inboard ? 1 : -1, 0],
          // As much of its end as its strength is counted with.
          foot: bracket.along * outcome.contact.height,
        },
      ];
    }
  }
}

/**
 * The brackets of the bodies' mounts, each with the face that it stands on or is welded to.
 *
 * @param workshop Holds what is made.
 * @param result What the plan gives.
 */
export const bracketSolids = (workshop: Workshop, result: PlanResult): readonly FrameSolid[] =>
  result.mountings.flatMap((outcome): FrameSolid[] => {
    const { bracket } = outcome.mounting;
    // An edge read from a contour gauge fits what was gauged, not the rail as measured.
    const gauged = 'contour' in bracket && bracket.contour.length > 1;
    const rake = result.seats.find(({ body }) => body.id === outcome.body.id)?.pose.rake ?? 0;
    return bracketParts(workshop, outcome, rake).map(({ solid, toward, foot }) => ({
      kind: 'bracket',
      id: outcome.seat.mount.id,
      name: `${outcome.name} of mount ${outcome.tag}`,
      side: outcome.side,
      piece: null,
      stretched: 1,
      solid,
      ...(gauged ? {} : { toward, foot }),
    }));
  });

/**
 * The tires of the axles, straight and at ride height, as wide as the rulebook takes them to be.
 *
 * @param workshop Holds what is made.
 * @param input Donor, bodies, plan and rules; validated.
 * @param result What the plan gives.
 */
export function tireSolids(workshop: Workshop, { rules }: PlanInput, { axles }: PlanResult): readonly FrameSolid[] {
  const width = ruleValue(rules, 'tire/width');
  return axles.flatMap(({ item, built }) =>
    built
      ? SIDES.map((side): FrameSolid => {
          const round = workshop.kernel.Manifold.cylinder(width, item.tireRadius, item.tireRadius, 0, true);
          const upright = workshop.own(workshop.own(round).rotate([90, 0, 0]));
          const solid = workshop.own(upright.translate([built.x, (sideSign(side) * item.track) / 2, built.z]));
          const name = `the ${side} tire of ${item.name}`;
          return { kind: 'tire', id: item.id, name, side, piece: null, stretched: 1, solid };
        })
      : [],
  );
}

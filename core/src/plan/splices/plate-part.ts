import { extentOf } from '../../frame/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import type { Section } from '../../sections/index.ts';
import { edgesOf, isOnWeb, type Plate } from '../../splice/index.ts';
import type { FeatureOutcome } from '../feature-outcome.ts';
import type { DrawnPoint } from '../outline.ts';
import type { PlanResult } from '../plan-result.ts';
import { laidOut, sizeOf } from '../flat-part.ts';
import { type MadePart, sideOf } from './cut-part.ts';
import type { RailSpliceOutcome } from './splice-outcome.ts';
import type { SpliceJoint } from './joints-to-make.ts';
import { plateMass } from './steel.ts';

/** Where a point of a plate comes to when the part behind the joint is turned up about the joint, mm. */
function turned(x: number, y: number, turn: number): DrawnPoint {
  if (x <= 0 || turn === 0) return [x, y];
  return [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
}

/** The outline of a plate about its own middle: over a kink its halves meet on the line that halves the angle. */
function outlineOf(plate: Plate, section: Section, turn: number): readonly DrawnPoint[] {
  const edges = edgesOf(plate, section);
  const middle = isOnWeb(plate.face) ? section.depth / 2 : 0;
  const bent = isOnWeb(plate.face) ? turn : 0;
  const half = Math.tan(bent / 2);
  const line = (of: 'low' | 'high'): DrawnPoint[] =>
    edges.flatMap((corner, at): DrawnPoint[] => {
      const y = corner[of] - middle;
      const next = edges[at + 1];
      const here: DrawnPoint[] = corner.x === 0 ? [[-y * half, y]] : [turned(corner.x, y, bent)];
      if (bent === 0 || !next || corner.x >= 0 || next.x <= 0) return here;
      const share = -corner.x / (next.x - corner.x);
      const across = corner[of] + (next[of] - corner[of]) * share - middle;
      return [...here, [-across * half, across]];
    });
  const points = [...line('low'), ...line('high').reverse()];
  // A pointed end has its corner once.
  return points.filter((point, at) => {
    const before = points[(at + points.length - 1) % points.length];
    return !before || Math.hypot(point[0] - before[0], point[1] - before[1]) > 1e-6;
  });
}

/** Holes of the frame that a plate goes round, from the joint, mm. */
function keptHoles(
  plate: Plate,
  one: RailSpliceOutcome,
  joint: SpliceJoint,
  features: readonly FeatureOutcome[],
  rules: Rulebook,
) {
  const { section } = one.steel;
  const clear = ruleValue(rules, 'splice/cut-out');
  if (!isOnWeb(plate.face) || joint.of === 'member') return [];
  return features.flatMap(({ feature, places }) => {
    const built = places[sideOf(one.rail)]?.built;
    if (!built || feature.attachment !== 'hole' || feature.diameter <= 0) return [];
    if (feature.face !== 'web-inside' && feature.face !== 'web-outside') return [];
    const { from, to } = extentOf(feature);
    const x = built.x - joint.builtX;
    const z = section.depth - feature.down;
    const [start, end] = [x - (feature.x - from), x + (to - feature.x)];
    if (end < -plate.ahead || start > plate.behind) return [];
    const edges = edgesOf(plate, section);
    if (!edges.some(({ low, high }) => z > low - feature.diameter / 2 && z < high + feature.diameter / 2)) return [];
    return [{ x, y: z - section.depth / 2, diameter: feature.diameter + 2 * clear }];
  });
}

/**
 * A plate laid flat, with its plugs or bolts, and round the holes that it leaves open.
 *
 * @param plate The plate as it is laid on.
 * @param one The rail's splice.
 * @param joint The joint.
 * @param result What the plan gives.
 * @param rules The shop's rulebook.
 */
export function platePart(
  plate: Plate,
  one: RailSpliceOutcome,
  joint: SpliceJoint,
  result: PlanResult,
  rules: Rulebook,
): MadePart {
  const { section, material } = one.steel;
  const bent = isOnWeb(plate.face) ? one.turn : 0;
  const middle = isOnWeb(plate.face) ? section.depth / 2 : 0;
  const at = ({ x, across }: { readonly x: number; readonly across: number }): DrawnPoint =>
    turned(x, across - middle, bent);
  const ys = edgesOf(plate, section).flatMap(({ low, high }) => [low - middle, high - middle]);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const flat = laidOut(
    {
      outline: outlineOf(plate, section, one.turn),
      holes: [
        ...plate.plugs.map((plug) => ({ at: at(plug), diameter: plug.diameter, what: 'plug' as const })),
        ...plate.bolts.map((bolt) => ({
          at: at(bolt),
          diameter: bolt.diameter + ruleValue(rules, 'bolt/hole'),
          what: 'bolt' as const,
        })),
        ...keptHoles(plate, one, joint, result.features, rules).map(({ x, y, diameter }) => ({
          at: turned(x, y, bent),
          diameter,
          what: 'kept' as const,
        })),
      ],
      lines: [{ from: [-low * Math.tan(bent / 2), low], to: [-high * Math.tan(bent / 2), high], what: 'joint' }],
    },
    sideOf(one.rail),
  );
  return {
    name: plate.name,
    stock: 'plate',
    thickness: plate.thickness,
    flat,
    ...sizeOf(flat),
    mass: plateMass(plate, section, material.density),
    note: '',
  };
}

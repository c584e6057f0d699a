import type { Section } from '../../sections/index.ts';
import { edgesOf, type Plate, type SplicePart, type SpliceSleeve } from '../../splice/index.ts';

/**
 * Mass of a plate, kg, its plug holes filled again.
 *
 * @param plate The plate.
 * @param section The rail that it is on.
 * @param density kg/mm³.
 */
export function plateMass(plate: Plate, section: Section, density: number): number {
  const edges = edgesOf(plate, section);
  const area = edges.slice(1).reduce((sum, b, at) => {
    const a = edges[at] ?? b;
    return sum + ((b.x - a.x) * (a.high - a.low + b.high - b.low)) / 2;
  }, 0);
  return area * plate.thickness * density;
}

/**
 * Mass of a sleeve, kg; a folded channel is open on one side. `through`: how much longer it is to run through a stretch, mm.
 *
 * @param sleeve The sleeve.
 * @param density kg/mm³.
 * @param through How much longer it is to run through a stretch, mm.
 */
export function sleeveMass(
  { kind, height, width, wall, inner = wall, ahead, behind }: SpliceSleeve,
  density: number,
  through = 0,
): number {
  const area =
    kind === 'folded' ? (height + 2 * (width - wall)) * wall : 2 * width * wall + (height - 2 * wall) * (wall + inner);
  return area * (ahead + behind + through) * density;
}

/**
 * Length of the fillets on a part and round its plugs, mm.
 *
 * @param part The part as its strength is calculated.
 */
export const weldOn = ({ fillets, plugs }: SplicePart): number =>
  fillets.reduce((sum, { from, to }) => sum + Math.hypot(to.x - from.x, to.across - from.across), 0) +
  plugs.reduce((sum, { diameter }) => sum + Math.PI * diameter, 0);

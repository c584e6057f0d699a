import type { Vec3 } from '../../frame/index.ts';
import { distance } from '../pose.ts';
import type { Lump } from '../solid.ts';
import type { MemberOutcome } from './member-outcome.ts';

/** The steel of a member as built: a lump for each straight stretch of its center line, and for what fills a gap. */
export function memberLumps({ copies, mass }: MemberOutcome): Lump[] {
  const total = copies.reduce((sum, { lengthAfter }) => sum + lengthAfter, 0);
  const perLength = total > 0 ? mass / total : 0;
  const stretch = (a: Vec3, b: Vec3, length: number): Lump => ({
    mass: perLength * length,
    at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 },
    line: [a, b],
  });
  return copies.flatMap(({ built, meetings }) => [
    ...built.flatMap(({ points }) =>
      points.slice(1).map((point, index) => {
        const before = points[index] as Vec3;
        return stretch(before, point, distance(before, point));
      }),
    ),
    ...meetings.flatMap(({ front, rear, fill, pieces }) =>
      pieces[1] - pieces[0] > 1 && fill > 0 ? [stretch(front, rear, fill)] : [],
    ),
  ]);
}

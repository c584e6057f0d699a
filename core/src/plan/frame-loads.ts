import { type Ref, SIDES } from '../frame/index.ts';
import { memberLumps, middleOf } from './members/index.ts';
import type { Standing } from './measures.ts';
import type { Lump } from './solid.ts';

/** Something that weighs on the frame, and what it is called. */
export interface FrameLoad extends Lump {
  readonly ref: Ref;
  readonly name: string;
}

/**
 * Everything on a frame that weighs something, besides the steel of its rails.
 *
 * @param standing Everything on the frame, where it is.
 */
export function frameLoads({ crossmembers, members, braces, features, points }: Standing): FrameLoad[] {
  const loads: FrameLoad[] = [];
  for (const { built, crossmember, mass } of crossmembers)
    if (built && mass > 0)
      loads.push({
        ref: { kind: 'crossmember', id: crossmember.id },
        name: crossmember.name,
        mass,
        at: { ...built, z: built.z - crossmember.depth / 2 },
      });
  for (const member of members)
    for (const lump of memberLumps(member))
      loads.push({ ref: { kind: 'member', id: member.member.id }, name: member.member.name, ...lump });
  for (const { brace, built, mass } of braces)
    if (built)
      loads.push({
        ref: { kind: 'brace', id: brace.id },
        name: brace.name,
        mass,
        at: middleOf(built),
        line: [built.from, built.to],
      });
  for (const { feature, places } of features)
    if (feature.mass > 0)
      for (const side of SIDES) {
        const at = places[side]?.built;
        if (at) loads.push({ ref: { kind: 'feature', id: feature.id }, name: feature.name, mass: feature.mass, at });
      }
  for (const { item, built } of points)
    if (built && item.mass > 0)
      loads.push({ ref: { kind: 'point', id: item.id }, name: item.name, mass: item.mass, at: built });
  return loads;
}

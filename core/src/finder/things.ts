import { extentOf, factsOf, type Frame } from '../frame/index.ts';
import type { Outcomes } from '../plan/index.ts';
import type { RuleId } from '../rules/index.ts';
import type { Lane } from './reason.ts';

/** A stretch of the donor that something takes up, mm. */
export interface Stretch {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** Something that stands over the rails: what getting at a joint under it takes. */
export interface Over extends Stretch {
  readonly rule: RuleId;
  readonly lane: Lane;
  readonly work: string;
  /** Whether it is in the way of a joint close to it too (1), or only of one under it (0). */
  readonly reach: 0 | 1;
}

/**
 * What is left on the frame of its features and crossmembers under a plan, where they are on the donor.
 *
 * @param outcomes The plan, evaluated as far as its outcomes.
 */
export function thingsOf({ features, crossmembers }: Outcomes) {
  const there = (status: string) => status === 'stays' || status === 'moves' || status === 'new';
  return {
    things: features
      .filter(({ feature, status }) => there(status) && feature.kind !== 'line-clip')
      .map(({ feature }): Stretch => ({ id: feature.id, name: feature.name, ...extentOf(feature) })),
    crossmembers: crossmembers
      .filter(({ built }) => built !== null)
      .map(({ crossmember: { id, name, x, length } }): Stretch => ({
        id,
        name,
        from: x - length / 2,
        to: x + length / 2,
      })),
  };
}

/**
 * What stands over the rails and must come off or be loosened for a joint under it or close to it.
 *
 * @param frame The donor; validated.
 * @param outcomes The plan, evaluated as far as its outcomes.
 */
export function overOf(frame: Frame, { features, units, points }: Outcomes): Over[] {
  const left = new Map(
    features.filter(({ places }) => places.left ?? places.right).map(({ feature }) => [feature.id, feature]),
  );
  const members = new Map(frame.crossmembers.map((member) => [member.id, member]));
  const spanOf = (ids: readonly string[]) => {
    const extents = ids.flatMap((id) => {
      const [feature, member] = [left.get(id), members.get(id)];
      if (feature) return [extentOf(feature)];
      return member ? [{ from: member.x - member.length / 2, to: member.x + member.length / 2 }] : [];
    });
    return extents.length > 0
      ? { from: Math.min(...extents.map(({ from }) => from)), to: Math.max(...extents.map(({ to }) => to)) }
      : null;
  };
  const back = points.find(({ item }) => item.kind === 'cab-back')?.donor.x;
  const loose = new Map<string, readonly string[]>();
  for (const { feature } of features) {
    const kind = factsOf(feature.kind).unit;
    if (
      (kind === 'cab' || kind === 'tank') &&
      !units.some(({ unit }) => unit.mounts.some(({ id }) => id === feature.id))
    )
      loose.set(kind, [...(loose.get(kind) ?? []), feature.id]);
  }
  const all = [
    ...units.map(({ unit }) => ({
      id: unit.id,
      kind: unit.kind,
      name: unit.name,
      ids: unit.mounts.map(({ id }) => id),
    })),
    ...[...loose].map(([kind, ids]) => ({ id: `loose-${kind}`, kind, name: kind === 'cab' ? 'Cab' : 'Tank', ids })),
  ];
  const WORK = {
    cab: 'finder/cab',
    body: 'finder/bed',
    tank: 'finder/tank',
    'power-unit': 'finder/engine',
  } as const;
  const SAYS = {
    cab: 'loosened and lifted',
    body: 'taken off',
    tank: 'taken out before any spark',
    'power-unit': 'lifted out',
  } as const;
  return all.flatMap(({ id, kind, name, ids }) => {
    if (kind !== 'cab' && kind !== 'body' && kind !== 'tank' && kind !== 'power-unit') return [];
    const span = spanOf(ids);
    if (!span) return [];
    const rooms = kind === 'tank' ? frame.rooms.filter((room) => room.kind === 'tank') : [];
    return [
      {
        id,
        name,
        from: Math.min(span.from, ...rooms.map(({ front }) => front)),
        to: Math.max(kind === 'cab' ? (back ?? span.to) : span.to, span.to, ...rooms.map(({ rear }) => rear)),
        rule: WORK[kind],
        lane: kind === 'tank' ? ('tank' as const) : ('strip' as const),
        work: SAYS[kind],
        reach: kind === 'power-unit' ? (0 as const) : (1 as const),
      },
    ];
  });
}

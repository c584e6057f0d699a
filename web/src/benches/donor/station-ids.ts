import { type Frame, railOf, type Side, type Station } from '@splay/core';

/** A station of the rails as something that can be picked: stations have no ids, and are known by their place. */
export interface PickedStation {
  /** Both where the rails are mirrored. */
  readonly side: Side | 'both';
  readonly index: number;
  readonly station: Station;
}

export const stationId = (side: Side | 'both', index: number): string => `station:${side}:${index}`;

/** The station that an id of `stationId` names; null for any other id, and for one that is not there any more. */
export function stationOf(id: string, { rails }: Frame): PickedStation | null {
  const [, side, index] = /^station:(both|left|right):(\d+)$/.exec(id) ?? [];
  if (!side || !index || (side === 'both') !== (rails.kind === 'mirrored')) return null;
  const station = railOf(rails, side === 'right' ? 'right' : 'left')[Number(index)];
  return station ? { side: side as Side | 'both', index: Number(index), station } : null;
}

/** The frame with other figures at a station: typed or dragged there, they do not count as assumed any more. */
export function withStation(frame: Frame, { side, index }: PickedStation, figures: Partial<Station>): Frame {
  const { rails } = frame;
  const put = (stations: readonly Station[]) =>
    stations.map((station, at) => {
      if (at !== index) return station;
      const { origin, ...measured } = station;
      return { ...measured, ...(origin === 'assumed' ? {} : origin && { origin }), ...figures };
    });
  if (rails.kind === 'mirrored') return { ...frame, rails: { ...rails, stations: put(rails.stations) } };
  const rail = side === 'right' ? 'right' : 'left';
  return { ...frame, rails: { ...rails, [rail]: put(rails[rail]) } };
}

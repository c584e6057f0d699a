import type { SeatMount } from '../match/seat-outcome.ts';

/** When a mount is made among those of its body, from 1, and why then. */
export interface MakingTurn {
  readonly turn: number;
  readonly why: string;
}

const CORNER = 'a corner: sets height and level';
const BETWEEN = 'between: brought to the straightedge over the corners';
const PULLED = 'last: the body pulls at it at rest';

/**
 * The order in which the mounts of a body are made: its four corners first, first and last on each side, since they
 * set height and level; then those between, the most loaded first; those that are pulled last.
 *
 * @param mounts The mounts where the body sits.
 */
export function makingOrder(mounts: readonly SeatMount[]): ReadonlyMap<string, MakingTurn> {
  const pressed = mounts.filter(({ load }) => load === null || load >= 0);
  const corners = (['left', 'right'] as const).flatMap((side) => {
    const on = pressed.filter((mount) => mount.side === side).toSorted((a, b) => a.at.x - b.at.x);
    return [...new Set([on[0], on.at(-1)])].filter((mount) => mount !== undefined);
  });
  const first = corners.toSorted((a, b) => a.at.x - b.at.x);
  const between = pressed
    .filter((mount) => !first.includes(mount))
    .toSorted((a, b) => (b.load ?? 0) - (a.load ?? 0) || a.at.x - b.at.x);
  const pulled = mounts.filter((mount) => !pressed.includes(mount));
  const why = (mount: SeatMount) => (first.includes(mount) ? CORNER : pulled.includes(mount) ? PULLED : BETWEEN);
  return new Map(
    [...first, ...between, ...pulled].map((mount, at) => [mount.mount.id, { turn: at + 1, why: why(mount) }]),
  );
}

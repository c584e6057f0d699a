import type { Body } from '@splay/core';

/** The body that is picked, or that something picked belongs to; else the first. Undefined while the job has none. */
export function selectedBody(bodies: readonly Body[], selected: string | null): Body | undefined {
  const owns = ({ id, openings, mounts, boxes, masses, fenders, points }: Body) =>
    id === selected ||
    [...openings, ...mounts, ...boxes, ...masses, ...fenders, ...points].some((part) => part.id === selected);
  return bodies.find(owns) ?? bodies[0];
}

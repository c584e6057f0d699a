import type { Crossmember, Feature } from '../frame/index.ts';
import { inches } from '../units/index.ts';

/**
 * A crossmember that operation `id` adds, with sizes to start from.
 *
 * @param id Id of the operation that adds it.
 * @param x Station, mm.
 */
export const newCrossmember = (id: string, x: number): Crossmember => ({
  id: `${id}-member`,
  name: 'New crossmember',
  x,
  length: inches(3),
  depth: inches(4),
  below: inches(1),
  fixing: 'bolted',
  removable: true,
  mass: 8,
});

/**
 * A hole that operation `id` drills in both webs.
 *
 * @param id Id of the operation that adds it.
 * @param x Station, mm.
 */
export const newHole = (id: string, x: number): Feature => ({
  id: `${id}-hole`,
  name: 'New hole',
  kind: 'hole',
  side: 'both',
  x,
  ahead: 0,
  behind: 0,
  face: 'web-outside',
  down: inches(2),
  diameter: inches(1 / 2),
  attachment: 'hole',
  movable: 'no',
  mass: 0,
});

/**
 * A body mount that operation `id` bolts to both webs.
 *
 * @param id Id of the operation that adds it.
 * @param x Station, mm.
 */
export const newBracket = (id: string, x: number): Feature => ({
  id: `${id}-bracket`,
  name: 'New bracket',
  kind: 'body-mount',
  side: 'both',
  x,
  ahead: inches(2),
  behind: inches(2),
  face: 'web-outside',
  down: inches(3),
  diameter: 0,
  attachment: 'bolts',
  movable: 're-drill',
  mass: 2,
});

import { asUsual, type Crossmember, type Feature, type Frame, USUAL_FIGURES } from '../frame/index.ts';
import { widthOf } from '../sections/index.ts';
import { inches } from '../units/index.ts';

/** The section that crossmembers of a frame mostly have; its first one where none says. */
function crossmemberSection({ crossmembers, sections }: NewCrossmemberOn): Frame['sections'][number] | undefined {
  const counts = new Map<string, number>();
  for (const { section } of crossmembers) if (section) counts.set(section, (counts.get(section) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  return sections.find(({ id }) => id === most) ?? sections[0];
}

type NewCrossmemberOn = Pick<Frame, 'crossmembers' | 'sections'>;

/**
 * A crossmember that operation `id` adds: of the section that the frame's others have, so that its mass and what it is cut to
 * follow from it.
 *
 * @param id Id of the operation that adds it.
 * @param x Station, mm.
 * @param frame The donor.
 */
export function newCrossmember(id: string, x: number, frame: NewCrossmemberOn): Crossmember {
  const of = crossmemberSection(frame);
  return {
    id: `${id}-member`,
    name: 'New crossmember',
    x,
    length: of ? widthOf(of.section) : inches(3),
    depth: of?.section.depth ?? inches(4),
    below: inches(1),
    fixing: 'bolted',
    removable: true,
    ...(of && { section: of.id }),
  };
}

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
 * A body mount that operation `id` bolts to both webs, as is usual for one.
 *
 * @param id Id of the operation that adds it.
 * @param x Station, mm.
 */
export const newBracket = (id: string, x: number): Feature =>
  asUsual({
    ...newHole(id, x),
    id: `${id}-bracket`,
    name: 'New bracket',
    kind: 'body-mount',
    down: inches(3),
    usual: USUAL_FIGURES,
  });

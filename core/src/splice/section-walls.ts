import { closingPlate, rectangle, type Rectangle, type Section, widthOf } from '../sections/index.ts';
import type { RailWall } from './rail-splice.ts';

/**
 * Whether a section is closed all round: nothing inside of it can be reached once its ends are joined.
 *
 * @param section The section.
 */
export const isClosed = ({ kind }: Pick<Section, 'kind'>): boolean =>
  kind === 'tube' || kind === 'closed-channel' || kind === 'round';

/**
 * The walls of a rail as rectangles, each under its name; top and bottom have the corners. Empty for a round tube.
 *
 * @param section The rail; its walls validated.
 */
export function wallParts(section: Section): readonly (readonly [RailWall, Rectangle])[] {
  if (section.kind === 'round') return [];
  const { depth, thickness: t } = section;
  const upright = (wall: RailWall, y: number, thick: number): readonly [RailWall, Rectangle] => [
    wall,
    rectangle(y, t, thick, depth - 2 * t),
  ];
  switch (section.kind) {
    case 'channel':
    case 'closed-channel':
      return [
        ['top', rectangle(0, depth - t, section.flange, t)],
        ['bottom', rectangle(0, 0, section.flange, t)],
        upright('outer', 0, t),
        ...(section.kind === 'channel' ? [] : [['inner', closingPlate(section)] as const]),
      ];
    case 'tube':
      return [
        ['top', rectangle(0, depth - t, section.width, t)],
        ['bottom', rectangle(0, 0, section.width, t)],
        upright('outer', 0, t),
        upright('inner', section.width - section.inner, section.inner),
      ];
    case 'hat': {
      const [left, right] = [section.brim - t, section.brim - t + section.crown];
      return [
        ['top', rectangle(left, depth - t, section.crown, t)],
        ['bottom', rectangle(0, 0, section.brim, t)],
        ['bottom', rectangle(right - t, 0, section.brim, t)],
        upright('outer', left, t),
        upright('inner', right - t, t),
      ];
    }
  }
}

/**
 * The walls that a rail has, each with its length unfolded, mm: a round tube has none that can be told apart.
 *
 * @param section The rail; its walls validated.
 */
export function wallsOf(section: Section): Partial<Readonly<Record<RailWall, number>>> {
  const { depth } = section;
  const wide = widthOf(section);
  switch (section.kind) {
    case 'channel':
      return { top: wide, bottom: wide, outer: depth };
    case 'closed-channel':
      return { top: section.flange, bottom: section.flange, outer: depth, inner: closingPlate(section).height };
    case 'tube':
      return { top: wide, bottom: wide, outer: depth, inner: depth };
    case 'hat':
      return { top: section.crown, bottom: wide - section.crown, outer: depth, inner: depth };
    case 'round':
      return {};
  }
}

/**
 * Thickness of the inner wall of a rail with one of its own: the closing plate of a channel, the wall of a tube toward the middle, mm;
 * null of rails without one.
 *
 * @param section The rail.
 */
export const innerWallOf = (section: Section): number | null =>
  section.kind === 'tube' ? section.inner : section.kind === 'closed-channel' ? section.plate : null;

/**
 * Length of the wall of a flange that a pie cut folds about, mm: it is not cut, and not welded.
 *
 * @param section The rail; its walls validated.
 */
export const flangeLength = (section: Section): number => (section.kind === 'round' ? 0 : widthOf(section));

/**
 * Length of a rail's wall, unfolded, mm: what a weld straight through it is long.
 *
 * @param section The rail; its walls validated.
 */
export function wallLength(section: Section): number {
  switch (section.kind) {
    case 'channel':
      return section.depth + 2 * section.flange;
    case 'closed-channel':
      return section.depth + closingPlate(section).height + 2 * section.flange;
    case 'tube':
      return 2 * section.depth + 2 * section.width;
    case 'hat':
      return 2 * section.depth + widthOf(section);
    case 'round':
      return Math.PI * section.depth;
  }
}

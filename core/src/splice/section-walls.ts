import { type Section, widthOf } from '../sections/index.ts';

/**
 * Whether a section is closed all round: nothing inside of it can be reached once its ends are joined.
 *
 * @param section The section.
 */
export const isClosed = ({ kind }: Pick<Section, 'kind'>): boolean =>
  kind === 'tube' || kind === 'closed-channel' || kind === 'round';

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
      return 2 * section.depth + 2 * section.flange;
    case 'tube':
      return 2 * section.depth + 2 * section.width;
    case 'hat':
      return 2 * section.depth + widthOf(section);
    case 'round':
      return Math.PI * section.depth;
  }
}

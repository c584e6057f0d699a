import { InputError } from '../input-error.ts';

/** A tube that is cut corner to corner, so that its halves slid on each other fill the rail. mm. */
export interface WedgeSleeve {
  /** Angle of the cut to the tube, radians. */
  readonly angle: number;
  /** How far the halves are slid along the tube from where they would make it whole again. */
  readonly slide: number;
  /** How far they still lie on each other. */
  readonly overlap: number;
}

/**
 * The wedge sleeve that a tube makes for a height: tan α = h₀/L₀, slide (h₀ − kerf/cos α − h)/tan α.
 *
 * @param tube Its outside height, and the length that it is cut over corner to corner, mm.
 * @param kerf What the blade takes, square to the cut, mm.
 * @param height The height inside the rail that it has to fill, mm.
 * @throws InputError where it cannot come to that height.
 */
export function wedgeSleeve(
  tube: { readonly height: number; readonly length: number },
  kerf: number,
  height: number,
): WedgeSleeve {
  const angle = Math.atan(tube.height / tube.length);
  const slide = (tube.height - kerf / Math.cos(angle) - height) / Math.tan(angle);
  const refuse = (message: string) => {
    throw new InputError([{ code: 'splice/wedge', path: 'height', message }]);
  };
  if (!(tube.height > 0 && tube.length > 0 && height > 0 && kerf >= 0))
    refuse('Height, length and the height to fill must be above 0, the kerf not below it.');
  if (slide < 0)
    refuse(`A wedge sleeve gets lower as it slides: it comes to ${tube.height - kerf / Math.cos(angle)} at most.`);
  return { angle, slide, overlap: tube.length - slide };
}

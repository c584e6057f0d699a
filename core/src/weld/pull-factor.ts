/** What joints of one form did: what was expected of each, and what the readings then gave. */
export interface PullSample {
  readonly expected: number;
  readonly measured: number;
}

/** How much more or less than the textbook the shop's joints pull. */
export interface PullFactor {
  /** Median of measured over expected; 1 while too few joints are known. */
  readonly factor: number;
  /** The least and the largest of the ratios; null while too few joints are known. */
  readonly spread: readonly [least: number, most: number] | null;
  readonly count: number;
  readonly used: boolean;
}

/** The textbook's figure is right within half and twice of it, until the shop's own readings say better. */
export const TEXTBOOK_BAND = [0.5, 2] as const;

/**
 * The factor from the shop's own readings: the median, so that one misread joint does not carry it.
 *
 * @param samples Joints of one form; those of which nothing was expected tell nothing.
 * @param fewest How many joints it takes.
 */
export function pullFactor(samples: readonly PullSample[], fewest: number): PullFactor {
  const ratios = samples
    .filter(({ expected }) => expected !== 0)
    .map(({ expected, measured }) => measured / expected)
    .sort((a, b) => a - b);
  const count = ratios.length;
  if (count === 0 || count < fewest) return { factor: 1, spread: null, count, used: false };
  const [low, high] = [ratios[Math.floor((count - 1) / 2)] as number, ratios[Math.floor(count / 2)] as number];
  return { factor: (low + high) / 2, spread: [ratios[0] as number, ratios[count - 1] as number], count, used: true };
}

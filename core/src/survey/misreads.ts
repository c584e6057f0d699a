import { inches } from '../units/index.ts';
import { type Adjusted, adjustNetwork, type Floating, type Network, predicted } from './network.ts';
import { type Observation, type Points, readOf } from './observation.ts';

/** No frame is so far out of shape, mm: such a reading is wrong, and would draw all others along. */
const WILD = 400;
/** A residual beyond so many of its own standard deviations is one in a thousand: the reading is likely wrong. */
const CRITICAL = 3.2905;
/** Residuals that are so near to the largest cannot be told from it. */
const ALIKE = 0.97;

/** What a wrong reading may come from; null where nothing usual gives that amount. */
type Cause = 'inch' | 'foot' | 'digits' | null;

/** A reading that does not go with the others. */
export interface Misread {
  readonly observation: Observation;
  /** Read minus what the others say, mm or radians: above 0 it reads too much. */
  readonly error: number;
  /** How well that is known. */
  readonly sigma: number;
  /** What the others say that it should read. */
  readonly shouldRead: number;
  readonly cause: Cause;
  /** Readings that could be wrong in its place: the others do not tell which of them it is. */
  readonly orElse: readonly Observation[];
}

/** A network without the readings that do not go with the others. */
export interface Cleaned {
  readonly network: Network;
  /** The worst first. */
  readonly misreads: readonly Misread[];
}

/**
 * Finds readings that are likely wrong among all of them: the one with the largest residual in its own standard deviations
 * is taken out and the rest adjusted again, until none stands out (data snooping). One that holds a point by itself is never
 * taken out, since nothing says that it is wrong.
 *
 * @param nominal Where each point would be if nothing were wrong, mm.
 * @param observations The readings.
 * @param more Readings that could still be taken.
 * @returns The network without them, or what floats where all readings together do not hold it.
 */
export function withoutMisreads(
  nominal: Points,
  observations: readonly Observation[],
  more: readonly Observation[] = [],
): Cleaned | Floating {
  const isWild = (one: Observation) => one.kind !== 'slope' && Math.abs(one.value - readOf(nominal, one)) > WILD;
  const wild = observations.filter(isWild);
  let left = observations.filter((one) => !isWild(one));
  const misreads: Misread[] = [];
  for (;;) {
    const found = adjustNetwork(nominal, left, [...more, ...wild]);
    if ('ways' in found) return found;
    const suspects = suspectsOf(found)
      .map(({ observation }) => {
        const others = left.filter((one) => one !== observation);
        const rest = adjustNetwork(nominal, others);
        return 'ways' in rest ? null : { others, misread: misreadOf(observation, rest) };
      })
      .filter((one) => one !== null);
    // Of several that stand out alike, the one whose amount is nearest to a usual cause.
    const [worst] = suspects.toSorted((a, b) => (a.misread.gap === b.misread.gap ? 0 : a.misread.gap - b.misread.gap));
    if (!worst) {
      const far = wild.map((one): Misread => {
        const { gap: _, ...misread } = misreadOf(one, found);
        return { ...misread, orElse: [] };
      });
      return { network: found, misreads: [...far, ...misreads] };
    }
    left = worst.others;
    const { gap: _, ...misread } = worst.misread;
    const orElse = suspects.flatMap((one) => (one === worst ? [] : [one.misread.observation]));
    misreads.push({ ...misread, orElse });
  }
}

/** A reading that may be wrong, and how far its amount is from that of its cause. */
type Suspect = Omit<Misread, 'orElse'> & { readonly gap: number };

/** Readings that stand out most: several where the others cannot tell which of them it is. */
function suspectsOf({ adjusted }: Network): readonly Adjusted[] {
  const most = Math.max(...adjusted.map(({ normalized }) => Math.abs(normalized)));
  if (most <= CRITICAL) return [];
  return adjusted
    .filter(({ normalized }) => Math.abs(normalized) > ALIKE * most)
    .toSorted((a, b) => Math.abs(b.normalized) - Math.abs(a.normalized));
}

function misreadOf(observation: Observation, others: Network): Suspect {
  const { value: shouldRead, sigma } = predicted(others, observation);
  const error = observation.value - shouldRead;
  return { observation, error, sigma, shouldRead, ...causeOf(observation, error, sigma) };
}

/** The likely cause of an error of that amount, within three of its standard deviations, and how far it is from that amount. */
function causeOf(
  { kind, value }: Observation,
  error: number,
  sigma: number,
): { readonly cause: Cause; readonly gap: number } {
  const none = { cause: null, gap: Infinity };
  if (kind === 'slope') return none;
  const causes: readonly (readonly [Exclude<Cause, null>, number])[] = [
    ['inch', Math.abs(Math.abs(error) - inches(1))],
    ['foot', Math.abs(Math.abs(error) - inches(12))],
    ...swaps(value).map((other) => ['digits', Math.abs(value - other - error)] as const),
  ];
  const [cause, gap] = causes.reduce((best, one) => (one[1] < best[1] ? one : best));
  return gap <= 3 * sigma ? { cause, gap } : none;
}

/** What would have been read with two digits next to each other the other way round: of whole inches, and of millimeters. */
function swaps(value: number): readonly number[] {
  return [inches(1), 1].flatMap((unit) => {
    const whole = Math.floor(value / unit);
    const digits = [...String(whole)];
    return digits.slice(1).flatMap((digit, at) => {
      if (digit === digits[at]) return [];
      const other = Number([...digits.slice(0, at), digit, digits[at], ...digits.slice(at + 2)].join(''));
      return [value + (other - whole) * unit];
    });
  });
}

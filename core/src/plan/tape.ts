import type { Place } from './operation.ts';
import { frontSpine, frontTop, rearSpine, rearTop } from './piece.ts';
import type { PlanState } from './state.ts';

/** One stretch of the built tape: donor steel with both numbers, or new steel with its built ones only. mm. */
interface TapeSpan {
  readonly kind: 'donor' | 'new';
  readonly piece: number;
  readonly builtFrom: number;
  readonly builtTo: number;
  readonly donorFrom: number | null;
  readonly donorTo: number | null;
}

/** Donor steel that was taken out, and where on the built tape the fold is. */
interface TapeFold {
  readonly operation: string;
  readonly donorFrom: number;
  readonly donorTo: number;
  readonly builtX: number;
}

/** The two-sided tape: donor stations on one edge, built stations on the other. */
export interface Tape {
  readonly spans: readonly TapeSpan[];
  readonly folds: readonly TapeFold[];
}

/**
 * The two-sided tape of a frame in work.
 *
 * @param state The frame in work.
 */
export function tapeOf(state: PlanState): Tape {
  const spans = state.pieces.map((piece, index): TapeSpan => {
    const donor = piece.source === 'donor';
    return {
      kind: donor ? 'donor' : 'new',
      piece: index,
      builtFrom: frontSpine(piece).x,
      builtTo: rearSpine(piece).x,
      donorFrom: donor ? frontTop(piece) : null,
      donorTo: donor ? rearTop(piece) : null,
    };
  });
  const folds = state.removed.flatMap((piece): TapeFold[] => {
    const [donorFrom, donorTo] = [frontTop(piece), rearTop(piece)];
    if (piece.source !== 'donor' || donorTo - donorFrom < 1e-6) return [];
    const ahead = spans.filter((span) => span.donorTo !== null && span.donorTo <= donorFrom + 1e-6).at(-1);
    const behind = spans.find((span) => span.donorFrom !== null && span.donorFrom >= donorTo - 1e-6);
    const builtX = ahead?.builtTo ?? behind?.builtFrom ?? donorFrom;
    return [{ operation: piece.operation, donorFrom, donorTo, builtX }];
  });
  return { spans, folds };
}

/** Linear along a span: exact on level pieces, and along the top edge on turned ones to within its kinks. */
const across = (value: number, from: number, to: number, otherFrom: number, otherTo: number): number =>
  to === from ? otherFrom : otherFrom + ((value - from) / (to - from)) * (otherTo - otherFrom);

/**
 * The built station of a donor station, mm; null where the steel was taken out or off the frame.
 *
 * @param tape The two-sided tape.
 * @param donorX Donor station, mm.
 */
export function builtOf(tape: Tape, donorX: number): number | null {
  const span = tape.spans.find(
    (s) => s.donorFrom !== null && s.donorTo !== null && donorX >= s.donorFrom && donorX <= s.donorTo,
  );
  return span ? across(donorX, span.donorFrom ?? 0, span.donorTo ?? 0, span.builtFrom, span.builtTo) : null;
}

/**
 * The donor station of a built station, mm; null on new steel or off the frame.
 *
 * @param tape The two-sided tape.
 * @param builtX Built station, mm.
 */
export function donorOf(tape: Tape, builtX: number): number | null {
  const span = tape.spans.find((s) => s.donorFrom !== null && builtX >= s.builtFrom && builtX <= s.builtTo);
  return span ? across(builtX, span.builtFrom, span.builtTo, span.donorFrom ?? 0, span.donorTo ?? 0) : null;
}

/**
 * Whether a station is on the frame at all: on steel that stands or that was taken out, on the side of the tape that it is
 * read on.
 *
 * @param tape The two-sided tape.
 * @param place A station, mm, and the side that it is read on.
 */
export function isOnTape({ spans, folds }: Tape, { x, on }: Place): boolean {
  const ends =
    on === 'built'
      ? spans.flatMap(({ builtFrom, builtTo }) => [builtFrom, builtTo])
      : [...spans, ...folds].flatMap(({ donorFrom, donorTo }) => [donorFrom ?? [], donorTo ?? []].flat());
  return x >= Math.min(...ends) && x <= Math.max(...ends);
}

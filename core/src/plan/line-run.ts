import type { FrameLine } from '../frame/index.ts';
import { builtOf, type Tape } from './tape.ts';

/**
 * How long a line's run along the built frame is, mm; null where an end of it is on steel that is taken out.
 *
 * @param line A line along the frame.
 * @param tape Where donor stations are on the built frame.
 */
export function lineRun(line: Pick<FrameLine, 'from' | 'to'>, tape: Tape): number | null {
  const [from, to] = [builtOf(tape, line.from), builtOf(tape, line.to)];
  return from === null || to === null ? null : to - from;
}

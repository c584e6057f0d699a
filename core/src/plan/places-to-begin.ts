import { extentOf, type Frame } from '../frame/index.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import { inches, type LengthFormat, nudgeOf } from '../units/index.ts';
import type { PlanResult } from './plan-result.ts';
import { type OperationKind, roomOf, type StartPlaces } from './operations/index.ts';
import { builtOf, donorOf } from './tape.ts';

/**
 * The donor station just behind a feature or crossmember, mm, as far from it as the rulebook keeps a joint; null where
 * the donor has nothing of that id.
 *
 * @param frame The donor; validated.
 * @param id Id of what is picked; null where nothing is.
 * @param rules The shop’s rules.
 */
export function justBehind(frame: Frame, id: string | null, rules: Rulebook): number | null {
  const clear = ruleValue(rules, 'joint/hole-distance');
  const feature = frame.features.find((candidate) => candidate.id === id);
  if (feature) return extentOf(feature).to + clear;
  const member = frame.crossmembers.find((candidate) => candidate.id === id);
  return member ? member.x + member.length / 2 + clear : null;
}

/**
 * Where a new operation of a kind begins on the frame as planned so far: behind what is picked, else at the station
 * `center` (built, mm) that is looked at, else behind the datum. It is moved along so that all of it lies on steel that
 * is there, and of one piece where it must be, and given on the donor where both its places are donor steel, else on the built frame.
 *
 * @param kind A kind of operation.
 * @param about Id of what is picked; null where nothing is.
 * @param center Built station that is looked at, mm; null where none is.
 */
export function placesToBegin(
  kind: OperationKind,
  { donor, rules, display }: { readonly donor: Frame; readonly rules: Rulebook; readonly display: LengthFormat },
  { tape, datum }: PlanResult,
  about: string | null,
  center: number | null,
): StartPlaces {
  const { ahead, behind: span, onOnePiece } = roomOf(kind);
  const behind = justBehind(donor, about, rules);
  const wanted = (behind === null ? null : builtOf(tape, behind)) ?? center ?? datum.built + inches(12);
  const whole = { builtFrom: tape.spans[0]?.builtFrom ?? 0, builtTo: tape.spans.at(-1)?.builtTo ?? 0 };
  const margin = Math.min(inches(1), (whole.builtTo - whole.builtFrom) / 20);
  const within = ({ builtFrom, builtTo }: typeof whole) =>
    Math.max(builtFrom + margin + ahead, Math.min(wanted, builtTo - margin - span));
  const roomy = onOnePiece
    ? tape.spans.filter(({ builtFrom, builtTo }) => builtTo - builtFrom >= ahead + span + 2 * margin)
    : [];
  const start = (roomy.length > 0 ? roomy : [whole])
    .map(within)
    .reduce((best, x) => (Math.abs(x - wanted) < Math.abs(best - wanted) ? x : best));
  const step = nudgeOf(display);
  const snapped = (x: number, zero: number) => zero + Math.round((x - zero) / step) * step;
  const [from, to] = [donorOf(tape, start), donorOf(tape, start + span)];
  const onDonor = from !== null && to !== null && Math.abs(to - from - span) < step;
  const x = onDonor ? snapped(from, datum.donor) : snapped(start, datum.built);
  const on = onDonor ? 'donor' : 'built';
  return { at: { x, on }, to: { x: x + span, on } };
}

import { atRest, type AtRest, type Beam, partOf, type BeamSupport, weightOf } from './beam.ts';

/** What one side of a cut does once it is through, along the frame. */
interface CutSide {
  readonly weight: number;
  /** Where it balances, mm. */
  readonly center: number;
  readonly state: 'stays' | 'balances' | 'tips' | 'falls';
  /** Which end goes down where it tips. */
  readonly over: 'front' | 'rear' | null;
  /** From where it balances to its outermost supports, mm; null with none. */
  readonly margin: { readonly front: number; readonly rear: number } | null;
  /** Of each of the supports at the cut's side, N; null where it does not stand. */
  readonly reactions: readonly number[] | null;
  readonly touches: readonly boolean[] | null;
  /**
   * The cut end once it is free: its height, mm; how far it went down by springing alone, mm; how far it turned by that,
   * radians, rising to the rear. Null where it does not stand.
   */
  readonly end: { readonly height: number; readonly drop: number; readonly turn: number } | null;
}

/** Which side of a kerf closes: the other opens. */
type Closes = 'top' | 'bottom' | 'neither';

/** What happens when a beam is cut through at a place. N, N·mm, mm, radians. */
export interface Kerf {
  /** In the beam before the cut: sagging above 0; shear of what is in front, up less down. Null where it is not held. */
  readonly before: { readonly moment: number; readonly shear: number; readonly rest: AtRest } | null;
  readonly front: CutSide;
  readonly rear: CutSide;
  /** By the sign of the moment that the steel still carries. */
  readonly closes: Closes;
  /** Once through: how much wider the kerf is at the top than at the bottom; null where a side does not stand. */
  readonly opens: number | null;
  /** Once through: how much higher the front end stands than the rear one; null where a side does not stand. */
  readonly step: number | null;
}

/** A moment or a shear that is less than this share of weight times length, or of weight, is none. */
const NONE = 1e-6;

function sideOf(beam: Beam, supports: readonly BeamSupport[], cut: number, was: AtRest | null): CutSide {
  const { force: weight, x: center } = weightOf(beam.loads);
  const xs = supports.filter(({ way }) => way !== 'pull').map(({ x }) => x);
  const [first, last] = [Math.min(...xs), Math.max(...xs)];
  const margin = xs.length > 0 ? { front: center - first, rear: last - center } : null;
  const rest = atRest(beam, supports);
  const none = { weight, center, margin, reactions: null, touches: null, end: null };
  if (rest) {
    const [height, slope] = [rest.height(cut), rest.slope(cut)];
    // A frame that nothing held before the cut had no height to drop from.
    const end = { height, drop: was ? was.height(cut) - height : 0, turn: slope - (was?.slope(cut) ?? 0) };
    return { ...none, state: 'stays', over: null, reactions: rest.reactions, touches: rest.touches, end };
  }
  if (!margin) return { ...none, state: 'falls', over: null };
  if (Math.min(margin.front, margin.rear) > -0.5)
    return { ...none, state: 'balances', over: null, reactions: [weight], touches: [true] };
  return { ...none, state: 'tips', over: margin.front < margin.rear ? 'front' : 'rear' };
}

/**
 * What happens when a frame on its supports is cut through: the whole frame as one beam, the kerf without width.
 *
 * @param beam The frame before the cut; no weight stands just at the cut.
 * @param supports What it rests on; those in front of the cut stay with the front part.
 * @param cut Where it is cut, mm.
 * @param depth Of the rail there, mm.
 */
export function kerfAt(beam: Beam, supports: readonly BeamSupport[], cut: number, depth: number): Kerf {
  const rest = atRest(beam, supports);
  const { force } = weightOf(beam.loads);
  const long = Math.max(...beam.stretches.map(({ to }) => to)) - Math.min(...beam.stretches.map(({ from }) => from));
  const front = sideOf(
    partOf(beam, -Infinity, cut),
    supports.filter(({ x }) => x < cut),
    cut,
    rest,
  );
  const rear = sideOf(
    partOf(beam, cut, Infinity),
    supports.filter(({ x }) => x >= cut),
    cut,
    rest,
  );
  const moment = rest?.moment(cut) ?? 0;
  return {
    before: rest && { moment, shear: rest.shear(cut), rest },
    front,
    rear,
    closes: Math.abs(moment) <= NONE * force * long ? 'neither' : moment > 0 ? 'top' : 'bottom',
    opens: front.end && rear.end ? depth * (front.end.turn - rear.end.turn) : null,
    step: front.end && rear.end ? front.end.height - rear.end.height : null,
  };
}

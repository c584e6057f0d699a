import { angle, type Field, flag, id, length, oneOf, record, text } from '../fields/index.ts';
import type { Fitting, SplicePlan } from '../splice/index.ts';
import type { Mounting } from '../mounting/index.ts';
import { NO_SHORING, type Shoring } from '../shoring/index.ts';
import type { BodySeat } from './match/index.ts';
import type { Operation } from './operations/index.ts';
import type { Welding } from './welds/welding.ts';

/** A station, mm, on the donor as measured or on the frame as it is when the operation's turn comes. */
export interface Place {
  readonly x: number;
  readonly on: 'donor' | 'built';
}

/** A place, or how much comes off an end: mm along the top edge from the end of the frame as it then is. */
export type EndPlace = Place | { readonly x: number; readonly on: 'end' };

/**
 * How new rail stands to the end that it is joined to, on each side: shifted outward and up, mm, and turned outward and
 * up going away from the joint, radians. All 0: in line with the end piece.
 */
export interface Alignment {
  readonly out: number;
  readonly up: number;
  readonly yaw: number;
  readonly pitch: number;
}

export const IN_LINE: Alignment = { out: 0, up: 0, yaw: 0, pitch: 0 };

/** What every operation has. */
export interface Common {
  readonly id: string;
  readonly note: string;
  /** Switched off: kept in the list, not carried out. */
  readonly off: boolean;
}

/** The fields that every operation has. */
export const commonFields = () => ({ id: id(), note: text(2000), off: flag() });
/** The field of a place. */
export const place = () => record<Place>({ x: length(), on: oneOf(['donor', 'built']) });
/** The field of a place that may be given from an end. */
export const endPlace = () =>
  record<Omit<EndPlace, 'on'> & { readonly on: EndPlace['on'] }>({
    x: length(),
    on: oneOf(['donor', 'built', 'end']),
  }) as Field<unknown> as Field<EndPlace>;
/** The field of how new rail stands. */
export const align = () => record<Alignment>({ out: length(), up: length(), yaw: angle(), pitch: angle() });

/** A conflict that somebody has decided to live with, who, and why. It stays in sight. */
export interface Acceptance {
  /** Key of the conflict. */
  readonly conflict: string;
  readonly reason: string;
  readonly by: string;
}

/** The letter that a joint or a free end keeps: it is on a sheet that was printed, or on the steel. */
export interface FrozenLetter {
  /** Of the joint, or `operation/end` of a free end. */
  readonly id: string;
  readonly letter: string;
}

export interface Plan {
  readonly name: string;
  /** What speaks for it or against it, in the shop's words. */
  readonly note: string;
  readonly accepted: readonly Acceptance[];
  /** Units that stay with another of their mounts than is usual, where the plan moves those apart. */
  readonly stays: readonly { readonly unit: string; readonly mount: string }[];
  readonly operations: readonly Operation[];
  /** Where bodies sit, as far as that is decided: one place for a body at most. */
  readonly seats: readonly BodySeat[];
  /** How joints are made, as far as that is decided: one for a joint at most. */
  readonly splices: readonly SplicePlan[];
  /** End plates and gussets. */
  readonly fittings: readonly Fitting[];
  /** How mounts of bodies are made, as far as that is decided: one for a mount at most. */
  readonly mountings: readonly Mounting[];
  /** How the frame is held meanwhile. */
  readonly shoring: Shoring;
  /** Letters that stay, whatever is cut later; also of cuts that are gone, so that none is given twice. */
  readonly letters?: readonly FrozenLetter[];
  /** How the frame is welded, as far as that is decided. */
  readonly welding?: Welding;
}

/**
 * A plan in which nothing is done.
 *
 * @param name What it is called.
 */
export const emptyPlan = (name: string): Plan => ({
  name,
  note: '',
  accepted: [],
  stays: [],
  operations: [],
  seats: [],
  splices: [],
  fittings: [],
  mountings: [],
  shoring: NO_SHORING,
});

import type { Crossmember, Feature } from '../frame/index.ts';

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

interface Common {
  readonly id: string;
  readonly note: string;
  /** Switched off: kept in the list, not carried out. */
  readonly off: boolean;
}

export interface Shorten extends Common {
  readonly kind: 'shorten';
  readonly from: Place;
  readonly to: Place;
  /**
   * Length of an oblique new piece between the ends, mm, where they do not meet: that much more rail comes out behind
   * `to`, and the rear comes no farther forward for it. 0: the ends meet each other.
   */
  readonly transition: number;
  /** How much higher the rear part comes, mm; negative: lower. */
  readonly rise: number;
}

export interface Lengthen extends Common {
  readonly kind: 'lengthen';
  readonly at: Place;
  /** What the frame grows by, mm: along the piece ahead of the cut, whatever the new rail is turned by. */
  readonly length: number;
  /** Section of the new piece; null: as the rail ahead of the cut. */
  readonly section: string | null;
  /** The new rail against the end ahead of the cut. The rear part goes where its rear end goes, and is not turned. */
  readonly align: Alignment;
}

export interface Widen extends Common {
  readonly kind: 'widen';
  /** Change of the outside width, mm; negative narrows. */
  readonly amount: number;
  /** The range at the new width; null runs to the end of the frame. */
  readonly from: Place | null;
  readonly to: Place | null;
  /** Length of the new, oblique pieces just outside the range, mm; 0 leaves a step. */
  readonly transition: number;
}

export interface PieCut extends Common {
  readonly kind: 'pie-cut';
  readonly at: Place;
  readonly pivot: 'top' | 'bottom';
  /** Take a wedge out and close the gap, or slit and open it. */
  readonly mode: 'close' | 'open';
  readonly turned: 'front' | 'rear';
  /**
   * The angle itself (radians), or the height that a point of the pivot edge moves, mm: the one that lies `distance`
   * from the pivot in a straight line.
   */
  readonly amount:
    | { readonly by: 'angle'; readonly angle: number }
    | { readonly by: 'drop'; readonly drop: number; readonly distance: number };
  readonly wedge: 'symmetric' | 'square';
}

export interface Step extends Common {
  readonly kind: 'step';
  readonly from: Place;
  readonly to: Place;
  /** How much higher the rear comes, mm; negative drops it. */
  readonly rise: number;
  readonly method: 'turn-middle' | 'new-middle';
}

export interface Trim extends Common {
  readonly kind: 'trim';
  readonly end: 'front' | 'rear';
  /** Where the cut crosses the top edge. */
  readonly at: EndPlace;
  /** From square, radians, 0 to less than 90°. */
  readonly angle: number;
  readonly lean: 'top-longer' | 'bottom-longer';
}

export interface Extend extends Common {
  readonly kind: 'extend';
  readonly end: 'front' | 'rear';
  /** Where the old end is cut off square first; null: the new rail goes on the end as it is. */
  readonly cut: EndPlace | null;
  /** What the frame grows by, mm: along the end piece, whatever the new rail is turned by. */
  readonly length: number;
  readonly section: string | null;
  readonly align: Alignment;
}

export interface Notch extends Common {
  readonly kind: 'notch';
  /** Middle of the notch. */
  readonly at: Place;
  readonly width: number;
  readonly depth: number;
  readonly from: 'below' | 'above';
  readonly form: 'round' | 'arch';
  /** Thickness of the plate along the cut edge; 0: none. */
  readonly plate: number;
}

export interface Box extends Common {
  readonly kind: 'box';
  readonly from: Place;
  readonly to: Place;
  readonly plate: number;
  /** Length over which each end of the plate tapers, mm. */
  readonly taper: number;
}

export interface ChangeCrossmember extends Common {
  readonly kind: 'crossmember';
  readonly change:
    | { readonly what: 'add'; readonly at: Place; readonly crossmember: Crossmember }
    | { readonly what: 'remove'; readonly crossmember: string }
    | { readonly what: 'move'; readonly crossmember: string; readonly to: Place }
    | { readonly what: 'lower'; readonly crossmember: string; readonly by: number }
    | { readonly what: 'thin'; readonly crossmember: string; readonly depth: number };
}

export interface ChangeBracket extends Common {
  readonly kind: 'bracket';
  readonly change:
    | { readonly what: 'add'; readonly at: Place; readonly feature: Feature }
    | { readonly what: 'remove'; readonly feature: string }
    | { readonly what: 'move'; readonly feature: string; readonly to: Place; readonly down: number }
    /** `count` holes in a row, `pitch` apart, the first at `at`. */
    | {
        readonly what: 'drill';
        readonly at: Place;
        readonly feature: Feature;
        readonly count: number;
        readonly pitch: number;
      };
}

export type Operation =
  Shorten | Lengthen | Widen | PieCut | Step | Trim | Extend | Notch | Box | ChangeCrossmember | ChangeBracket;

export type OperationKind = Operation['kind'];

export const OPERATION_KINDS = [
  'shorten',
  'lengthen',
  'widen',
  'pie-cut',
  'step',
  'trim',
  'extend',
  'notch',
  'box',
  'crossmember',
  'bracket',
] as const satisfies readonly OperationKind[];

/** A conflict that somebody has decided to live with, who, and why. It stays in sight. */
export interface Acceptance {
  /** Key of the conflict. */
  readonly conflict: string;
  readonly reason: string;
  readonly by: string;
}

export interface Plan {
  readonly name: string;
  /** What speaks for it or against it, in the shop's words. */
  readonly note: string;
  readonly accepted: readonly Acceptance[];
  readonly operations: readonly Operation[];
}

/** A plan in which nothing is done. */
export const emptyPlan = (name: string): Plan => ({ name, note: '', accepted: [], operations: [] });

import type { BoltGrade } from '../splice/index.ts';

/** What lies in a stack between a rail and a body. */
export const LAYER_KINDS = ['plate', 'spacer', 'block', 'bushing', 'washer'] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

/** One layer of a stack, mm as it lies free. */
export interface StackLayer {
  readonly id: string;
  readonly kind: LayerKind;
  readonly height: number;
  /** Of a bushing: how many N squeeze it by 1 mm. Without it nobody knows, and it counts with its free height. */
  readonly rate?: number;
}

/** A point of a contour, mm: so far behind the mount, the rail lies so far below a straight edge laid over it. */
export interface ContourPoint {
  readonly at: number;
  readonly gap: number;
}

/** How a bracket is held to the web of a rail. mm. */
export type BracketFixing =
  | { readonly by: 'weld'; readonly leg: number }
  /** Half of the bolts in an upper row, half in a lower one. */
  | { readonly by: 'bolts'; readonly grade: BoltGrade; readonly diameter: number; readonly count: number };

export const ARM_MAKES = ['folded', 'boxed', 'tube'] as const;
export type ArmMake = (typeof ARM_MAKES)[number];

/** What stands between a rail and a mount. Sizes in mm, `along` is its width along the rail. */
export type Bracket =
  /** Nothing: plates and shims alone. */
  | { readonly form: 'none' }
  /** A saddle folded from plate that stands on the top of the rail; boxed: closed at both ends too. */
  | {
      readonly form: 'perch';
      readonly thickness: number;
      readonly along: number;
      /** Over its two legs, across the rail. */
      readonly across: number;
      /** Inside radius of its bends. */
      readonly radius: number;
      readonly boxed: boolean;
      /** Leg of the fillets along its feet. */
      readonly leg: number;
      /** What its feet follow, as read from a contour gauge; empty: the top of the rail as measured. */
      readonly contour: readonly ContourPoint[];
    }
  /** An arm that reaches out from the web, or in: an outrigger, an inboard bracket, or one that hangs below the top. */
  | {
      readonly form: 'arm';
      readonly make: ArmMake;
      readonly thickness: number;
      readonly along: number;
      /** Its depth at the rail and at its end. */
      readonly deep: number;
      readonly tip: number;
      readonly radius: number;
      readonly fixing: BracketFixing;
      /** What its end follows along the web; empty: the side of the rail as measured. */
      readonly contour: readonly ContourPoint[];
    }
  /** An L folded from plate: one leg on the web, the body on the other. */
  | {
      readonly form: 'angle';
      readonly thickness: number;
      readonly along: number;
      /** Of the leg on the web, over all. */
      readonly upright: number;
      readonly radius: number;
      readonly fixing: BracketFixing;
    }
  /** The body’s own bracket, cut from its old frame: so high from the rail that it stood on to where the body sat. */
  | { readonly form: 'old'; readonly height: number; readonly along: number; readonly leg: number };

export const BRACKET_FORMS = ['none', 'perch', 'arm', 'angle', 'old'] as const satisfies readonly Bracket['form'][];

/** How one mount of a body is made. A mount without it is taken to be made as is usual for the way it becomes. */
export interface Mounting {
  readonly body: string;
  readonly mount: string;
  /** From the rail up to the bracket. */
  readonly under: readonly StackLayer[];
  readonly bracket: Bracket;
  /** From the bracket up to the body. */
  readonly over: readonly StackLayer[];
  /** Under the bracket’s top plate, on the bolt: a rebound bushing and its washer. Not in the stack. */
  readonly hung: readonly StackLayer[];
}

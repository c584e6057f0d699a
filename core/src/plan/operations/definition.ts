import type { Fields } from '../../fields/index.ts';
import type { Frame, Ref } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import type { Around } from '../figures/figures.ts';
import type { Common, EndPlace, Place } from '../operation.ts';
import type { PlanState } from '../state.ts';

/** Where a new operation begins, and where it ends if it has two places. */
export interface StartPlaces {
  readonly at: Place;
  readonly to: Place;
}

/** What an operation is about: something that it brings to the frame, or something that is there. */
export interface About {
  readonly brings: Ref | null;
  readonly names: Ref | null;
}

/** Sees a place that an operation names, front to rear, and gives what stands there instead; `end`: at that end. */
export type VisitPlace = <P extends EndPlace>(place: P, end?: 'front' | 'rear') => P;

/** What there is to know of one kind of operation `O`; `F` is what it does, in figures. */
export interface OperationDefinition<O extends Common & { readonly kind: string }, F> {
  readonly kind: O['kind'];
  /** What it is called, everywhere; and one such operation named more closely. */
  readonly name: string;
  readonly named?: (operation: O) => string;
  /** Whether a frame has what it is about; every frame where not said. */
  readonly needs?: (frame: Frame) => boolean;
  /** The schema of what it has besides what every operation has. */
  readonly fields: Fields<Omit<O, keyof Common | 'kind'>>;
  /** Rail that it needs ahead of its place and behind it, mm: none where not said; and whether of one piece. */
  readonly room?: { readonly ahead: number; readonly behind: number; readonly onOnePiece?: boolean };
  /** What a new one starts with; `about` is the id of what is picked. */
  readonly fresh: (
    places: StartPlaces,
    id: string,
    frame: Frame,
    about: string | null,
  ) => Omit<O, keyof Common | 'kind'>;
  /** The operation with every place that it names seen by `visit`, the one it is known by first. */
  readonly places: (operation: O, visit: VisitPlace) => O;
  /** The frame after it. @throws OperationRefused where it cannot be done. */
  readonly carryOut: (state: PlanState, operation: O, context: Context) => PlanState;
  /** Whether it turns the rail at its joints on purpose, by its cut or an oblique new piece; not where not said. */
  readonly turnsRail?: (operation: O) => boolean;
  /** The flange that it folds the rails about without cutting it; null, or not said: it cuts all of them. */
  readonly pivot?: (operation: O) => 'top' | 'bottom' | null;
  /** Whether what lies between its two places comes out or turns: its marks have a front and a rear line. */
  readonly paired?: boolean;
  /** The section that it names for new steel; null for that of the rail beside it. */
  readonly section?: (operation: O) => string | null;
  readonly about?: (operation: O) => About;
  /** Made longer by mm, where its rear edge can be drawn out. */
  readonly stretched?: (operation: O, by: number) => O;
  /** What it does, in figures; null where there is nothing to tell. */
  readonly figures: (operation: O, around: Around) => F;
}

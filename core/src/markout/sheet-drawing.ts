/** What a line or a fill of a sheet's drawing means; screen and paper each give it one look. */
export type SheetInk =
  /** Donor steel, filled. */
  | 'steel'
  /** Where the rail is bent over: the corners of its web. */
  | 'fold'
  /** A line to scribe. */
  | 'scribe'
  /** The side of a line that the saw goes on, hatched. */
  | 'waste'
  /** Something on the rail already. */
  | 'thing'
  /** Something that the plan fixes, moves or takes off. */
  | 'work'
  /** From a label to its place, and dimension lines. */
  | 'leader'
  /** Where the drawing breaks off. */
  | 'break'
  | 'datum';

/** A point of a drawing, mm on paper: to the right and down. */
export type SheetPoint = readonly [right: number, down: number];

/** A text of a drawing: words, and a length that is set with a real fraction behind them. */
export interface SheetText {
  readonly kind: 'text';
  readonly at: SheetPoint;
  readonly anchor: 'start' | 'middle' | 'end';
  /** Height of its letters, mm. */
  readonly size: number;
  /** Letters of the drawing, set before the rest in the color of the lines. */
  readonly tag: string;
  readonly words: string;
  readonly mm: number | null;
  readonly soft: boolean;
  /** Set on a patch of paper, so that no line runs through it. */
  readonly patched: boolean;
}

export type SheetItem =
  | {
      readonly kind: 'path';
      readonly ink: SheetInk;
      readonly points: readonly SheetPoint[];
      readonly closed: boolean;
    }
  | { readonly kind: 'circle'; readonly ink: SheetInk; readonly at: SheetPoint; readonly radius: number }
  | SheetText;

/** A drawing on paper, mm: the same on screen, on the printed page and in a PDF. Later items lie over earlier ones. */
export interface SheetDrawing {
  readonly title: string;
  /** What it shows, in words, for those who do not see it. */
  readonly says: string;
  readonly width: number;
  readonly height: number;
  readonly items: readonly SheetItem[];
}

/**
 * About how wide a text is set, mm: for room between labels.
 *
 * @param text Its words and its tag.
 * @param figure Its length as text; empty where it has none.
 */
export const textWidth = ({ tag, words, size }: Pick<SheetText, 'tag' | 'words' | 'size'>, figure: string): number =>
  size * (0.52 * (tag.length + words.length) + 0.5 * figure.length + (tag && (words || figure) ? 0.4 : 0));

import type { Side } from '../frame/index.ts';

/** A cell of a sheet: words, or a length in mm that is set with a real fraction. */
export type SheetCell = string | { readonly mm: number };

export interface SheetColumn {
  readonly title: string;
  /** Figures are set to the right; the bold one is what is marked by. */
  readonly figure: boolean;
  readonly bold: boolean;
  /** Share of the width. */
  readonly share: number;
}

export interface SheetRow {
  /** Letters or a name that the row is found by. */
  readonly mark: string;
  /** Whether `mark` is letters of the drawing. */
  readonly lettered: boolean;
  readonly cells: readonly SheetCell[];
}

/** A table of the marks sheet: the same on screen, on paper and at the frame. `cells` stand under `columns`. */
export interface SheetTable {
  readonly id: string;
  readonly caption: string;
  /** What its figures are measured from, and how. */
  readonly measured: string;
  readonly columns: readonly SheetColumn[];
  readonly rows: readonly SheetRow[];
}

/**
 * A column of words.
 *
 * @param title Its heading.
 * @param share Share of the width.
 */
export const words = (title: string, share = 2): SheetColumn => ({ title, figure: false, bold: false, share });
/**
 * A column of figures.
 *
 * @param title Its heading.
 * @param share Share of the width.
 */
export const figure = (title: string, share = 1.6): SheetColumn => ({ title, figure: true, bold: false, share });
/**
 * A column of the figures that are marked by.
 *
 * @param title Its heading.
 * @param share Share of the width.
 */
export const bold = (title: string, share = 1.8): SheetColumn => ({ title, figure: true, bold: true, share });

/**
 * A rail as a caption.
 *
 * @param side Which rail.
 */
export const railName = (side: Side) => (side === 'left' ? 'Left rail' : 'Right rail');
/**
 * A length, or a dash where there is none.
 *
 * @param mm The length, mm.
 * @param none What stands there where it is 0.
 */
export const orDash = (mm: number, none = '–'): SheetCell => (mm > 0 ? { mm } : none);

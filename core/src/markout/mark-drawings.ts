import { SIDES, type Side } from '../frame/index.ts';
import type { PlanInput } from '../plan/index.ts';
import { cutDrawing, groupsOfLines } from './cut-drawing.ts';
import type { MarkSheet } from './marks.ts';
import { measurerOf } from './measure.ts';
import { railDrawing } from './rail-drawing.ts';
import type { SheetDrawing } from './sheet-drawing.ts';
import { unfoldedRail } from './unfolded-rail.ts';

/** Two drawings of cuts stand beside each other, this far apart, mm on paper. */
const BETWEEN = 6;

/** The drawings of one rail: all of it, and the parts about its cuts. */
export interface RailDrawings {
  readonly side: Side;
  readonly whole: SheetDrawing;
  /** Front to rear. */
  readonly cuts: readonly SheetDrawing[];
}

/**
 * The marks as drawings, a set for each rail: the same on screen, on the printed page and in a PDF.
 *
 * @param input The donor and how lengths are written.
 * @param sheet Its marks.
 * @param width Of a drawing on paper, mm.
 */
export function markDrawings(
  { donor, display }: Pick<PlanInput, 'donor' | 'display'>,
  sheet: MarkSheet,
  width: number,
): readonly RailDrawings[] {
  const measurer = measurerOf(donor);
  return SIDES.map((side): RailDrawings => {
    const rail = unfoldedRail(donor, side, measurer);
    const lines = sheet.lines.filter((line) => line.side === side);
    return {
      side,
      whole: railDrawing(sheet, rail, width, display),
      cuts: groupsOfLines(lines).map((group) => cutDrawing(sheet, rail, group, (width - BETWEEN) / 2, display)),
    };
  });
}

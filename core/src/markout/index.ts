export { alongRail } from './along-rail.ts';
export { markBlocks, type SheetBlock, type SheetPart } from './mark-blocks.ts';
export { markDrawings, type RailDrawings } from './mark-drawings.ts';
export {
  changeText,
  figureOfLine,
  type LineChange,
  lineChanges,
  markedLine,
  type MarkedLine,
  markedLines,
} from './marked-lines.ts';
export { markSheet } from './mark-sheet.ts';
export { lineName, MARKS_RULES, markTables } from './mark-tables.ts';
export type { SheetDrawing, SheetInk, SheetItem, SheetPoint, SheetText } from './sheet-drawing.ts';
export type { SheetCell, SheetColumn, SheetRow, SheetTable } from './sheet-table.ts';
export {
  type BracketMark,
  type CrossCheck,
  type CrossmemberMark,
  type CutLine,
  KERF_SIDES,
  type KerfSide,
  LINE_PARTS,
  type MarkDistances,
  type MarkSheet,
  type MemberMark,
  type NewPiece,
  type ReworkMark,
  type SheetNote,
  type LinePart,
  type SplicePartMark,
} from './marks.ts';
export { standDrawing, standNumbers } from './stand-drawing.ts';
export { longerBy, spliceAssumptions } from './splice-marks.ts';

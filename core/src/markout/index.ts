export { alongRail } from './along-rail.ts';
export { markSheet } from './mark-sheet.ts';
export { lineName, MARKS_RULES, markTables } from './mark-tables.ts';
export type { SheetCell, SheetColumn, SheetRow, SheetTable } from './sheet-table.ts';
export {
  type BracketMark,
  type CrossCheck,
  type CrossmemberMark,
  type CutLine,
  type KerfSide,
  type MarkDistances,
  type MarkSheet,
  type MemberMark,
  type NewPiece,
  type ReworkMark,
  type SheetNote,
  type LinePart,
  type SplicePartMark,
} from './marks.ts';
export { longerBy, spliceAssumptions } from './splice-marks.ts';

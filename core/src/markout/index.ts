export {
  alongRail,
  type CrossCheck,
  type CutLine,
  type KerfSide,
  type MarkDistances,
  type MarkSheet,
  markSheet,
  type NewPiece,
  type PunchMark,
} from './mark-sheet.ts';

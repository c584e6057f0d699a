export { drawingOf, DRAWING_LAYERS, type DrawingLayer, type DrawingView, type Shape } from './drawing.ts';
export { writeDxf } from './dxf.ts';
export { JOB_TABLES, type JobTable, readJobTable, readReadings, TABLE_COLUMNS, writeJobTable } from './job-tables.ts';
export { writeSvg } from './svg.ts';
export { readTable, type TableColumn, type TableRow, writeTable } from './table.ts';
export { drawParts } from './part-drawing.ts';

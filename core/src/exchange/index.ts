export { drawingOf, DRAWING_LAYERS, type DrawingLayer, type DrawingView, type Shape } from './drawing.ts';
export { writeDxf } from './dxf.ts';
export { JOB_TABLES, type JobTable, readJobTable, readReadings, TABLE_COLUMNS, writeJobTable } from './job-tables.ts';
export { writeSvg } from './svg.ts';
export { SCENE_LAYERS, type SceneLayer, type SceneMesh, sceneOf } from './scene.ts';
export { writeGlb } from './gltf.ts';
export { LAYER_COLOURS } from './layer-colours.ts';
export { readTable, type TableColumn, type TableRow, writeTable } from './table.ts';
export { drawParts } from './part-drawing.ts';

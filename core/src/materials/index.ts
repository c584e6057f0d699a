export { type Material, materialProblems, STOCK_MATERIAL_IDS, STOCK_MATERIALS } from './material.ts';

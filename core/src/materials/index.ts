export {
  type Material,
  materialProblems,
  STOCK_MATERIAL_IDS,
  STOCK_MATERIALS,
  type StockMaterial,
} from './material.ts';

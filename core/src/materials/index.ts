export { type Material, materialOf, MATERIALS } from './material.ts';

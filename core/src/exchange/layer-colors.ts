import type { SceneLayer } from './scene.ts';

/** Colors of the layers, red, green, blue and how solid, 0 to 1, linear: those of the drawings. */
export const LAYER_COLORS: Readonly<Record<SceneLayer, readonly [number, number, number, number]>> = {
  rails: [0.16, 0.17, 0.18, 1],
  'new rail': [0.02, 0.09, 0.3, 1],
  crossmembers: [0.24, 0.22, 0.19, 1],
  members: [0.2, 0.18, 0.16, 1],
  brackets: [0.03, 0.2, 0.5, 1],
  body: [0.58, 0.5, 0.33, 1],
  'keep clear': [0.6, 0.38, 0.06, 0.4],
  clashes: [0.42, 0.04, 0.02, 0.85],
  tires: [0.02, 0.02, 0.02, 1],
  'takes up room': [0.35, 0.31, 0.24, 1],
};

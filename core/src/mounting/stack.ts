import type { StackLayer } from './mounting.ts';

/** A layer as it lies under its load, mm. */
export interface LoadedLayer extends StackLayer {
  readonly squeeze: number;
  /** As high as it stays. */
  readonly loaded: number;
}

/**
 * Layers under a load: a bushing gives by load over rate, and the others not at all. The preload of a
 * bolt is left out. A bushing that would be squeezed to nothing is told by `loaded` below 0.
 *
 * @param layers The layers; validated.
 * @param load What presses on them, N; a mount that is pulled squeezes nothing.
 */
export const loadedLayers = (layers: readonly StackLayer[], load: number): readonly LoadedLayer[] =>
  layers.map((layer): LoadedLayer => {
    const squeeze =
      layer.kind === 'bushing' && layer.rate !== undefined && layer.rate > 0 ? Math.max(0, load) / layer.rate : 0;
    return { ...layer, squeeze, loaded: layer.height - squeeze };
  });

/**
 * How high layers are together under their load, mm.
 *
 * @param layers The layers under their load.
 */
export const heightOf = (layers: readonly LoadedLayer[]): number => layers.reduce((sum, { loaded }) => sum + loaded, 0);

import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';

/** How much closer than the whole a view is, and how far it is moved along, px. */
export interface ZoomTransform {
  readonly k: number;
  readonly x: number;
}

/** What zooms a box, by hand and when it is told to. */
export interface Zooming {
  readonly scaleBy: (factor: number) => void;
  /** Moves it along, px of the whole view. */
  readonly translateBy: (px: number) => void;
  readonly to: (transform: ZoomTransform) => void;
  readonly detach: () => void;
}

/** Anything on the board that is dragged or pressed itself, and does not move the whole. */
const OWN = '[data-handle],[role="button"],button,input,select';

/**
 * Lets a box be zoomed and moved along by wheel, pinch, double press and drag, never farther out than the whole.
 *
 * @param element The box.
 * @param width Its width, px.
 * @param closest How much closer than the whole it goes at the most.
 * @param onZoom Hears of every change.
 */
export function zooming(
  element: HTMLDivElement,
  width: number,
  closest: number,
  onZoom: (transform: ZoomTransform) => void,
): Zooming {
  const behavior = zoom<HTMLDivElement, unknown>()
    .extent([
      [0, 0],
      [width, 1],
    ])
    .translateExtent([
      [0, 0],
      [width, 1],
    ])
    .scaleExtent([1, closest])
    .filter((event: Event) => {
      const { target } = event;
      if (event.type !== 'wheel' && target instanceof Element && target.closest(OWN)) return false;
      return !(event instanceof MouseEvent && event.type === 'mousedown' && event.button !== 0);
    })
    .on('zoom', ({ transform: { k, x } }: { readonly transform: ZoomTransform }) => onZoom({ k, x }));
  const selection = select(element);
  selection.call(behavior);
  return {
    scaleBy: (factor) => behavior.scaleBy(selection, factor),
    translateBy: (px) => behavior.translateBy(selection, px, 0),
    to: ({ k, x }) => behavior.transform(selection, zoomIdentity.translate(x, 0).scale(k)),
    detach: () => void selection.on('.zoom', null),
  };
}

import type { PlanResult } from '@splay/core';
import { select } from 'd3-selection';
import { zoom as d3zoom, type ZoomBehavior, zoomIdentity, type ZoomTransform } from 'd3-zoom';
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { View } from '../client/picture-props.ts';

/** Stations that the whole drawing spans, mm. */
export type Reach = readonly [front: number, rear: number];

/** Stations that a frame spans, wheels included, mm. */
export function reachOf({ tape, axles }: PlanResult): Reach {
  const wheels = axles.flatMap(({ built, item }) =>
    built ? [built.x - item.tyreRadius, built.x + item.tyreRadius] : [],
  );
  return [
    Math.min(...tape.spans.map((span) => span.builtFrom), ...wheels),
    Math.max(...tape.spans.map((span) => span.builtTo), ...wheels),
  ];
}

/** Stations that several frames span together. */
export const reachOfAll = (results: readonly PlanResult[]): Reach => {
  const each = results.map(reachOf);
  return [Math.min(...each.map(([front]) => front)), Math.max(...each.map(([, rear]) => rear))];
};

const MARGIN_PX = 34;
const CLOSEST = 1.6;

export const toPx = (view: View, x: number): number => (x - view.from) * view.scale;
export const toMm = (view: View, px: number): number => view.from + px / view.scale;

/** The whole frame in the middle of a width, px; never larger than `most` px a mm, so that its height has room too. */
export function fitView(width: number, [front, rear]: Reach, most = Infinity): View {
  const scale = Math.max(1e-4, Math.min(most, (width - 2 * MARGIN_PX) / (rear - front)));
  return { from: (front + rear) / 2 - width / 2 / scale, scale, width };
}

/** What a transform of the whole view shows. */
export function zoomedView(whole: View, { k, x }: Pick<ZoomTransform, 'k' | 'x'>): View {
  const scale = whole.scale * k;
  return { scale, width: whole.width, from: whole.from - x / scale };
}

/** The transform of the whole view that has a station in the middle, `k` times as close. */
export const centredOn = (whole: View, x: number, k: number): ZoomTransform =>
  zoomIdentity.translate(whole.width / 2 - toPx(whole, x) * k, 0).scale(k);

/** Anything on the board that is dragged or pressed itself, and does not move the whole. */
const OWN = '[data-handle],[role="button"],button,input,select';

type Box = HTMLDivElement;

/**
 * The view of a board as wide as its box: fits the frame until somebody zooms (wheel, pinch, double press, keys), and
 * fits again when asked. It never goes farther out than the whole frame, and never loses it.
 */
export function useView(box: RefObject<Box | null>, width: number, reach: Reach, most: number) {
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const [front, rear] = reach;
  const whole = useMemo(() => fitView(width, [front, rear], most), [width, front, rear, most]);
  const view = useMemo(() => zoomedView(whole, transform), [whole, transform]);
  const attached = useRef<{ readonly zooming: ZoomBehavior<Box, unknown>; readonly element: Box } | null>(null);

  useEffect(() => {
    const element = box.current;
    if (!element || width === 0) return;
    const closest = Math.max(1, CLOSEST / whole.scale);
    const zooming = d3zoom<Box, unknown>()
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
      .on('zoom', ({ transform: next }: { readonly transform: ZoomTransform }) => setTransform(next));
    attached.current = { zooming, element };
    const selection = select(element);
    selection.call(zooming);
    return () => {
      selection.on('.zoom', null);
      attached.current = null;
    };
  }, [box, width, whole.scale]);

  const call = useCallback((how: (zooming: ZoomBehavior<Box, unknown>, element: Box) => void) => {
    if (attached.current) how(attached.current.zooming, attached.current.element);
  }, []);
  const zoom = useCallback(
    (factor: number) => call((zooming, element) => zooming.scaleBy(select(element), factor)),
    [call],
  );
  const pan = useCallback(
    (px: number) => call((zooming, element) => zooming.translateBy(select(element), -px / transform.k, 0)),
    [call, transform.k],
  );
  const fit = useCallback(() => call((zooming, element) => zooming.transform(select(element), zoomIdentity)), [call]);
  const centre = useCallback(
    (x: number) =>
      call((zooming, element) =>
        zooming.transform(
          select(element),
          centredOn(whole, x, Math.max(transform.k, Math.min(2.4, CLOSEST / whole.scale))),
        ),
      ),
    [call, whole, transform.k],
  );
  return { view, zoom, pan, centre, fit, zoomed: transform.k > 1.001 };
}

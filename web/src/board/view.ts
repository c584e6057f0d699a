import { type PlanResult, posed } from '@splay/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** What part of the frame the board shows: station at the left edge, mm, and pixels per mm. */
export interface View {
  readonly from: number;
  readonly scale: number;
  readonly width: number;
}

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

/** How far a frame reaches over and under its datum plane, wheels included, mm. */
export function tallOf({ pieces, axles }: PlanResult): { readonly over: number; readonly under: number } {
  const tops = pieces.flatMap(({ rails, pose }) =>
    [...rails.left, ...rails.right].map(({ x, top }) => posed(pose, x, top).z),
  );
  const wheels = axles.flatMap(({ built, item }) => (built ? [built.z - item.tyreRadius] : []));
  return { over: Math.max(0, ...tops), under: Math.max(1, ...tops.map((z) => -z), ...wheels.map((z) => -z)) };
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

/** The view zoomed by a factor with the station under `px` staying there; never farther out than the whole frame. */
export function zoomView(view: View, factor: number, px: number, reach: Reach, most = Infinity): View {
  const whole = fitView(view.width, reach, most);
  const scale = Math.min(CLOSEST, Math.max(whole.scale, view.scale * factor));
  if (scale === whole.scale) return whole;
  return keepInside({ ...view, scale, from: toMm(view, px) - px / scale }, reach);
}

export const panView = (view: View, px: number, reach: Reach): View =>
  keepInside({ ...view, from: view.from + px / view.scale }, reach);

function keepInside(view: View, [front, rear]: Reach): View {
  const margin = MARGIN_PX / view.scale;
  const most = rear + margin - view.width / view.scale;
  const from = Math.min(Math.max(view.from, front - margin), Math.max(most, front - margin));
  return { ...view, from };
}

/** The view of a board as wide as its box: fits the frame until somebody zooms, and fits again when asked. */
export function useView(reach: Reach, most: number) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  const [zoomed, setZoomed] = useState<View | null>(null);
  const [front, rear] = reach;

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setWidth(Math.round(entry?.contentRect.width ?? 0)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const view = useMemo(
    () => (zoomed ? { ...zoomed, width } : fitView(width, [front, rear], most)),
    [zoomed, width, front, rear, most],
  );
  const zoom = useCallback(
    (factor: number, px = width / 2) => setZoomed(zoomView(view, factor, px, [front, rear], most)),
    [view, width, front, rear, most],
  );
  const pan = useCallback((px: number) => setZoomed(panView(view, px, [front, rear])), [view, front, rear]);
  const centre = useCallback(
    (x: number) => {
      const close = Math.max(view.scale, fitView(width, [front, rear], most).scale * 2.4);
      const scale = Math.min(CLOSEST, close);
      setZoomed(keepInside({ scale, width, from: x - width / 2 / scale }, [front, rear]));
    },
    [view, width, front, rear, most],
  );
  const fit = useCallback(() => setZoomed(null), []);
  return { box, view, zoom, pan, centre, fit, zoomed: zoomed !== null };
}

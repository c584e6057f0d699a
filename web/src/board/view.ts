import type { PlanResult } from '@splay/core';
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { View } from '../client/picture-props.ts';
import type { Zooming, ZoomTransform } from './zooming.ts';

/** Stations that the whole drawing spans, mm. */
export type Reach = readonly [front: number, rear: number];

/** Stations that a frame spans, wheels included, mm. */
export function reachOf({ tape, axles }: PlanResult): Reach {
  const wheels = axles.flatMap(({ built, item }) =>
    built ? [built.x - item.tireRadius, built.x + item.tireRadius] : [],
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
export function zoomedView(whole: View, { k, x }: ZoomTransform): View {
  const scale = whole.scale * k;
  return { scale, width: whole.width, from: whole.from - x / scale };
}

/** The transform of the whole view that has a station in the middle, `k` times as close. */
export const centeredOn = (whole: View, x: number, k: number): ZoomTransform => ({
  k,
  x: whole.width / 2 - toPx(whole, x) * k,
});

/** Nothing is closer. */
const WHOLE: ZoomTransform = { k: 1, x: 0 };

/**
 * The view of a board as wide as its box: fits the frame until somebody zooms (wheel, pinch, double press, keys), and
 * fits again when asked. It never goes farther out than the whole frame, and never loses it. What zooms is loaded once
 * the board stands.
 */
export function useView(box: RefObject<HTMLDivElement | null>, width: number, reach: Reach, most: number) {
  const [transform, setTransform] = useState(WHOLE);
  const [front, rear] = reach;
  const whole = useMemo(() => fitView(width, [front, rear], most), [width, front, rear, most]);
  const view = useMemo(() => zoomedView(whole, transform), [whole, transform]);
  const attached = useRef<Zooming | null>(null);

  useEffect(() => {
    const element = box.current;
    if (!element || width === 0) return;
    let gone = false;
    void import('./zooming.ts').then(({ zooming }) => {
      if (!gone) attached.current = zooming(element, width, Math.max(1, CLOSEST / whole.scale), setTransform);
    });
    return () => {
      gone = true;
      attached.current?.detach();
      attached.current = null;
    };
  }, [box, width, whole.scale]);

  const zoom = useCallback((factor: number) => attached.current?.scaleBy(factor), []);
  const pan = useCallback((px: number) => attached.current?.translateBy(-px / transform.k), [transform.k]);
  const fit = useCallback(() => attached.current?.to(WHOLE), []);
  const center = useCallback(
    (x: number) =>
      attached.current?.to(centeredOn(whole, x, Math.max(transform.k, Math.min(2.4, CLOSEST / whole.scale)))),
    [whole, transform.k],
  );
  return { view, zoom, pan, center, fit, zoomed: transform.k > 1.001 };
}

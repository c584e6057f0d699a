import { type PointerEvent as ReactPointerEvent, useCallback, useEffect, useRef } from 'react';
import type { StartDrag } from '../client/picture-props.ts';

interface Drag {
  readonly startX: number;
  readonly startY: number;
  readonly onMove: Parameters<StartDrag>[1];
  readonly onEnd: Parameters<StartDrag>[2];
  moved: boolean;
  latest: readonly [number, number];
  frame: number;
}

/** Follows a pointer from where it went down, at most once a frame; `onEnd` tells whether it went anywhere. */
export function useDrag(): StartDrag {
  const drag = useRef<Drag | null>(null);

  const start = useCallback((event: ReactPointerEvent, onMove: Drag['onMove'], onEnd: Drag['onEnd']) => {
    if (event.button !== 0) return;
    drag.current = {
      startX: event.clientX,
      startY: event.clientY,
      onMove,
      onEnd,
      moved: false,
      latest: [0, 0],
      frame: 0,
    };
  }, []);

  useEffect(() => {
    const move = (event: PointerEvent) => {
      const current = drag.current;
      if (!current) return;
      current.latest = [event.clientX - current.startX, event.clientY - current.startY];
      if (!current.moved && Math.hypot(...current.latest) < 3) return;
      current.moved = true;
      if (current.frame) return;
      current.frame = requestAnimationFrame(() => {
        current.frame = 0;
        if (drag.current === current) current.onMove(...current.latest);
      });
    };
    const end = () => {
      const current = drag.current;
      drag.current = null;
      if (!current) return;
      cancelAnimationFrame(current.frame);
      if (current.moved) current.onMove(...current.latest);
      current.onEnd(current.moved);
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', end);
    window.addEventListener('pointercancel', end);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', end);
      window.removeEventListener('pointercancel', end);
    };
  }, []);

  return start;
}

import type { PlanResult, Section, Vec3 } from '@splay/core';
import { useRef } from 'react';
import { Rails } from './steel.tsx';
import { acrossPx, planStrip } from './strips.ts';
import { useSize } from './use-size.ts';
import { fitView, reachOf, toPx } from './view.ts';

/** How high the strip is, px. */
const HEIGHT = 64;

interface FrameStripProps {
  readonly frame: PlanResult;
  readonly section: (id: string) => Section;
  /** The place that is worked at, built station, mm; null for none. */
  readonly at: number | null;
  /** The ends of what is measured, mm; null for nothing. */
  readonly ends: readonly Vec3[] | null;
}

/** The whole frame from above in a strip, with the place that is worked at: where one is, on a phone. */
export function FrameStrip({ frame, section, at, ends }: FrameStripProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width } = useSize(box);
  const view = fitView(width, reachOf(frame));
  const { across } = planStrip(0, HEIGHT, view, frame, section);
  return (
    <div ref={box} className="shrink-0 border-b border-graphite bg-paper short:hidden" style={{ height: HEIGHT }}>
      {width > 0 && (
        <svg width={width} height={HEIGHT} role="img" aria-label="The frame from above">
          <Rails pieces={frame.pieces} what="plan" {...{ view, across, section }} />
          {frame.crossmembers.map(({ crossmember: { id, length }, built }) =>
            built ? (
              <rect
                key={id}
                x={toPx(view, built.x - length / 2)}
                y={acrossPx(across, 0) - 12}
                width={Math.max(2, length * view.scale)}
                height={24}
                fill="var(--color-rule)"
              />
            ) : null,
          )}
          {ends && (
            <g stroke="var(--color-layout)" fill="none" strokeWidth={2}>
              <path
                d={ends
                  .map(({ x, y }, index) => `${index ? 'L' : 'M'}${toPx(view, x)} ${acrossPx(across, y)}`)
                  .join('')}
              />
              {ends.map(({ x, y }, index) => (
                <circle key={index} cx={toPx(view, x)} cy={acrossPx(across, y)} r={7} />
              ))}
            </g>
          )}
          {at !== null && <path d={`M${toPx(view, at)} 2V${HEIGHT - 2}`} stroke="var(--color-ochre)" strokeWidth={3} />}
        </svg>
      )}
    </div>
  );
}

import type { LengthFormat } from '@splay/core';
import { SvgLength } from '../../board/svg-length.tsx';
import { multiples, tickStep } from '../../board/ticks.ts';
import { memoized } from '../../ui/memoized.ts';

/** Height of the tape, px. */
export const TAPE = 24;

interface LocalTapeProps {
  readonly scale: number;
  /** What is drawn ahead of and behind the joint, mm. */
  readonly reach: number;
  readonly y: number;
  readonly width: number;
  readonly format: LengthFormat;
  /** Station of the joint from the datum, mm. */
  readonly at: number;
}

/** The tape between the rail and its curve: stations from the datum, in register with both. */
export const LocalTape = memoized(function LocalTape({ scale, reach, y, width, format, at }: LocalTapeProps) {
  const px = (mm: number) => (mm + reach) * scale;
  const { major, minor } = tickStep(scale, format);
  return (
    <g>
      <rect x={0} y={y} width={width} height={TAPE} fill="var(--color-night)" />
      {multiples(at - reach, at + reach, minor).map((mm) => (
        <path key={mm} d={`M${px(mm - at)} ${y}v5`} stroke="var(--color-on-night)" strokeOpacity={0.6} />
      ))}
      {multiples(at - reach, at + reach, major).map((mm) => (
        <g key={mm}>
          <path d={`M${px(mm - at)} ${y}v8`} stroke="var(--color-on-night)" strokeWidth={1.4} />
          <text
            x={px(mm - at)}
            y={y + 19}
            textAnchor="middle"
            fontSize={12}
            className="font-label"
            fill="var(--color-on-night)"
          >
            <SvgLength mm={mm} format={format} />
          </text>
        </g>
      ))}
    </g>
  );
});

import type { LengthFormat, Vec3 } from '@splay/core';
import type { ShownMeasurement } from '../client/job-store.ts';
import { lengthWidth, SvgLength } from './svg-length.tsx';

interface MeasurementLineProps {
  readonly measurement: ShownMeasurement;
  readonly ends: readonly Vec3[];
  readonly px: (x: number) => number;
  readonly py: (y: number) => number;
  readonly format: LengthFormat;
}

/** A measurement across the plan view with its figures. */
export function MeasurementLine({ measurement, ends, px, py, format }: MeasurementLineProps) {
  return (
    <g className="text-layout">
      <path
        d={ends.map(({ x, y }, index) => `${index === 0 ? 'M' : 'L'}${px(x)} ${py(y)}`).join('')}
        stroke="currentColor"
        strokeWidth={1.6}
        strokeDasharray="6 3"
      />
      {ends.map((end, index) => (
        <circle key={index} cx={px(end.x)} cy={py(end.y)} r={4.5} fill="currentColor" />
      ))}
      <MeasurementTag
        measurement={measurement}
        x={px(ends.reduce((sum, { x }) => sum + x, 0) / ends.length)}
        y={py(ends.reduce((sum, { y }) => sum + y, 0) / ends.length) + (ends.length === 1 ? 24 : 0)}
        format={format}
      />
    </g>
  );
}

/** The figures of a measurement on its line: before → predicted. */
function MeasurementTag({
  measurement,
  x,
  y,
  format,
}: {
  readonly measurement: ShownMeasurement;
  readonly x: number;
  readonly y: number;
  readonly format: LengthFormat;
}) {
  const { before, predicted } = measurement;
  const changes = predicted !== null && (before === null || Math.abs(predicted - before) > 0.05);
  const width =
    22 +
    measurement.kind.length * 6.6 +
    (before === null ? 0 : lengthWidth(before, format, 15)) +
    (changes ? 26 + lengthWidth(predicted, format, 15) : 0);
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect x={-width / 2} y={-14} width={width} height={28} fill="var(--color-sheet)" stroke="var(--color-layout)" />
      <text
        textAnchor="middle"
        dy="0.34em"
        fontSize={15}
        className="font-label"
        fill="var(--color-graphite)"
        fontWeight={600}
      >
        {measurement.kind} {before !== null && <SvgLength mm={before} format={format} />}
        {changes && (
          <>
            {' → '}
            <tspan fontWeight={600} fill="var(--color-layout)">
              <SvgLength mm={predicted} format={format} />
            </tspan>
          </>
        )}
      </text>
    </g>
  );
}

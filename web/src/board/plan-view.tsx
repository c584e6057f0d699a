import { type ControlPrediction, insideEdge, otherUnitText, type Piece } from '@splay/core';
import { lengthWidth, SvgLength } from './svg-length.tsx';
import { FeatureSymbol, symbolOf } from './feature-symbol.tsx';
import type { ViewProps } from './side-view.tsx';
import { type Across, acrossPx, Steel } from './steel.tsx';
import { toPx } from './view.ts';

interface PlanViewProps extends ViewProps {
  /** The measurement to draw across the frame with its figures, if one. */
  readonly measurement: ControlPrediction | null;
}

/** The frame from above, front at the left, left rail on top: rails, crossmembers with their numbers, control points. */
export function PlanView({
  job,
  result,
  donor,
  view,
  top,
  height,
  section,
  datum,
  showBefore,
  trims,
  selected,
  pointed,
  onSelect,
  measurement,
}: PlanViewProps) {
  const across: Across = { zero: top + height / 2, sign: 1 };
  const px = (x: number) => toPx(view, x);
  const py = (y: number) => acrossPx(view, across, y);
  const shown = showBefore ? donor : result;
  const chosen = (id: string) => selected === id || pointed === id;
  const ends = measurement && (showBefore ? measurement.ends.donor : measurement.ends.built);

  return (
    <g clipPath="url(#clip-plan)">
      <text x={10} y={top + 20} className="label" fontSize={12} fill="var(--color-pencil)">
        Plan · left on top
      </text>
      <path d={`M0 ${py(0)}H${view.width}`} stroke="var(--color-rule)" strokeDasharray="12 4 3 4" />

      {shown.crossmembers.map(({ crossmember, built, piece, wider }) => {
        const carrier = shown.pieces[piece ?? -1] as Piece | undefined;
        if (!built || !carrier) return null;
        const [a, b] = [
          insideEdge(carrier, 'left', crossmember.x, section),
          insideEdge(carrier, 'right', crossmember.x, section),
        ];
        const width = crossmember.length * view.scale;
        const number = /\d+/.exec(crossmember.name)?.[0];
        return (
          <g
            key={crossmember.id}
            className={`cursor-pointer ${chosen(crossmember.id) ? 'text-layout' : 'text-pencil'}`}
            onClick={() => onSelect(crossmember.id)}
          >
            <title>{crossmember.name}</title>
            <rect
              x={px(built.x) - width / 2}
              y={py(a)}
              width={width}
              height={py(b) - py(a)}
              fill="var(--color-sheet)"
              stroke="currentColor"
              strokeWidth={chosen(crossmember.id) ? 2.2 : 1}
              strokeDasharray={wider !== 0 ? '4 2' : undefined}
            />
            {number && view.scale > 0.1 && (
              <text
                x={px(built.x)}
                y={py(0)}
                dy="0.34em"
                textAnchor="middle"
                fontSize={11}
                fontWeight={600}
                className="font-label"
                fill="currentColor"
                stroke="var(--color-sheet)"
                strokeWidth={3}
                paintOrder="stroke"
              >
                {number}
              </text>
            )}
          </g>
        );
      })}
      <Steel {...{ result, donor, view, across, section, showBefore, trims }} what="plan" />

      {shown.features.flatMap(({ feature, places }) =>
        (['left', 'right'] as const).map((side) => {
          const at = places[side]?.built;
          if (!at) return null;
          const inboard = feature.face === 'web-outside' ? 0 : (side === 'left' ? 1 : -1) * 5;
          return (
            <g
              key={feature.id + side}
              transform={`translate(${px(at.x)} ${py(at.y) + inboard})`}
              className={`cursor-pointer ${chosen(feature.id) ? 'text-layout' : 'text-graphite'}`}
              onClick={() => onSelect(feature.id)}
            >
              <title>{`${feature.name}, ${side}, ${otherUnitText(at.x - datum, job.display)} from the datum hole`}</title>
              {chosen(feature.id) && <circle r={9} fill="none" stroke="var(--color-layout)" strokeWidth={2} />}
              <FeatureSymbol name={symbolOf(feature.kind)} width={Math.min(feature.length * view.scale, 14)} />
            </g>
          );
        }),
      )}

      {ends && measurement && (
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
            format={job.display}
          />
        </g>
      )}
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
  readonly measurement: ControlPrediction;
  readonly x: number;
  readonly y: number;
  readonly format: ViewProps['job']['display'];
}) {
  const { before, predicted } = measurement;
  const changes = predicted !== null && Math.abs(predicted - before) > 0.05;
  const width =
    22 +
    measurement.kind.length * 6.6 +
    lengthWidth(before, format, 15) +
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
        fontWeight={500}
      >
        {measurement.kind} <SvgLength mm={before} format={format} />
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

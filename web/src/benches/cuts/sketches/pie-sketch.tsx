import { pieAngle } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { cut, degrees, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A pie cut: the pivot edge, the wedge and how wide it is, by the definition that was chosen. */
export function PieSketch({ operation, depth, job }: SketchOf<'pie-cut'>) {
  const { amount, mode, pivot, wedge } = operation;
  const angle = pieAngle(amount);
  if (!(angle > 0 && angle < Math.PI / 3)) return null;
  const [top, bottom, middle] = [26, 76, W / 2];
  const half = Math.max(7, Math.min(24, 50 * Math.tan(angle / 2)));
  const [tip, mouth] = pivot === 'top' ? [top, bottom] : [bottom, top];
  const shape =
    mode === 'open'
      ? `M${middle} ${tip}V${mouth}`
      : wedge === 'symmetric'
        ? `M${middle} ${tip}L${middle - half} ${mouth}H${middle + half}Z`
        : `M${middle} ${tip}V${mouth}H${middle + 2 * half}Z`;
  const width =
    mode === 'open'
      ? 2 * depth * Math.sin(angle / 2)
      : wedge === 'symmetric'
        ? 2 * depth * Math.tan(angle / 2)
        : depth * Math.tan(angle);
  const length = (mm: number) => <Length mm={mm} format={finer(job.display)} unit />;
  return (
    <SketchFigure
      name={`Pie cut, pivot at the ${pivot} edge`}
      figures={[
        ['turns by', degrees(angle)],
        [
          mode === 'open'
            ? 'slit opens to'
            : `wedge at the ${pivot === 'top' ? 'bottom' : 'top'}, ${wedge === 'symmetric' ? 'both faces sloped' : 'front face square'}`,
          length(width),
        ],
        ...(amount.by === 'drop'
          ? [['the point comes forward by', length(amount.distance * (1 - Math.cos(angle)))] as const]
          : []),
      ]}
    >
      <rect x={12} y={top} width={W - 24} height={50} {...steel} />
      <path d={shape} {...cut} />
      <circle cx={middle} cy={tip} r={4} fill="var(--color-layout)" />
      <text x={middle} y={pivot === 'top' ? 16 : 91} textAnchor="middle" {...note}>
        pivot edge, stays whole
      </text>
    </SketchFigure>
  );
}

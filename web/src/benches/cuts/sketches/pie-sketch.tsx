import { cut, degrees, lengthsOf, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A point that moves less than this along the frame stays where it is, mm. */
const STAYS = 0.05;

/** A pie cut: the pivot edge, the wedge and how wide it is, by the definition that was chosen. */
export function PieSketch({ operation, figures, job }: SketchOf<'pie-cut'>) {
  const { mode, pivot, wedge, turned } = operation;
  const { angle, nearer } = figures;
  const { one } = lengthsOf(job);
  const [top, bottom, middle] = [26, 76, W / 2];
  const half = Math.max(7, Math.min(24, 50 * Math.tan(angle / 2)));
  const [tip, mouth] = pivot === 'top' ? [top, bottom] : [bottom, top];
  const shape =
    mode === 'open'
      ? `M${middle} ${tip}V${mouth}`
      : wedge === 'symmetric'
        ? `M${middle} ${tip}L${middle - half} ${mouth}H${middle + half}Z`
        : `M${middle} ${tip}V${mouth}H${middle + 2 * half}Z`;
  const [toward, away] = turned === 'rear' ? ['forward', 'back'] : ['back', 'forward'];
  return (
    <SketchFigure
      name={`Pie cut, pivot at the ${pivot} edge`}
      figures={[
        ['turns by', degrees(angle)],
        [
          mode === 'open'
            ? 'slit opens to'
            : `wedge at the ${pivot === 'top' ? 'bottom' : 'top'}, ${wedge === 'symmetric' ? 'both faces sloped' : 'front face square'}`,
          one(figures.wedge),
        ],
        ...(nearer === null
          ? []
          : [
              Math.abs(nearer) < STAYS
                ? (['the point', 'keeps its station'] as const)
                : ([`the point goes ${nearer > 0 ? toward : away} by`, one(Math.abs(nearer))] as const),
            ]),
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

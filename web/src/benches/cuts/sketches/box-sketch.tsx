import { fresh, lengthsOf, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const times = (factor: number): string => `${factor >= 10 ? Math.round(factor) : factor.toFixed(1)} ×`;

/** A boxing plate seen from inside: its tapers, and how much stiffer the rail gets where it is. */
export function BoxSketch({ operation, figures, job }: SketchOf<'box'>) {
  const { one } = lengthsOf(job);
  const long = figures.runs.reduce((sum, run) => sum + run, 0);
  const taper = long > 0 ? Math.min(0.5, operation.taper / long) * 180 : 0;
  return (
    <SketchFigure
      name="Boxing plate seen from inside the frame"
      figures={[
        ...(figures.runs.length === 0 ? ([['plate', 'on steel that is taken out']] as const) : []),
        ...figures.runs.map(
          (run, index) =>
            [
              figures.runs.length > 1 ? `plate ${index + 1}, as built` : 'plate, end to end, as built',
              one(run),
            ] as const,
        ),
        ['bending stiffness there', times(figures.bending)],
        ['torsion stiffness there', times(figures.torsion)],
      ]}
    >
      <rect x={12} y={22} width={W - 24} height={54} {...steel} />
      <path d={`M42 49L${42 + taper} 24H${222 - taper}L222 49L${222 - taper} 74H${42 + taper}Z`} {...fresh} />
      <text x={W / 2} y={91} textAnchor="middle" {...note}>
        stiffness jumps where the plate ends: end at a crossmember
      </text>
    </SketchFigure>
  );
}

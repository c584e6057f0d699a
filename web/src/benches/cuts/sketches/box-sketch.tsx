import { builtUpSection, railAt, railOf, sectionLookup, sectionProperties, torsionConstant } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { fresh, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A boxing plate seen from inside: its tapers, and how much stiffer the rail gets where it is. */
export function BoxSketch({ operation, job }: SketchOf<'box'>) {
  const section = sectionLookup(job.donor)(railAt(railOf(job.donor.rails, 'left'), operation.from.x).section);
  if (section.kind !== 'channel' || !(operation.plate > 0)) return null;
  const boxed = builtUpSection(section, [{ kind: 'boxing', thickness: operation.plate }]);
  const long = operation.to.x - operation.from.x;
  const taper = long > 0 ? Math.min(0.5, operation.taper / long) * 180 : 0;
  const times = (factor: number) => `${factor >= 10 ? Math.round(factor) : factor.toFixed(1)} ×`;
  return (
    <SketchFigure
      name="Boxing plate seen from inside the frame"
      figures={[
        ['plate, end to end', <Length mm={long} format={finer(job.display)} unit />],
        ['bending stiffness there', times(boxed.properties.iy / sectionProperties(section).iy)],
        ['torsion stiffness there', times(boxed.j / torsionConstant(section).j)],
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

import { builtUpSection, railAt, railOf, sectionLookup, sectionProperties, widthOf } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { cut, fresh, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A notch: what is left over it, and what that still carries against the whole rail. */
export function NotchSketch({ operation, depth, job }: SketchOf<'notch'>) {
  if (!(operation.depth > 0 && operation.depth < depth)) return null;
  const [top, height] = [22, 54];
  const deep = (operation.depth / depth) * height;
  const below = operation.from === 'below';
  const edge = below ? top + height : top;
  const inner = below ? edge - deep : edge + deep;
  const arch =
    operation.form === 'round'
      ? `M86 ${edge}C86 ${inner + (inner - edge) / 3} 178 ${inner + (inner - edge) / 3} 178 ${edge}`
      : `M86 ${edge}C88 ${inner} 92 ${inner} 102 ${inner}H162C172 ${inner} 176 ${inner} 178 ${edge}`;
  const section = sectionLookup(job.donor)(railAt(railOf(job.donor.rails, 'left'), operation.at.x).section);
  return (
    <SketchFigure
      name="Notch seen from the side"
      figures={[
        ['steel left over it', <Length mm={depth - operation.depth} format={finer(job.display)} unit />],
        ...(section.kind === 'round'
          ? []
          : [['carries, against the whole rail', modulusLeft(operation, section)] as const]),
      ]}
    >
      <rect x={12} y={top} width={W - 24} height={height} {...steel} />
      <path d={`${arch}Z`} {...cut} />
      {operation.plate > 0 && <path d={arch} fill="none" stroke={fresh.stroke} strokeWidth={4} />}
    </SketchFigure>
  );
}

type NotchedSection = Parameters<typeof builtUpSection>[0];

/** The smaller section modulus at the notch against that of the rail, without and with the plate. */
function modulusLeft(operation: SketchOf<'notch'>['operation'], section: NotchedSection): string {
  const least = ({ modulusTop, modulusBottom }: { readonly modulusTop: number; readonly modulusBottom: number }) =>
    Math.min(modulusTop, modulusBottom);
  const whole = least(sectionProperties(section));
  const share = (plate?: { readonly width: number; readonly thickness: number }) => {
    const notch = { kind: 'notch', from: operation.from, depth: operation.depth } as const;
    const { properties } = builtUpSection(section, [plate ? { ...notch, plate } : notch]);
    return `${Math.round((100 * least(properties)) / whole)} %`;
  };
  if (!(operation.plate > 0 && operation.plate < section.depth - operation.depth)) return share();
  return `${share()}; ${share({ width: widthOf(section), thickness: operation.plate })} with the plate`;
}

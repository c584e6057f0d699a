import { cut, fresh, lengthsOf, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** A notch: what is left over it, and what that still carries against the whole rail. */
export function NotchSketch({ operation, figures, job }: SketchOf<'notch'>) {
  const { left, deep, modulus, plated } = figures;
  const [top, height] = [22, 54];
  const drawn = (operation.depth / (operation.depth + left)) * height;
  const below = operation.from === 'below';
  const edge = below ? top + height : top;
  const inner = below ? edge - drawn : edge + drawn;
  const arch =
    operation.form === 'round'
      ? `M86 ${edge}C86 ${inner + (inner - edge) / 3} 178 ${inner + (inner - edge) / 3} 178 ${edge}`
      : `M86 ${edge}C88 ${inner} 92 ${inner} 102 ${inner}H162C172 ${inner} 176 ${inner} 178 ${edge}`;
  return (
    <SketchFigure
      name="Notch seen from the side"
      figures={[
        [below ? 'steel left over it' : 'steel left under it', lengthsOf(job).one(left)],
        [
          operation.floor === 'level' ? 'floor level: depth at its front and rear' : 'floor follows the edge: depth',
          operation.floor === 'level' ? (
            <>
              {lengthsOf(job).one(deep.front)} · {lengthsOf(job).one(deep.rear)}
            </>
          ) : (
            lengthsOf(job).one(deep.front)
          ),
        ] as const,
        ...(modulus === null
          ? []
          : [
              [
                'carries, against the whole rail',
                plated === null ? percent(modulus) : `${percent(modulus)}; ${percent(plated)} with the plate`,
              ] as const,
            ]),
      ]}
    >
      <rect x={12} y={top} width={W - 24} height={height} {...steel} />
      <path d={`${arch}Z`} {...cut} />
      {operation.plate > 0 && <path d={arch} fill="none" stroke={fresh.stroke} strokeWidth={4} />}
    </SketchFigure>
  );
}

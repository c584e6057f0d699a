import { cut, lengthsOf, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A trim: what comes off, how far it leans, and how long the face gets. */
export function TrimSketch({ operation, figures, job }: SketchOf<'trim'>) {
  const { angle, lean, end } = operation;
  const { one } = lengthsOf(job);
  const [top, bottom] = [22, 74];
  const offset = Math.min(70, 52 * Math.tan(angle));
  const [topX, bottomX] = lean === 'top-longer' ? [170, 170 - offset] : [170 - offset, 170];
  return (
    <SketchFigure
      name="Trim seen from the side"
      mirrored={end === 'front'}
      figures={[
        ['comes off, along the top edge', one(figures.off)],
        ...(angle > 0
          ? ([
              ['leans, over the depth', one(figures.lean)],
              ['cut face', one(figures.face)],
            ] as const)
          : []),
      ]}
    >
      <path d={`M12 ${top}H${topX}L${bottomX} ${bottom}H12Z`} {...steel} />
      <path d={`M${topX} ${top}H${W - 12}V${bottom}H${bottomX}Z`} {...cut} />
    </SketchFigure>
  );
}

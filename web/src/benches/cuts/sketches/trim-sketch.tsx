import { cut, lengthsOf, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A trim: what comes off, how far it leans, and how long the face gets. */
export function TrimSketch({ operation, figures, job }: SketchOf<'trim'>) {
  const { angle, lean, end } = operation;
  const { one } = lengthsOf(job);
  const [top, bottom] = [22, 74];
  const offset = Math.min(70, 52 * Math.tan(angle));
  // A cut that runs out of the old end leaves that square from there on.
  const out = figures.runsOut !== null && lean === 'bottom-longer';
  const outY = out ? (top + bottom) / 2 : bottom;
  const [topX, bottomX] = lean === 'top-longer' ? [170, 170 - offset] : [170 - offset, 170];
  const endX = W - 12;
  return (
    <SketchFigure
      name="Trim seen from the side"
      mirrored={end === 'front'}
      figures={[
        ['comes off, along the top edge', one(figures.off)],
        ...(angle > 0
          ? ([
              ['leans, over the cut', one(figures.lean)],
              ['cut face', one(figures.face)],
              ...(figures.runsOut === null
                ? []
                : ([['runs out of the old end, below the top edge', one(figures.runsOut)]] as const)),
            ] as const)
          : []),
      ]}
    >
      {out ? (
        <>
          <path d={`M12 ${top}H${topX}L${endX} ${outY}V${bottom}H12Z`} {...steel} />
          <path d={`M${topX} ${top}H${endX}V${outY}Z`} {...cut} />
        </>
      ) : (
        <>
          <path d={`M12 ${top}H${topX}L${bottomX} ${bottom}H12Z`} {...steel} />
          <path d={`M${topX} ${top}H${endX}V${bottom}H${bottomX}Z`} {...cut} />
        </>
      )}
    </SketchFigure>
  );
}

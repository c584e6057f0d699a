import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { cut, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A trim that leans: how far, and how long the face gets. */
export function TrimSketch({ operation, depth, job }: SketchOf<'trim'>) {
  const { angle, lean, end } = operation;
  if (!(angle > 0 && angle < Math.PI / 2)) return null;
  const [top, bottom] = [22, 74];
  const offset = Math.min(70, 52 * Math.tan(angle));
  const [topX, bottomX] = lean === 'top-longer' ? [170, 170 - offset] : [170 - offset, 170];
  return (
    <SketchFigure
      name="Trim seen from the side"
      mirrored={end === 'front'}
      figures={[
        ['leans, over the depth', <Length mm={depth * Math.tan(angle)} format={finer(job.display)} unit />],
        ['cut face', <Length mm={depth / Math.cos(angle)} format={finer(job.display)} unit />],
      ]}
    >
      <path d={`M12 ${top}H${topX}L${bottomX} ${bottom}H12Z`} {...steel} />
      <path d={`M${topX} ${top}H${W - 12}V${bottom}H${bottomX}Z`} {...cut} />
    </SketchFigure>
  );
}

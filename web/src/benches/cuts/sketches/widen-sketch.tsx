import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { degrees, fresh, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A widening seen from above: how far each rail goes out, and the oblique pieces that bring it there. */
export function WidenSketch({ operation, job }: SketchOf<'widen'>) {
  const each = operation.amount / 2;
  const { transition } = operation;
  const [rises, falls] = [operation.from !== null, operation.to !== null];
  if (each === 0) return null;
  const out = each > 0 ? -1 : 1;
  const [near, far] = [34 - 7 * out * -1, 34 + 9 * out];
  const length = (mm: number) => <Length mm={Math.abs(mm)} format={finer(job.display)} unit />;
  const rail = (points: readonly (readonly [number, number])[], mirrored: boolean) =>
    `M${points.map(([x, y]) => `${x} ${mirrored ? 96 - y : y}`).join('L')}Z`;
  const strip = (x1: number, y1: number, x2: number, y2: number) =>
    [
      [x1, y1],
      [x2, y2],
      [x2, y2 + 9],
      [x1, y1 + 9],
    ] as const;
  const [a, b, c, d] = [12, rises ? 78 : 12, rises ? 110 : 12, falls ? 170 : W - 12];
  const e = falls ? 202 : W - 12;
  return (
    <SketchFigure
      name={`${each > 0 ? 'Widening' : 'Narrowing'} seen from above`}
      figures={[
        [`each rail goes ${each > 0 ? 'out' : 'in'} by`, length(each)],
        ...(transition > 0 && (rises || falls)
          ? [
              ['slope of a transition piece', degrees(Math.atan2(each, transition))] as const,
              ['its length', length(Math.hypot(each, transition))] as const,
            ]
          : []),
      ]}
    >
      {[false, true].map((mirrored) => (
        <g key={String(mirrored)}>
          {rises && <path d={rail(strip(a, near, b, near), mirrored)} {...steel} />}
          {rises && <path d={rail(strip(b, near, c, far), mirrored)} {...fresh} />}
          <path d={rail(strip(c, far, d, far), mirrored)} {...steel} />
          {falls && <path d={rail(strip(d, far, e, near), mirrored)} {...fresh} />}
          {falls && <path d={rail(strip(e, near, W - 12, near), mirrored)} {...steel} />}
        </g>
      ))}
      <text x={W / 2} y={52} textAnchor="middle" {...note}>
        crossmembers here: split or replaced
      </text>
    </SketchFigure>
  );
}

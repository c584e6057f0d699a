import type { ReactNode } from 'react';
import { degrees, fresh, lengthsOf, note, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A widening seen from above: how far each rail goes out, and the oblique pieces that bring it there. */
export function WidenSketch({ operation, figures, job }: SketchOf<'widen'>) {
  const { one, each } = lengthsOf(job);
  const wider = figures.out > 0;
  const [rises, falls] = [operation.from !== null, operation.to !== null];
  const out = wider ? -1 : 1;
  const [near, far] = [34 - 7 * out * -1, 34 + 9 * out];
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
  const several = figures.leads.length > 1;
  const slope = ({ left, right }: { readonly left: number; readonly right: number }): ReactNode =>
    Math.abs(Math.abs(left) - Math.abs(right)) < 1e-3
      ? degrees(left)
      : `left ${degrees(left)}, right ${degrees(right)}`;
  return (
    <SketchFigure
      name={`${wider ? 'Widening' : 'Narrowing'} seen from above`}
      figures={[
        [`each rail goes ${wider ? 'out' : 'in'} by`, one(Math.abs(figures.out))],
        ...figures.leads.flatMap(({ end, length, slope: turn }): (readonly [string, ReactNode])[] => {
          const which = several ? `${end} transition piece` : 'transition piece';
          return [
            [`${which}, slope in plan`, slope(turn)],
            [`${which}, length`, each(length)],
          ];
        }),
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

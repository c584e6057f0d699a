import { factsOf, type Feature } from '@splay/core';
import { FeatureSymbol } from '../../../board/feature-symbol.tsx';
import { lengthsOf, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const [TOP, HEIGHT] = [18, 60];

/** A bracket or a row of holes on the web: how far from both edges of the rail. */
export function BracketSketch({ operation, figures, job }: SketchOf<'bracket'>) {
  const { change } = operation;
  const named = typeof change.feature === 'string' ? change.feature : null;
  const feature: Feature | undefined =
    typeof change.feature === 'string' ? job.donor.features.find(({ id }) => id === named) : change.feature;
  if (!feature) return null;
  const { one } = lengthsOf(job);
  const { was, down, railDepth } = figures;
  const onEdge = feature.face === 'top' || feature.face === 'bottom';
  const count = change.what === 'drill' ? change.count : 1;
  const y = TOP + Math.min(1, Math.max(0, down / railDepth)) * HEIGHT;
  const row = Math.min(count, 10);
  const xs = Array.from({ length: row }, (_, index) => W / 2 + (index - (row - 1) / 2) * Math.min(34, 200 / row));
  return (
    <SketchFigure
      name={`${feature.name} on the rail, seen from the side`}
      figures={[
        ...(onEdge
          ? ([['sits', `on the ${feature.face} of the rail`]] as const)
          : ([
              ['from the top edge', one(figures.fromTop)],
              ['from the bottom edge', one(figures.fromBottom)],
            ] as const)),
        ...(figures.between === null
          ? []
          : ([
              ['steel between two holes', one(figures.between)],
              ['first hole to last', one(figures.row)],
            ] as const)),
      ]}
    >
      <rect x={12} y={TOP} width={W - 24} height={HEIGHT} {...steel} />
      {change.what === 'move' && Math.abs(was - down) > 0.1 && (
        <g transform={`translate(${W / 2} ${TOP + (was / railDepth) * HEIGHT})`} className="text-pencil" opacity={0.5}>
          <FeatureSymbol name={factsOf(feature.kind).symbol} width={20} />
        </g>
      )}
      {xs.map((x) => (
        <g
          key={x}
          transform={`translate(${x} ${y})`}
          className={change.what === 'remove' ? 'text-pencil' : 'text-layout'}
        >
          <FeatureSymbol name={factsOf(feature.kind).symbol} width={20} />
          {change.what === 'remove' && <path d="M-9 -9L9 9M9 -9L-9 9" stroke="var(--color-oxide)" strokeWidth={2} />}
        </g>
      ))}
    </SketchFigure>
  );
}

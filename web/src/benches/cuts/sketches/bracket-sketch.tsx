import type { Feature } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { FeatureSymbol, symbolOf } from '../../../board/feature-symbol.tsx';
import { SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

const [TOP, HEIGHT] = [18, 60];

/** A bracket or a row of holes on the web: how far from both edges of the rail. */
export function BracketSketch({ operation, job, depth }: SketchOf<'bracket'>) {
  const { change } = operation;
  const named = typeof change.feature === 'string' ? change.feature : null;
  const feature: Feature | undefined =
    typeof change.feature === 'string' ? job.donor.features.find(({ id }) => id === named) : change.feature;
  if (!feature) return null;
  const exact = finer(job.display);
  const length = (mm: number) => <Length mm={mm} format={exact} unit />;
  /** Below the top edge, mm: what stands on an edge stands there whatever its figure says. */
  const onRail = (down: number) => ({ top: 0, bottom: depth, 'web-outside': down, 'web-inside': down })[feature.face];
  const [was, down] = [onRail(feature.down), onRail(change.what === 'move' ? change.down : feature.down)];
  const onEdge = feature.face === 'top' || feature.face === 'bottom';
  const count = change.what === 'drill' ? change.count : 1;
  const y = TOP + Math.min(1, Math.max(0, down / depth)) * HEIGHT;
  const radius = feature.diameter / 2;
  const row = Math.min(count, 10);
  const xs = Array.from({ length: row }, (_, index) => W / 2 + (index - (row - 1) / 2) * Math.min(34, 200 / row));
  return (
    <SketchFigure
      name={`${feature.name} on the rail, seen from the side`}
      figures={[
        ...(onEdge
          ? ([['sits', `on the ${feature.face} of the rail`]] as const)
          : ([
              ['from the top edge', length(down - radius)],
              ['from the bottom edge', length(depth - down - radius)],
            ] as const)),
        ...(change.what === 'drill' && count > 1
          ? ([
              ['steel between two holes', length(change.pitch - feature.diameter)],
              ['first hole to last', length(change.pitch * (count - 1))],
            ] as const)
          : []),
      ]}
    >
      <rect x={12} y={TOP} width={W - 24} height={HEIGHT} {...steel} />
      {change.what === 'move' && Math.abs(was - down) > 0.1 && (
        <g transform={`translate(${W / 2} ${TOP + (was / depth) * HEIGHT})`} className="text-pencil" opacity={0.5}>
          <FeatureSymbol name={symbolOf(feature.kind)} width={20} />
        </g>
      )}
      {xs.map((x) => (
        <g
          key={x}
          transform={`translate(${x} ${y})`}
          className={change.what === 'remove' ? 'text-pencil' : 'text-layout'}
        >
          <FeatureSymbol name={symbolOf(feature.kind)} width={20} />
          {change.what === 'remove' && <path d="M-9 -9L9 9M9 -9L-9 9" stroke="var(--color-oxide)" strokeWidth={2} />}
        </g>
      ))}
    </SketchFigure>
  );
}

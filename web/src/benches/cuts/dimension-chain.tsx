import { layLabels } from '@splay/core';
import type { LengthFormat } from '@splay/core';
import { Dimension, dimensionFits, dimensionWidth } from '../../board/dimension.tsx';
import { SvgLength } from '../../board/svg-length.tsx';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

/** A stretch of the built frame between two neighboring marks, mm. */
export interface ChainLink {
  readonly from: number;
  readonly to: number;
  /** True for steel that the plan adds. */
  readonly added: boolean;
}

/** The links from the datum hole through every cut, front to rear. */
export function chainOf(datum: number, cuts: readonly number[], added: readonly (readonly [number, number])[]) {
  const stops = [...new Set([datum, ...cuts])].sort((a, b) => a - b);
  const isAdded = (from: number, to: number) =>
    added.some(([start, end]) => Math.abs(start - from) < 1e-6 && Math.abs(end - to) < 1e-6);
  return stops.slice(1).flatMap((to, index): ChainLink[] => {
    const from = stops[index] ?? to;
    return to - from < 0.5 ? [] : [{ from, to, added: isAdded(from, to) }];
  });
}

const LANE = 19;

/** A chain of dimensions on one line. Figures that do not fit in their link stand above it, clear of each other. */
export function DimensionChain({
  links,
  view,
  y,
  format,
}: {
  readonly links: readonly ChainLink[];
  readonly view: View;
  readonly y: number;
  readonly format: LengthFormat;
}) {
  const drawn = links.map((link) => {
    const [from, to] = [toPx(view, link.from), toPx(view, link.to)];
    const style = { mm: link.to - link.from, format, signed: link.added, strong: link.added };
    return { ...style, from, to, fits: dimensionFits({ ...style, from, to }), width: dimensionWidth(style) };
  });
  const tight = drawn.filter(({ fits }) => !fits);
  const places = layLabels(
    tight.map(({ from, to, width }) => ({ middle: (from + to) / 2, width })),
    2,
    40,
  );
  return (
    <g>
      {drawn.map((link, index) => (
        <Dimension
          key={index}
          {...link}
          y={y}
          bare={!link.fits}
          className={link.signed ? 'text-layout' : 'text-graphite'}
        />
      ))}
      {tight.map((link, index) => {
        const place = places[index];
        if (!place) return null;
        const labelY = y - LANE * (place.lane + 1);
        return (
          <g key={index} className={link.signed ? 'text-layout' : 'text-graphite'}>
            <path
              d={`M${(link.from + link.to) / 2} ${y - 4}L${place.x} ${labelY + 8}`}
              stroke="currentColor"
              strokeWidth={0.8}
            />
            <text
              x={place.x}
              y={labelY}
              dy="0.34em"
              textAnchor="middle"
              fill="currentColor"
              stroke="var(--color-paper)"
              strokeWidth={4}
              paintOrder="stroke"
              className="font-label"
              fontSize={link.strong ? 16 : 14}
              fontWeight={600}
            >
              <SvgLength mm={link.mm} format={format} signed={link.signed} />
            </text>
          </g>
        );
      })}
    </g>
  );
}

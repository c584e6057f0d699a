import { formatLength, type LengthFormat, type SheetDrawing, type SheetInk, type SheetItem } from '@splay/core';
import { useId } from 'react';

interface Look {
  readonly fill: string;
  readonly stroke: string;
  readonly strokeWidth: number;
  readonly strokeDasharray?: string;
}

/** How each ink is drawn: mm on paper. Dash, hatch and weight say what it is without its color. */
const looks = (hatch: string): Readonly<Record<SheetInk, Look>> => ({
  steel: { fill: 'var(--color-steel)', stroke: 'var(--color-graphite)', strokeWidth: 0.35 },
  fold: { fill: 'none', stroke: 'var(--color-graphite)', strokeWidth: 0.2, strokeDasharray: '2 1' },
  scribe: { fill: 'none', stroke: 'var(--color-layout)', strokeWidth: 0.7 },
  waste: { fill: `url(#${hatch})`, stroke: 'none', strokeWidth: 0 },
  thing: { fill: 'none', stroke: 'var(--color-pencil)', strokeWidth: 0.25 },
  work: { fill: 'none', stroke: 'var(--color-layout)', strokeWidth: 0.4 },
  leader: { fill: 'none', stroke: 'var(--color-pencil)', strokeWidth: 0.18 },
  break: { fill: 'none', stroke: 'var(--color-pencil)', strokeWidth: 0.3 },
  datum: { fill: 'none', stroke: 'var(--color-graphite)', strokeWidth: 0.35, strokeDasharray: '3 0.8 0.6 0.8' },
});

/** A drawing of a sheet, as wide as its place; on paper as large as it says. */
export function SheetPicture({ drawing, format }: { readonly drawing: SheetDrawing; readonly format: LengthFormat }) {
  const hatch = useId();
  const look = looks(hatch);
  const { width, height, items, says } = drawing;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block w-full" role="img" aria-label={says}>
      <defs>
        <pattern id={hatch} width="4" height="1.1" patternUnits="userSpaceOnUse">
          <path d="M0 0.5H4" stroke="var(--color-oxide)" strokeWidth="0.35" />
        </pattern>
      </defs>
      {items.map((item, index) => (
        <Item key={index} item={item} look={look} format={format} />
      ))}
    </svg>
  );
}

const at = (mm: number) => mm.toFixed(2);

function Item({
  item,
  look,
  format,
}: {
  readonly item: SheetItem;
  readonly look: Readonly<Record<SheetInk, Look>>;
  readonly format: LengthFormat;
}) {
  switch (item.kind) {
    case 'path':
      return (
        <path
          d={`M${item.points.map(([x, y]) => `${at(x)} ${at(y)}`).join('L')}${item.closed ? 'Z' : ''}`}
          strokeLinejoin="round"
          {...look[item.ink]}
        />
      );
    case 'circle':
      return <circle cx={at(item.at[0])} cy={at(item.at[1])} r={at(item.radius)} {...look[item.ink]} />;
    case 'text': {
      const { whole, sign, fraction } = item.mm === null ? NO_FIGURE : formatLength(item.mm, format);
      return (
        <text
          x={at(item.at[0])}
          y={at(item.at[1])}
          textAnchor={item.anchor}
          fontSize={item.size}
          className="font-label"
          fontWeight={600}
          fill={item.soft ? 'var(--color-pencil)' : 'var(--color-graphite)'}
          stroke="var(--color-sheet)"
          strokeWidth={item.patched ? 1.4 : 0.8}
          paintOrder="stroke"
        >
          {item.tag !== '' && <tspan fill="var(--color-layout)">{`${item.tag} `}</tspan>}
          {item.words}
          {sign}
          {whole}
          {whole && fraction && ' '}
          {fraction && (
            <tspan className="fraction" fontSize={item.size * 1.15}>
              {fraction.replace('/', '⁄')}
            </tspan>
          )}
        </text>
      );
    }
  }
}

const NO_FIGURE = { whole: '', sign: '', fraction: '' };

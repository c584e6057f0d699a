import { isOnWeb } from '@splay/core';
import type { Selection } from './selection.ts';
import { linePath } from '../../board/line-path.ts';
import { plateShape, type Unfolding, weldPoints } from './unfolding.ts';

interface OpenedProps {
  readonly hand: Selection;
  readonly to: Unfolding;
  readonly width: number;
  /** How far each end is drawn away from the joint, px. */
  readonly away: number;
}

/** The joint opened: both ends drawn apart, with their edges as they are cut, and between them what is laid over. */
export function Opened({ hand, to, width, away }: OpenedProps) {
  const { splice, made, steel } = hand.one;
  const [top, webTop, webFoot, bottom] = to.edges;
  const weld = weldPoints(hand, to);
  const ahead = [[0, top], ...weld.map(([x, y]) => [x - away, y]), [0, bottom]] as const;
  const behind = [[width, top], ...weld.map(([x, y]) => [x + away, y]), [width, bottom]] as const;
  const { sleeve } = splice;
  const walls = made.splice?.parts.find(({ name }) => name.startsWith('sleeve'));
  const [from, rear] = [walls?.slices[0]?.x ?? 0, walls?.slices.at(-1)?.x ?? 0];
  const half = steel.section.depth / 2;
  return (
    <g>
      {[ahead, behind].map((end, index) => (
        <g key={index}>
          <path
            d={`${linePath(end as unknown as readonly (readonly [number, number])[])}Z`}
            fill="var(--color-steel)"
            stroke="var(--color-graphite)"
            strokeWidth={1.5}
          />
          <path
            d={linePath(weld.map(([x, y]) => [x + (index === 0 ? -away : away), y] as const))}
            fill="none"
            stroke="var(--color-oxide)"
            strokeWidth={3}
          />
        </g>
      ))}
      {[webTop, webFoot].map((y) => (
        <path
          key={y}
          d={`M0 ${y}H${Math.min(...weld.map(([x]) => x)) - away}M${Math.max(...weld.map(([x]) => x)) + away} ${y}H${width}`}
          stroke="var(--color-graphite)"
          strokeDasharray="7 4"
          strokeWidth={0.9}
        />
      ))}
      {sleeve && (
        <rect
          x={to.x(from)}
          y={to.web(half + Math.min(sleeve.height, steel.section.depth) / 2)}
          width={to.x(rear) - to.x(from)}
          height={to.web(0) - to.web(Math.min(sleeve.height, steel.section.depth))}
          fill="var(--color-layout-wash)"
          stroke="var(--color-layout)"
          strokeWidth={1.6}
        />
      )}
      {sleeve?.kind === 'wedge' && (
        <path
          d={linePath([
            [to.x(from), to.web(half - Math.min(sleeve.height, steel.section.depth) / 2)],
            [to.x(rear), to.web(half + Math.min(sleeve.height, steel.section.depth) / 2)],
          ])}
          stroke="var(--color-oxide)"
          strokeWidth={2}
        />
      )}
      {made.plates.map((plate) => (
        <g key={plate.name}>
          <title>{plate.name}</title>
          <path
            d={plateShape(plate, steel.section, to)}
            fill="url(#hatch-new)"
            fillOpacity={0.9}
            stroke="var(--color-layout)"
            strokeWidth={1.6}
          />
          {[...plate.plugs, ...plate.bolts].map(({ x, across, diameter }) => (
            <circle
              key={`${x} ${across}`}
              cx={to.x(x)}
              cy={
                isOnWeb(plate.face) ? to.web(across) : plate.face === 'top-flange' ? to.top(across) : to.bottom(across)
              }
              r={Math.max(2, (diameter / 2) * Math.abs(to.x(1) - to.x(0)))}
              fill="var(--color-sheet)"
              stroke="var(--color-oxide)"
            />
          ))}
        </g>
      ))}
      {made.plates.length === 0 && !sleeve && (
        <text x={to.x(0)} y={to.web(half)} textAnchor="middle" fontSize={14} fill="var(--color-pencil)">
          nothing laid over
        </text>
      )}
      <text
        x={to.x(0)}
        y={bottom + 16}
        textAnchor="middle"
        fontSize={12}
        className="font-label"
        fill="var(--color-pencil)"
      >
        {`${made.plates.length} ${made.plates.length === 1 ? 'plate' : 'plates'}${sleeve ? ' and a sleeve' : ''} over the joint`}
      </text>
    </g>
  );
}

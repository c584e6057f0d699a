import type { LaneStretch } from '@splay/core';

/** How a stretch of a lane is drawn: what forbids solid, what is assumed dashed, what costs hatched. */
export const lookOf = (
  state: LaneStretch['state'],
  costs: string,
): {
  readonly fill: string;
  readonly stroke: string;
  readonly strokeWidth: number;
  readonly strokeDasharray?: string;
} =>
  state === 'assumed'
    ? { fill: 'var(--color-oxide-wash)', stroke: 'var(--color-oxide)', strokeWidth: 1.2, strokeDasharray: '6 4' }
    : state === 'forbids'
      ? { fill: 'var(--color-oxide)', stroke: 'var(--color-oxide)', strokeWidth: 0.6 }
      : { fill: costs, stroke: 'var(--color-ochre)', strokeWidth: 0.6 };

/** The hatch of a lane about which nobody has measured anything. */
export const UnknownHatch = ({ id }: { readonly id: string }) => (
  <pattern id={id} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
    <rect width={7} height={7} fill="var(--color-paper)" />
    <path d="M0 0V7" stroke="var(--color-pencil)" strokeOpacity={0.4} strokeWidth={1.4} />
  </pattern>
);

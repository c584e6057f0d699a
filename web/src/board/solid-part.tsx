import type { Part } from '@splay/core';

/** A solid part of a section that is cut through. */
export function SolidPart({
  part,
  px,
  py,
  scale,
  fill = 'var(--color-graphite)',
}: {
  readonly part: Part;
  readonly px: (inward: number) => number;
  readonly py: (up: number) => number;
  readonly scale: number;
  readonly fill?: string;
}) {
  if (part.shape === 'ring')
    return (
      <circle
        cx={px(part.y)}
        cy={py(part.z)}
        r={((part.outer + part.inner) / 2) * scale}
        fill="none"
        stroke="var(--color-graphite)"
        strokeWidth={Math.max(1.5, (part.outer - part.inner) * scale)}
      />
    );
  const [a, b] = [px(part.y), px(part.y + part.width)];
  return (
    <rect
      x={Math.min(a, b)}
      y={py(part.z + part.height)}
      width={Math.max(1.2, Math.abs(b - a))}
      height={Math.max(1.2, part.height * scale)}
      fill={fill}
    />
  );
}

/** The sign of a center of gravity: a disc in quarters. */
export function Balance({ x, y, r }: { readonly x: number; readonly y: number; readonly r: number }) {
  return (
    <g>
      <circle cx={x} cy={y} r={r} fill="var(--color-paper)" stroke="var(--color-graphite)" strokeWidth={1.4} />
      <path
        d={`M${x} ${y}V${y - r}A${r} ${r} 0 0 1 ${x + r} ${y}ZM${x} ${y}V${y + r}A${r} ${r} 0 0 1 ${x - r} ${y}Z`}
        fill="var(--color-graphite)"
      />
    </g>
  );
}

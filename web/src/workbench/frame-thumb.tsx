import type { Thumb } from '../shared/job-card.ts';

/** A job's frame in small, from the side, new steel in blue. */
export function FrameThumb({ height, wheels, pieces }: Thumb) {
  return (
    <svg viewBox={`0 0 240 ${height}`} className="w-full max-w-60" aria-hidden="true">
      {wheels.map(({ x, y, r }, index) => (
        <circle key={index} cx={x} cy={y} r={r} fill="none" stroke="var(--color-pencil)" strokeDasharray="2 3" />
      ))}
      {pieces.map(({ d, isNew }, index) => (
        <path
          key={index}
          d={d}
          fill={isNew ? 'var(--color-layout)' : 'var(--color-steel)'}
          stroke={isNew ? 'var(--color-layout)' : 'var(--color-graphite)'}
          strokeWidth={1.2}
        />
      ))}
    </svg>
  );
}

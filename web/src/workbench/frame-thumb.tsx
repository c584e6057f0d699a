import { type Job, type PlanResult, sectionLookup, sideOutline } from '@splay/core';
import { tallOf } from '../board/view.ts';

/** A job's frame in small, from the side, new steel in blue. */
export function FrameThumb({ job, result }: { readonly job: Job; readonly result: PlanResult }) {
  const section = sectionLookup(job.donor);
  const [front, rear] = [
    Math.min(...result.tape.spans.map((span) => span.builtFrom)),
    Math.max(...result.tape.spans.map((span) => span.builtTo)),
  ];
  const scale = 230 / (rear - front);
  const x = (mm: number) => 5 + (mm - front) * scale;
  const { over, under } = tallOf(result);
  const zero = Math.max(24, 4 + over * scale);
  const z = (mm: number) => zero - mm * scale;
  return (
    <svg viewBox={`0 0 240 ${Math.max(64, zero + under * scale + 4)}`} className="w-full max-w-60" aria-hidden="true">
      {result.axles.map(
        ({ item, built }) =>
          built && (
            <circle
              key={item.id}
              cx={x(built.x)}
              cy={z(built.z)}
              r={item.tyreRadius * scale}
              fill="none"
              stroke="var(--color-pencil)"
              strokeDasharray="2 3"
            />
          ),
      )}
      {result.pieces.map((piece, index) => (
        <path
          key={index}
          d={`${sideOutline(piece, 'left', section)
            .map(([along, up], point) => `${point ? 'L' : 'M'}${x(along).toFixed(1)} ${z(up).toFixed(1)}`)
            .join('')}Z`}
          fill={piece.source === 'donor' ? 'var(--color-steel)' : 'var(--color-layout)'}
          stroke={piece.source === 'donor' ? 'var(--color-graphite)' : 'var(--color-layout)'}
          strokeWidth={1.2}
        />
      ))}
    </svg>
  );
}

import type { Body } from '@splay/core';

/** How much of the body is drawn over its floor, mm: enough to see where it ends and sits. */
const BODY_SHOWN = 420;

/** The underside of the body's floor with the feet of its walls, and where it wants to sit. */
export function BodyOver({
  body,
  px,
  py,
}: {
  readonly body: Body;
  readonly px: (x: number) => number;
  readonly py: (z: number) => number;
}) {
  const floor = Math.min(...body.outline.map(({ z }) => z));
  const front = Math.min(...body.outline.map(({ x }) => x));
  return (
    <g stroke="var(--color-ochre)" fill="none" strokeWidth={1.6}>
      <clipPath id="clip-body">
        <rect x={-1e4} y={py(floor + BODY_SHOWN)} width={3e4} height={BODY_SHOWN * 2} />
      </clipPath>
      <path
        clipPath="url(#clip-body)"
        d={`${body.outline.map(({ x, z }, index) => `${index ? 'L' : 'M'}${px(x)} ${py(z)}`).join('')}Z`}
        strokeDasharray="8 4"
      />
      {body.mounts
        .filter((mount) => mount.y < 0)
        .map((mount) => (
          <path key={mount.id} d={`M${px(mount.x) - 5} ${py(mount.z)}h10M${px(mount.x)} ${py(mount.z)}v-7`} />
        ))}
      <text
        x={px(front) + 40}
        y={py(floor) - 16}
        fontSize={13}
        fill="var(--color-ochre)"
        stroke="var(--color-paper)"
        strokeWidth={4}
        paintOrder="stroke"
        className="font-label"
        fontWeight={500}
      >
        {body.name}, floor
      </text>
    </g>
  );
}

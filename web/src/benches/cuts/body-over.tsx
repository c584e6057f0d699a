import type { Body } from '@splay/core';
import type { Across } from '../../client/picture-props.ts';
import { acrossPx } from '../../board/strips.ts';
import { still } from '../../ui/still.ts';
import type { View } from '../../client/picture-props.ts';
import { toPx } from '../../board/view.ts';

/** How much of the body is drawn over its floor, mm: enough to see where it ends and sits. */
const BODY_SHOWN = 420;

interface BodyOverProps {
  readonly body: Body;
  /** Station of the front axle, where its front wheel opening stands, mm. */
  readonly frontX: number;
  readonly view: View;
  readonly across: Across;
}

const floorOf = ({ outline }: Body): number => Math.min(...outline.map(({ z }) => z));

/** The underside of the body's floor with the feet of its walls, and where it wants to sit. */
export function BodyOver({ body, frontX, view, across }: BodyOverProps) {
  const px = (x: number) => toPx(view, x + frontX);
  const py = (z: number) => acrossPx(across, z);
  return (
    <g stroke="var(--color-ochre)" fill="none" strokeWidth={1.6}>
      <clipPath id="clip-body">
        <rect x={-1e4} y={py(floorOf(body) + BODY_SHOWN)} width={3e4} height={BODY_SHOWN * 2} />
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
    </g>
  );
}

/** Its name, to be laid over everything that could cross it. */
export const BodyName = still(function BodyName({ body, frontX, view, across }: BodyOverProps) {
  const front = Math.min(...body.outline.map(({ x }) => x));
  return (
    <text
      x={toPx(view, front + frontX) + 40}
      y={acrossPx(across, floorOf(body)) - 16}
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
  );
});
